package hamper.sample;

import hamper.address.ColourOrder;
import hamper.address.Packing;
import hamper.address.PortStart;
import hamper.address.Protocol;
import hamper.address.StartsPer;
import hamper.address.Transport;
import hamper.catalog.AddressStyle;
import hamper.catalog.Catalog;
import hamper.catalog.DeviceModel;
import hamper.catalog.Dialect;
import hamper.catalog.InputStyle;
import hamper.catalog.PixelLimit;
import hamper.catalog.PixelType;
import hamper.catalog.PortGroup;
import hamper.catalog.PortKind;
import hamper.catalog.PortMode;
import hamper.catalog.ProtocolSupport;
import hamper.catalog.SectionOption;
import hamper.catalog.Told;
import hamper.display.Controller;
import hamper.display.ControllerSettings;
import hamper.display.Display;
import hamper.display.DisplaySettings;
import hamper.display.Leg;
import hamper.display.PixelString;
import hamper.display.Plan;
import hamper.display.Prop;
import hamper.display.Run;
import hamper.display.Section;
import hamper.display.Zone;
import hamper.resolve.Resolver;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.IntStream;

/** Small parts that tests build displays from. */
public final class Samples {
  public static final PixelType RGB = pixelType("rgb", "RGB");

  /** As RGB, with the currents of a stock node of 12 V. */
  public static final PixelType NODE =
      new PixelType(
          "node", "node", "WS2811", new ColourOrder("RGB"), 24, 800, 300, 0, 0, 12, 9.5, 42, 1);

  private Samples() {}

  /** 24 bits at 800 kHz for three channels, 8 bits a channel in general; no hog of current. */
  public static PixelType pixelType(String id, String order) {
    return new PixelType(
        id,
        id,
        "WS2811",
        new ColourOrder(order),
        8 * order.length(),
        800,
        300,
        0,
        0,
        12,
        9.5,
        2,
        0.1);
  }

  /** A type for each number of channels: c1 to c6. */
  public static List<PixelType> typesByChannels() {
    return IntStream.rangeClosed(1, 6)
        .mapToObj(n -> pixelType("c" + n, ColourOrder.natural(n).letters()))
        .toList();
  }

  public static Dialect dialect(Packing packing, PortStart portStart, StartsPer startsPer) {
    return new Dialect(
        AddressStyle.UNIVERSE_CHANNEL_PER_SECTION,
        InputStyle.LIST,
        startsPer,
        portStart,
        packing,
        false,
        1,
        0);
  }

  /** A device that can do everything, with plenty of ports and 800 pixels on each. */
  public static DeviceModel model(String id, Dialect dialect) {
    Map<SectionOption, Told> options = new EnumMap<>(SectionOption.class);
    for (SectionOption option : SectionOption.values()) {
      options.put(option, Told.PER_SECTION);
    }
    List<PortGroup> ports =
        List.of(
            new PortGroup(
                PortKind.PIXEL,
                List.of(new PortMode("all", 48, List.of(new PixelLimit(3, 800)))),
                Optional.of(5.0),
                List.of()),
            new PortGroup(
                PortKind.RELAY,
                List.of(new PortMode("relays", 48, List.of())),
                Optional.empty(),
                List.of()),
            new PortGroup(
                PortKind.DMX,
                List.of(new PortMode("lines", 48, List.of())),
                Optional.empty(),
                List.of()));
    Set<Integer> sizes = Set.of(510, 512);
    List<ProtocolSupport> protocols =
        List.of(
            new ProtocolSupport(Protocol.E131, Set.of(Transport.values()), Optional.empty(), sizes),
            new ProtocolSupport(
                Protocol.ARTNET,
                Set.of(Transport.UNICAST, Transport.BROADCAST),
                Optional.empty(),
                sizes),
            new ProtocolSupport(
                Protocol.DDP, Set.of(Transport.UNICAST), Optional.empty(), Set.of()));
    return new DeviceModel(id, "Sample", id, "1", "", ports, protocols, dialect, options, false);
  }

  public static DeviceModel model() {
    return model("any", dialect(Packing.CONTIGUOUS, PortStart.NEXT_CHANNEL, StartsPer.SECTION));
  }

  public static DeviceModel host() {
    return new DeviceModel(
        "host",
        "Sample",
        "Host",
        "1",
        "",
        List.of(),
        List.of(),
        dialect(Packing.CONTIGUOUS, PortStart.NEXT_CHANNEL, StartsPer.SECTION),
        Map.of(),
        false);
  }

  public static Prop string(String id, int pixels) {
    return string(id, "rgb", Section.of(pixels));
  }

  public static Prop string(String id, String type, Section... sections) {
    return new Prop(
        id,
        id,
        Optional.empty(),
        Optional.empty(),
        List.of(new PixelString(id, id, type, List.of(sections))));
  }

  /** A pixel run of plain legs. */
  public static Run run(int port, String... pieces) {
    return Run.of(PortKind.PIXEL, port, List.of(pieces).stream().map(Leg::of).toList());
  }

  public static Controller controller(String id, Protocol protocol, Run... runs) {
    return new Controller(
        id, id, id, "any", ControllerSettings.of(protocol), Optional.empty(), List.of(runs));
  }

  public static Plan plan(List<Prop> props, Controller... controllers) {
    return plan(List.of(), props, controllers);
  }

  public static Plan plan(List<Zone> zones, List<Prop> props, Controller... controllers) {
    Display display =
        new Display(
            "Sample",
            DisplaySettings.standard(),
            List.of(),
            List.of(),
            zones,
            props,
            List.of(controllers));
    return new Plan(display, catalog());
  }

  /** A zone at a place (m). */
  public static Zone zone(String id, double east, double north) {
    return new Zone(id, id, Optional.of(east), Optional.of(north));
  }

  public static Catalog catalog() {
    List<PixelType> types = new ArrayList<>(typesByChannels());
    types.add(RGB);
    types.add(NODE);
    return Catalog.of(List.of(model(), host()), types);
  }

  /** The controller channels at which all that hangs begins, in the order of ports. */
  public static List<Integer> starts(Plan plan) {
    return Resolver.resolve(plan)
        .placements()
        .map(at -> at.controllerChannels().orElseThrow().start())
        .toList();
  }
}
