package hamper.samples;

import hamper.address.ColourOrder;
import hamper.address.IpAddress;
import hamper.address.Packing;
import hamper.address.PortStart;
import hamper.address.Protocol;
import hamper.address.Transport;
import hamper.catalog.Catalog;
import hamper.catalog.DeviceModel;
import hamper.catalog.PixelType;
import hamper.catalog.PortGroup;
import hamper.catalog.PortKind;
import hamper.catalog.PortMode;
import hamper.catalog.ProtocolSupport;
import hamper.display.Circuit;
import hamper.display.Controller;
import hamper.display.ControllerSettings;
import hamper.display.Display;
import hamper.display.DisplaySettings;
import hamper.display.Fixture;
import hamper.display.GridOrder;
import hamper.display.Hold;
import hamper.display.InputRange;
import hamper.display.Leg;
import hamper.display.Piece;
import hamper.display.PixelString;
import hamper.display.Plan;
import hamper.display.Prop;
import hamper.display.Run;
import hamper.display.Section;
import hamper.display.SerialDimmer;
import hamper.display.StripDecoder;
import hamper.display.Wall;
import hamper.value.RefusedException;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;

/**
 * Small displays of the models that ship with Hamper, with everything that a planner can set for
 * them, sense or nonsense: the same seed always gives the same display.
 */
public final class RandomYards {
  private static final int MOST_TRIES = 1000;

  private final Catalog catalog;
  private final Random random;
  private List<Prop> props = new ArrayList<>();
  private Map<PortKind, List<String>> hung = new HashMap<>();

  /** How many kinds of oddities a display may have, in tenths: most have few. */
  private int odd;

  private RandomYards(Catalog catalog, long seed) {
    this.catalog = catalog;
    this.random = new Random(seed);
  }

  public static Plan of(Catalog catalog, long seed) {
    RandomYards yards = new RandomYards(catalog, seed);
    for (int i = 0; i < MOST_TRIES; i++) {
      try {
        return yards.plan();
      } catch (RefusedException e) {
        continue; // such as a mirror of a mirror: another one
      }
    }
    throw new IllegalStateException("no display in %d tries is taken".formatted(MOST_TRIES));
  }

  private Plan plan() {
    props = new ArrayList<>();
    hung = new HashMap<>();
    odd = random.nextInt(11);
    List<Controller> controllers = new ArrayList<>();
    int count = 1 + random.nextInt(4);
    for (int i = 0; i < count; i++) {
      controllers.add(controller(i + 1, one(catalog.models())));
    }
    DisplaySettings settings =
        new DisplaySettings(1 + random.nextInt(20), one(List.of(1, 1, 10, 100)), 40);
    return new Plan(
        new Display("Yard " + count, settings, List.of(), List.of(), List.of(), props, controllers),
        catalog);
  }

  private Controller controller(int number, DeviceModel model) {
    List<Run> runs = new ArrayList<>();
    ControllerSettings settings = settings(model);
    for (PortGroup group : model.ports()) {
      PortMode mode = group.modeOrFirst(settings.mode());
      for (int port = 1; port <= Math.min(mode.ports(), 6); port++) {
        if (random.nextInt(3) > 0) {
          runs.add(run(group, port, "%d-%d".formatted(number, port)));
        }
      }
    }
    return new Controller(
        "k" + number, "K" + number, "Box " + number, model.id(), settings, inputs(model), runs);
  }

  private ControllerSettings settings(DeviceModel model) {
    if (model.hostOnly()) {
      return ControllerSettings.of(Protocol.NONE);
    }
    ProtocolSupport support = one(model.protocols());
    Protocol protocol = support.protocol();
    List<String> modes =
        model.ports().stream()
            .flatMap(group -> group.modes().stream())
            .map(PortMode::name)
            .toList();
    return new ControllerSettings(
        maybe(3, () -> one(modes)),
        protocol,
        protocol == Protocol.DDP
            ? Transport.UNICAST
            : one(List.copyOf(support.transports().stream().sorted().toList())),
        Optional.of(new IpAddress("10.0.0." + (1 + random.nextInt(3)))),
        maybe(2, () -> 1 + random.nextInt(30)),
        universeSize(support),
        maybe(3, () -> one(List.of(Packing.values()))),
        maybe(4, () -> one(List.of(PortStart.values()))),
        random.nextInt(4) == 0 ? random.nextInt(5) : 0,
        0,
        maybe(3, () -> random.nextInt(101)),
        Optional.empty(),
        Optional.empty());
  }

  /** As a rule one that the model can be set to. */
  private int universeSize(ProtocolSupport support) {
    List<Integer> sizes = support.universeSizes().stream().sorted().toList();
    return sizes.isEmpty() || random.nextInt(40) < odd / 3
        ? one(List.of(512, 500, 100, 37))
        : one(sizes);
  }

