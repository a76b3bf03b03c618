package hamper.sample;

import hamper.address.IpAddress;
import hamper.address.Packing;
import hamper.address.PortStart;
import hamper.address.Protocol;
import hamper.address.StartsPer;
import hamper.address.Transport;
import hamper.catalog.Catalog;
import hamper.catalog.DeviceModel;
import hamper.catalog.PortKind;
import hamper.display.Circuit;
import hamper.display.Controller;
import hamper.display.ControllerSettings;
import hamper.display.Display;
import hamper.display.DisplaySettings;
import hamper.display.Fixture;
import hamper.display.Hold;
import hamper.display.Leg;
import hamper.display.PixelString;
import hamper.display.Plan;
import hamper.display.Prop;
import hamper.display.Run;
import hamper.display.Section;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;

/** Displays of all kinds by seed: the same seed always gives the same display. */
public final class RandomDisplays {
  private final Random random;
  private final boolean holds;
  private final List<Prop> props = new ArrayList<>();
  private final List<DeviceModel> models = new ArrayList<>();

  /** Whether there are mirrors, DMX lines, fixed universes and transports too. */
  private final boolean everything;

  private RandomDisplays(int seed, boolean holds, boolean everything) {
    this.random = new Random(seed);
    this.holds = holds;
    this.everything = everything;
  }

  /** Small displays that have all that addressing knows. */
  public static Plan everything(int seed) {
    return new RandomDisplays(seed, true, true).plan();
  }

  /**
   * @param holds whether some sections are held
   */
  public static Plan of(int seed, boolean holds) {
    return new RandomDisplays(seed, holds, false).plan();
  }

  private Plan plan() {
    List<Controller> controllers = new ArrayList<>();
    int count = 1 + random.nextInt(4);
    for (int i = 0; i < count; i++) {
      controllers.add(controller("k" + i));
    }
    int[] strides = {1, 1, 10, 50};
    if (everything) {
      mirror(controllers);
    }
    Display display =
        new Display(
            "Random",
            new DisplaySettings(1 + random.nextInt(20), strides[random.nextInt(4)], 40),
            models,
            List.of(),
            List.of(),
            props,
            controllers);
    return new Plan(display, Catalog.of(List.of(), Samples.typesByChannels()));
  }

  private Controller controller(String id) {
    Protocol protocol =
        List.of(Protocol.E131, Protocol.ARTNET, Protocol.DDP).get(random.nextInt(3));
    models.add(
        Samples.model(
            "m" + id,
            Samples.dialect(
                pick(Packing.values()), pick(PortStart.values()), pick(StartsPer.values()))));
    List<Run> runs = new ArrayList<>();
    int ports = 1 + random.nextInt(6);
    for (int port = 1; port <= ports; port++) {
      runs.add(pixels(id, port));
    }
    if (random.nextBoolean()) {
      String lamp = id + "-lamp";
      props.add(
          new Prop(
              lamp,
              lamp,
              Optional.empty(),
              Optional.empty(),
              List.of(new Circuit(lamp, lamp, 128, false, Optional.empty()))));
      runs.add(Run.of(PortKind.RELAY, 1, List.of(Leg.of(lamp))));
    }
    if (everything) {
      lines(id, runs);
    }
    int[] sizes = {510, 512, 170, 96};
    ControllerSettings plain = ControllerSettings.of(protocol);
    ControllerSettings settings =
        new ControllerSettings(
            plain.mode(),
            protocol,
            everything ? pick(Transport.values()) : plain.transport(),
            everything && random.nextBoolean()
                ? Optional.of(new IpAddress("198.51.100." + (1 + random.nextInt(2))))
                : plain.address(),
            everything && random.nextInt(3) == 0
                ? Optional.of(1 + random.nextInt(12))
                : Optional.empty(),
            sizes[random.nextInt(4)],
            Optional.empty(),
            Optional.empty(),
            random.nextInt(3) == 0 ? random.nextInt(9) : 0,
            random.nextInt(3) == 0 ? random.nextInt(4000) : 0,
            Optional.empty(),
            Optional.empty(),
            Optional.empty());
    return new Controller(id, id, id, "m" + id, settings, Optional.empty(), runs);
  }

