package hamper.samples;

import hamper.address.IpAddress;
import hamper.address.Protocol;
import hamper.catalog.Catalog;
import hamper.catalog.PortKind;
import hamper.display.Controller;
import hamper.display.ControllerSettings;
import hamper.display.Display;
import hamper.display.DisplaySettings;
import hamper.display.Enclosure;
import hamper.display.Leg;
import hamper.display.Link;
import hamper.display.MainsCircuit;
import hamper.display.Piece;
import hamper.display.PixelString;
import hamper.display.Plan;
import hamper.display.Prop;
import hamper.display.Run;
import hamper.display.Section;
import hamper.display.SitePower;
import hamper.display.Subnet;
import hamper.display.Supply;
import hamper.display.Workshop;
import hamper.display.Zone;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;

/**
 * Large, plausible displays without a mistake: strings of one to four sections on controllers of
 * several makers, fed by one computer for every twenty, each in an enclosure with a supply of its
 * own, with a mains circuit for every two.
 */
public final class LargeDisplays {
  private static final List<String> MODELS =
      List.of("ostrand-twelve", "velmo-reach-32", "ostrand-twelve", "pelloway-hat");
  private static final int PORTS_IN_USE = 10;
  private static final int CONTROLLERS_A_HOST = 20;
  private static final int CONTROLLERS_A_MAINS = 2;
  private static final int LINKS_AN_ENCLOSURE = 6;

  /** For each pixel: what it draws at the usual brightness, and half as much again (A). */
  private static final double AMPS_A_PIXEL = 0.02;

  private final Random random;
  private final Catalog catalog;
  private final List<Prop> props = new ArrayList<>();
  private final List<Controller> controllers = new ArrayList<>();
  private final List<Zone> zones = new ArrayList<>();
  private final List<Supply> supplies = new ArrayList<>();
  private final List<MainsCircuit> mains = new ArrayList<>();
  private final List<Enclosure> enclosures = new ArrayList<>();
  private final List<Link> links = new ArrayList<>();

  private LargeDisplays(Catalog catalog, long seed) {
    this.catalog = catalog;
    this.random = new Random(seed);
  }

  /**
   * @param controllers that light something, from 1
   * @param sections over all of them, at least as many as controllers
   * @param pixels of each section, more or less; few enough that a port carries its share
   */
  public static Plan of(Catalog catalog, int controllers, int sections, int pixels, long seed) {
    return new LargeDisplays(catalog, seed).make(controllers, sections, pixels);
  }

  private Plan make(int count, int sections, int pixels) {
    for (int z = 0; z < Math.max(1, count / 10); z++) {
      zones.add(
          new Zone(
              "z" + z,
              "Zone " + z,
              Optional.of((double) random.nextInt(500)),
              Optional.of((double) random.nextInt(500))));
    }
    for (int i = 0; i < count; i++) {
      if (i % CONTROLLERS_A_HOST == 0) {
        host(i / CONTROLLERS_A_HOST);
      }
      int from = (int) ((long) sections * i / count);
      int to = (int) ((long) sections * (i + 1) / count);
      controller(i, to - from, pixels);
    }
    Subnet show =
        new Subnet(
            "show",
            "Show network",
            new IpAddress("10.0.0.0"),
            16,
            Optional.of(new IpAddress("10.0.200.1")),
            Optional.of(new IpAddress("10.0.250.254")),
            Optional.of(Subnet.Multicast.ASKED));
    Display display =
        new Display(
            "Large",
            new DisplaySettings(1, 1, 40),
            List.of(),
            List.of(),
            List.of(show),
            zones,
            props,
            controllers,
            new SitePower(supplies, mains),
            enclosures,
            links,
            List.of(),
            Workshop.NONE);
    return new Plan(display, catalog);
  }