  private Optional<List<InputRange>> inputs(DeviceModel model) {
    if (model.hostOnly() || random.nextInt(25) >= odd) {
      return Optional.empty();
    }
    List<InputRange> ranges = new ArrayList<>();
    int count = 1 + random.nextInt(2);
    for (int i = 0; i < count; i++) {
      ranges.add(
          new InputRange(1 + random.nextInt(20), 1 + random.nextInt(60), one(List.of(512, 510))));
    }
    return Optional.of(ranges);
  }

  private Run run(PortGroup group, int port, String name) {
    List<Leg> legs = new ArrayList<>();
    int count = group.kind() == PortKind.PANEL ? 1 : 1 + random.nextInt(3);
    Optional<PixelType> type = Optional.of(one(catalog.pixelTypes()));
    for (int i = 0; i < count; i++) {
      Piece piece = piece(group.kind(), "%s-%s-%d".formatted(group.kind(), name, i), type.get());
      props.add(new Prop(piece.id(), piece.id(), Optional.empty(), brightness(), List.of(piece)));
      List<String> others = hung.computeIfAbsent(group.kind(), kind -> new ArrayList<>());
      Optional<String> mirror =
          others.isEmpty() || random.nextInt(60) >= odd
              ? Optional.empty()
              : Optional.of(one(others));
      boolean boxes = group.banks().isPresent();
      legs.add(
          new Leg(
              piece.id(),
              group.kind() == PortKind.PIXEL && random.nextInt(40) < odd ? random.nextInt(4) : 0,
              Optional.empty(),
              boxes ? maybe(2, () -> 1 + random.nextInt(3)) : Optional.empty(),
              mirror,
              Optional.empty(),
              List.of(),
              List.of()));
      if (mirror.isEmpty()) {
        others.add(piece.id());
      }
    }
    return new Run(
        group.kind(),
        port,
        legs,
        group.kind() == PortKind.DMX ? maybe(3, () -> 1 + random.nextInt(30)) : Optional.empty(),
        brightness());
  }

  private Optional<Integer> brightness() {
    return maybe(8, () -> random.nextInt(101));
  }

  private Piece piece(PortKind kind, String id, PixelType type) {
    return switch (kind) {
      case PIXEL -> new PixelString(id, id, type.id(), sections(type));
      case RELAY -> new Circuit(id, id, 1 + random.nextInt(255), random.nextBoolean(), hold(6));
      case PANEL ->
          new Wall(
              id,
              id,
              new GridOrder(
                  one(List.of(GridOrder.Corner.values())),
                  one(List.of(GridOrder.Lines.values())),
                  random.nextBoolean()),
              Optional.empty(),
              Optional.of(new Wall.Resolution(1 + random.nextInt(30), 1 + random.nextInt(20))),
              Optional.empty(),
              Optional.empty(),
              hold(6));
      case DMX ->
          random.nextBoolean()
              ? new Fixture(id, id, 1 + random.nextInt(400), 1 + random.nextInt(20))
              : new StripDecoder(id, id, 1 + random.nextInt(300), 1 + random.nextInt(20), 3);
      case SERIAL -> new SerialDimmer(id, id, 1 + random.nextInt(120), 16);
    };
  }

  private List<Section> sections(PixelType type) {
    List<Section> sections = new ArrayList<>();
    int count = 1 + random.nextInt(3);
    for (int i = 0; i < count; i++) {
      int pixels = 1 + random.nextInt(random.nextInt(4) == 0 ? 200 : 40);
      sections.add(
          new Section(
              pixels,
              random.nextInt(50) < odd ? random.nextInt(3) : 0,
              random.nextInt(50) < odd ? 1 + random.nextInt(4) : 1,
              random.nextInt(60) < odd ? Optional.of(1 + random.nextInt(pixels)) : Optional.empty(),
              random.nextInt(40) < odd,
              maybe(6, () -> shuffled(type)),
              brightness(),
              hold(12)));
    }
    return sections;
  }

  private ColourOrder shuffled(PixelType type) {
    List<Character> letters = new ArrayList<>();
    for (char letter : type.colourOrder().letters().toCharArray()) {
      letters.add(random.nextInt(letters.size() + 1), letter);
    }
    StringBuilder order = new StringBuilder();
    letters.forEach(order::append);
    return new ColourOrder(order.toString());
  }

  private Optional<Hold> hold(int outOf) {
    return maybe(
        outOf,
        () ->
            random.nextBoolean()
                ? Hold.atChannel(1 + random.nextInt(3000))
                : new Hold(Optional.of(1 + random.nextInt(20)), 1 + random.nextInt(500)));
  }

  private interface Maker<T> {
    T make();
  }

  /** Once out of so many times in the oddest displays, and never in the plainest. */
  private <T> Optional<T> maybe(int outOf, Maker<T> maker) {
    return random.nextInt(outOf * 10) < odd ? Optional.of(maker.make()) : Optional.empty();
  }

  private <T> T one(List<T> all) {
    return all.get(random.nextInt(all.size()));
  }
}
