package hamper.server.yard;

import hamper.facts.Facts;
import hamper.files.CatalogueFiles;
import hamper.files.DisplayFile;
import hamper.server.output.Door;
import hamper.server.output.Giving;
import hamper.server.output.Seats;
import hamper.standin.Clock;
import hamper.standin.Place;
import hamper.standin.StandIns;
import java.io.BufferedReader;
import java.io.InputStreamReader;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Map;
import java.util.function.UnaryOperator;
import tools.jackson.databind.node.ObjectNode;

/**
 * Devices on the plan's own addresses, blank as they come or told what is planned; says on each
 * word what they have, show and have counted.
 */
public final class YardMain {
  private YardMain() {}

  /**
   * @param args the display file; "told" where they have been told what is planned; the document of
   *     fixtures that hang on the first line of K5
   */
  public static void main(String[] args) throws Exception {
    byte[] file = Files.readAllBytes(Path.of(args[0]));
    Facts facts = Facts.of(DisplayFile.read(file, CatalogueFiles.shipped()));
    Map<String, String> addresses = Seats.plannedAddresses(facts);
    try (StandIns devices = StandIns.startOn(Seats.of(facts), addresses, Clock.system())) {
      Door door = new Door();
      if (args.length > 1) {
        tell(door, devices.places(), facts);
      }
      if (args.length > 2) {
        byte[] fixtures = Files.readAllBytes(Path.of(args[2]));
        door.put(devices.places().get("k5"), "fixtures/DMX/1", fixtures);
      }
      System.out.println("ready");
      BufferedReader words =
          new BufferedReader(new InputStreamReader(System.in, StandardCharsets.UTF_8));
      while (words.readLine() != null) {
        ObjectNode all = Door.JSON.createObjectNode();
        for (var one : devices.places().entrySet()) {
          ObjectNode device = all.putObject(one.getKey());
          device.set("state", door.get(one.getValue(), "state").body());
          device.set("configuration", door.get(one.getValue(), "configuration").body());
          device.set("counters", door.get(one.getValue(), "counters").body());
        }
        System.out.println("devices " + all);
      }
    }
  }

  /** What a device does not take, as K4 of the demo, it goes without. */
  private static void tell(Door door, Map<String, Place> places, Facts facts)
      throws InterruptedException {
    Giving giving = new Giving(door, UnaryOperator.identity());
    for (var gift : Giving.all(facts).entrySet()) {
      giving.give(places.get(gift.getKey()), gift.getValue());
    }
  }
}