  private void host(int index) {
    String id = "h" + (index + 1);
    ControllerSettings settings =
        ControllerSettings.of(Protocol.NONE).withAddress(Optional.of(address(10_000 + index)));
    controllers.add(
        new Controller(
            id, "H" + (index + 1), "Host", "show-computer", settings, Optional.empty(), List.of()));
  }

  /** From 10.0.1.0 on, below the DHCP range. */
  private static IpAddress address(int index) {
    int place = 256 + index;
    return new IpAddress("10.0.%d.%d".formatted(place / 250, place % 250 + 2));
  }

  private void controller(int index, int sections, int pixels) {
    String id = "k" + (index + 1);
    String model = MODELS.get(index % MODELS.size());
    String zone = zones.get(random.nextInt(zones.size())).id();
    int ports = Math.min(PORTS_IN_USE, model.equals("pelloway-hat") ? 2 : PORTS_IN_USE);
    String supply = "s" + (index + 1);
    supply(index, zone, 10 + sections * pixels * AMPS_A_PIXEL);
    List<Run> runs = new ArrayList<>();
    for (int port = 1; port <= ports; port++) {
      int share = sections * port / ports - sections * (port - 1) / ports;
      if (share > 0) {
        runs.add(Run.of(PortKind.PIXEL, port, legs(id + "-" + port, zone, supply, share, pixels)));
      }
    }
    ControllerSettings settings =
        ControllerSettings.of(Protocol.E131)
            .withUniverseSize(510)
            .withAddress(Optional.of(address(index)))
            .withSource(Optional.of("h" + (index / CONTROLLERS_A_HOST + 1)))
            .withEnclosure(Optional.of("e" + (index + 1)));
    controllers.add(
        new Controller(id, "K" + (index + 1), "Controller", model, settings, Optional.empty(), runs)
            .withPowered(Feeding.powered(catalog.model(model).orElseThrow(), supply)));
  }

  private void supply(int index, String zone, double amps) {
    if (index % CONTROLLERS_A_MAINS == 0) {
      mains.add(new MainsCircuit("m" + mains.size(), "Circuit " + mains.size(), 230, 63, 0));
    }
    supplies.add(
        new Supply(
                "s" + (index + 1),
                "Supply " + (index + 1),
                Optional.empty(),
                12,
                amps,
                Optional.empty(),
                Optional.empty())
            .withEnclosure(Optional.of("e" + (index + 1))));
    enclosure(index, zone, mains.get(mains.size() - 1).id());
  }

  /** Around a controller and its supply, linked to one nearer to the first. */
  private void enclosure(int index, String zone, String circuit) {
    String id = "e" + (index + 1);
    enclosures.add(
        new Enclosure(
            id,
            "Box " + (index + 1),
            Optional.of(zone),
            Optional.of(circuit),
            List.of(LINKS_AN_ENCLOSURE + 2)));
    if (index > 0) {
      links.add(
          new Link(
              "n" + index,
              "N" + index,
              id,
              "e" + ((index - 1) / LINKS_AN_ENCLOSURE + 1),
              Link.Kind.COPPER,
              Optional.of(20.0 + index % 60)));
    }
  }

  private List<Leg> legs(String name, String zone, String supply, int sections, int pixels) {
    List<Leg> legs = new ArrayList<>();
    int before = 0;
    int left = sections;
    while (left > 0) {
      int count = Math.min(left, 1 + random.nextInt(4));
      List<Section> made = new ArrayList<>();
      for (int i = 0; i < count; i++) {
        made.add(Section.of(Math.max(1, pixels - 2 + random.nextInt(5))));
      }
      String id = name + "-" + (legs.size() + 1);
      PixelString string = new PixelString(id, "string", "node-12v", made);
      List<Piece> pieces = List.of(string);
      props.add(new Prop("p-" + id, "Prop " + id, Optional.of(zone), Optional.empty(), pieces));
      legs.add(Feeding.fed(Leg.of(id), supply, before, string.places()));
      before += string.places();
      left -= count;
    }
    return legs;
  }
}