  private Run pixels(String controller, int port) {
    List<Leg> legs = new ArrayList<>();
    int count = random.nextInt(4);
    for (int i = 0; i < count; i++) {
      String id = controller + "p" + port + "s" + i;
      int sections = 1 + random.nextInt(2);
      Section[] all = new Section[sections];
      for (int s = 0; s < sections; s++) {
        all[s] = section();
      }
      props.add(Samples.string(id, "c" + List.of(1, 3, 3, 4).get(random.nextInt(4)), all));
      legs.add(new Leg(id, random.nextInt(3), 0, Optional.empty()));
    }
    return Run.of(PortKind.PIXEL, port, legs);
  }

  /** DMX lines with fixtures, some of them empty, some held. */
  private void lines(String controller, List<Run> runs) {
    int count = random.nextInt(3);
    for (int port = 1; port <= count; port++) {
      List<Leg> legs = new ArrayList<>();
      for (int i = random.nextInt(3); i > 0; i--) {
        String id = controller + "d" + port + "f" + i;
        Fixture fixture = new Fixture(id, id, 1 + random.nextInt(512), 1 + random.nextInt(40));
        props.add(new Prop(id, id, Optional.empty(), Optional.empty(), List.of(fixture)));
        legs.add(Leg.of(id));
      }
      Optional<Integer> universe =
          random.nextInt(3) == 0 ? Optional.of(1 + random.nextInt(9)) : Optional.empty();
      runs.add(new Run(PortKind.DMX, port, legs, universe, Optional.empty()));
    }
  }

  /** Makes some legs mirror a piece of some controller, patched or not. */
  private void mirror(List<Controller> controllers) {
    List<String> originals = new ArrayList<>();
    for (Prop prop : props) {
      if (prop.pieces().get(0) instanceof PixelString && random.nextInt(3) == 0) {
        originals.add(prop.id());
      }
    }
    if (originals.isEmpty()) {
      return;
    }
    controllers.replaceAll(
        controller ->
            controller.withRuns(
                controller.runs().stream().map(run -> mirrored(run, originals)).toList()));
  }

  private Run mirrored(Run run, List<String> originals) {
    if (run.kind() != PortKind.PIXEL) {
      return run;
    }
    boolean wholeRun = random.nextBoolean();
    return run.withLegs(
        run.legs().stream()
            .map(
                leg ->
                    originals.contains(leg.piece()) || !wholeRun && random.nextInt(4) > 0
                        ? leg
                        : new Leg(
                            leg.piece(),
                            0,
                            0,
                            Optional.of(originals.get(random.nextInt(originals.size())))))
            .toList());
  }

  private Optional<Hold> hold() {
    if (everything && random.nextInt(4) == 0) {
      return Optional.of(new Hold(Optional.of(1 + random.nextInt(14)), 1 + random.nextInt(200)));
    }
    return Optional.of(Hold.atChannel(1 + random.nextInt(everything ? 500 : 1500)));
  }

  private Section section() {
    Optional<Hold> hold = holds && random.nextInt(6) == 0 ? hold() : Optional.empty();
    return new Section(
        1 + random.nextInt(everything ? 70 : 300),
        random.nextInt(3),
        random.nextInt(3) == 0 ? 1 + random.nextInt(7) : 1,
        random.nextInt(4) == 0 ? Optional.of(1 + random.nextInt(40)) : Optional.empty(),
        random.nextBoolean(),
        Optional.empty(),
        Optional.empty(),
        hold);
  }

  private <T> T pick(T[] values) {
    return values[random.nextInt(values.length)];
  }
}
