package hamper.server.output;

import hamper.address.Protocol;
import hamper.display.Controller;
import hamper.facts.ControllerFacts;
import hamper.facts.Facts;
import hamper.files.CatalogueFiles;
import hamper.standin.Seat;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/** Devices that stand in for a display's: one for each controller that packets go to. */
public final class Seats {
  private Seats() {}

  /** In list order. */
  public static List<Seat> of(Facts facts) {
    return facts.controllers().stream()
        .map(ControllerFacts::controller)
        .filter(controller -> isSentTo(facts, controller))
        .map(
            controller ->
                new Seat(controller.id(), CatalogueFiles.entry(facts.plan().modelOf(controller))))
        .toList();
  }

  /** Addresses that the plan gives, by the id of the controller; of some there is none. */
  public static Map<String, String> plannedAddresses(Facts facts) {
    Map<String, String> addresses = new HashMap<>();
    for (ControllerFacts own : facts.controllers()) {
      Controller controller = own.controller();
      controller.address().ifPresent(at -> addresses.put(controller.id(), at.text()));
    }
    return addresses;
  }

  /** Whether packets go to a controller at all. */
  public static boolean isSentTo(Facts facts, Controller controller) {
    return !facts.plan().modelOf(controller).hostOnly() && controller.protocol() != Protocol.NONE;
  }
}
