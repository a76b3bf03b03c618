package hamper.paper;

import hamper.address.IpAddress;
import hamper.address.Protocol;
import hamper.address.UniverseChannel;
import hamper.catalog.PortGroup;
import hamper.catalog.PortKind;
import hamper.check.Checks;
import hamper.check.Finding;
import hamper.check.Severity;
import hamper.display.Controller;
import hamper.display.HungLeg;
import hamper.display.Piece;
import hamper.display.PixelString;
import hamper.display.Plan;
import hamper.display.PortRef;
import hamper.display.Section;
import hamper.display.SerialDimmer;
import hamper.display.SlotPiece;
import hamper.display.Tag;
import hamper.display.Wall;
import hamper.facts.ControllerFacts;
import hamper.facts.Facts;
import hamper.facts.RunFacts;
import hamper.load.FeedLoad;
import hamper.paper.CrewSheet.FeedRow;
import hamper.paper.CrewSheet.Labelled;
import hamper.paper.CrewSheet.LegRow;
import hamper.paper.CrewSheet.PortRow;
import hamper.paper.CrewSheet.PortsOf;
import hamper.progress.Progress;
import hamper.progress.Progress.StringAt;
import hamper.progress.Stage;
import hamper.resolve.Placement;
import hamper.value.Decimals;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;

/** Makes the sheets of a display's controllers. */
public final class Crew {
  private final Facts facts;
  private final Plan plan;
  private final Map<String, List<String>> cautions = new HashMap<>();
  private final Map<Tag.On, String> tags;
  private final Map<String, StringAt> strings;

  private Crew(Facts facts, List<Finding> findings, Progress progress) {
    this.facts = facts;
    plan = facts.plan();
    tags = plan.display().workshop().byThing();
    strings = progress.byPiece();
    for (Finding one : findings) {
      if (one.severity() != Severity.HINT) {
        one.subjects().stream()
            .flatMap(subject -> controllerOf(subject.controller(), subject.port()).stream())
            .distinct()
            .forEach(
                id -> cautions.computeIfAbsent(id, key -> new ArrayList<>()).add(one.message()));
      }
    }
  }

  private static Optional<String> controllerOf(
      Optional<String> controller, Optional<PortRef> port) {
    return controller.or(() -> port.map(PortRef::controller));
  }

  /** One for each controller and host that anything can be plugged into, in list order. */
  public static List<CrewSheet> of(Facts facts) {
    return of(facts, Progress.NONE);
  }

  /** The same, with how far each string is. */
  public static List<CrewSheet> of(Facts facts, Progress progress) {
    Crew crew = new Crew(facts, Checks.run(facts), progress);
    return facts.controllers().stream().map(crew::sheet).toList();
  }

  /**
   * Of one controller that the display has, without how far its strings are.
   *
   * @param findings of the display
   */
  public static CrewSheet of(Facts facts, List<Finding> findings, String controller) {
    Crew crew = new Crew(facts, findings, Progress.NONE);
    return facts.controllers().stream()
        .filter(own -> own.controller().id().equals(controller))
        .map(crew::sheet)
        .findFirst()
        .orElseThrow();
  }

  private CrewSheet sheet(ControllerFacts own) {
    Controller controller = own.controller();
    return new CrewSheet(
        controller.id(),
        controller.tag(),
        controller.name(),
        plan.modelOf(controller).title(),
        facts(own),
        groups(own),
        walls(own),
        cautions.getOrDefault(controller.id(), List.of()).stream().distinct().toList());
  }

  private List<Labelled> facts(ControllerFacts own) {
    Controller controller = own.controller();
    List<Labelled> all = new ArrayList<>();
    all.add(
        new Labelled(
            "Address", controller.address().map(this::withMask).orElse("none is planned")));
    if (controller.protocol() != Protocol.NONE) {
      all.add(
          new Labelled(
              "Takes",
              "%s by %s".formatted(controller.protocol().title(), controller.transport().title())));
      String universes = LidSheets.universes(own);
      if (!universes.isEmpty()) {
        all.add(new Labelled("Universes", universes));
      }
    }
    controller
        .settings()
        .zone()
        .flatMap(id -> plan.zones().find(id))
        .ifPresent(zone -> all.add(new Labelled("Zone", zone.name())));
    controller
        .settings()
        .enclosure()
        .flatMap(id -> plan.enclosures().find(id))
        .ifPresent(box -> all.add(new Labelled("Enclosure", box.name())));
    String supplies =
        controller.powered().stream()
            .map(
                one ->
                    "%s: %s"
                        .formatted(one.socket().title(), plan.existingSupply(one.supply()).name()))
            .collect(Collectors.joining("; "));
    if (!supplies.isEmpty()) {
      all.add(new Labelled("Power", supplies));
    }
    plan.modelOf(controller).ports().stream()
        .filter(group -> group.fuseAmps().isPresent())
        .forEach(
            group -> all.add(new Labelled("Fuse of each socket", amps(group.fuseAmps().get()))));
    if (!controller.settings().note().isEmpty()) {
      all.add(new Labelled("Note", controller.settings().note()));
    }
    return all;
  }

  /** As it is typed into a device that asks for both. */
  private String withMask(IpAddress address) {
    return plan.subnetOf(address)
        .map(subnet -> "%s, mask %s".formatted(address, subnet.mask()))
        .orElse(address.text());
  }

  private static String amps(double amps) {
    return Decimals.rated(amps) + " A";
  }

  private List<PortsOf> groups(ControllerFacts own) {
    Controller controller = own.controller();
    Map<PortRef, RunFacts> hung = new HashMap<>();
    own.runs().forEach(run -> hung.put(run.port(), run));
    Map<String, List<PortRow>> groups = new LinkedHashMap<>();
    for (PortGroup group : plan.modelOf(controller).ports()) {
      int ports = plan.modeOf(controller, group.kind()).map(mode -> mode.ports()).orElse(0);
      for (int number = 1; number <= ports; number++) {
        PortRef port = new PortRef(controller.id(), group.kind(), number);
        String title = title(group, number, ports);
        groups
            .computeIfAbsent(title, key -> new ArrayList<>())
            .add(row(controller, group, port, Optional.ofNullable(hung.remove(port))));
      }
    }
    // what hangs where the model has no port is a fault, and is on paper all the same
    hung.values()
        .forEach(
            run ->
                groups
                    .computeIfAbsent("Not there", key -> new ArrayList<>())
                    .add(row(controller, null, run.port(), Optional.of(run))));
    List<PortsOf> all = new ArrayList<>();
    groups.forEach((title, ports) -> all.add(new PortsOf(title, ports)));
    return all;
  }

  private static String title(PortGroup group, int number, int ports) {
    String kind = kindTitle(group.kind());
    return group
        .banks()
        .map(banks -> "%s, bank %d".formatted(kind, (number - 1) / banks.ports() + 1))
        .orElse(kind);
  }

  private static String kindTitle(PortKind kind) {
    return switch (kind) {
      case PIXEL -> "Pixel ports";
      case RELAY -> "Circuits";
      case PANEL -> "Panel outputs";
      case DMX -> "DMX lines";
      case SERIAL -> "Serial lines";
    };
  }

  private PortRow row(
      Controller controller, PortGroup group, PortRef port, Optional<RunFacts> run) {
    List<LegRow> legs = new ArrayList<>();
    List<FeedRow> feeds = new ArrayList<>();
    int places = 0;
    if (run.isPresent()) {
      Map<Integer, List<Placement>> placed =
          run.get().placements().stream().collect(Collectors.groupingBy(Placement::leg));
      for (HungLeg leg : run.get().run().legs()) {
        legs.add(
            leg(
                controller,
                run.get().run().boxes(),
                leg,
                placed.getOrDefault(leg.index(), List.of())));
      }
      run.get().power().stream().flatMap(power -> power.feeds()).forEach(one -> feed(one, feeds));
      places = run.get().run().places();
    }
    return new PortRow(port, plan.written(port), at(group, port), legs, feeds, places);
  }

  private static String at(PortGroup group, PortRef port) {
    boolean named = group != null && port.port() <= group.pins().size();
    return named ? group.pins().get(port.port() - 1) : "";
  }

  private LegRow leg(Controller controller, boolean boxes, HungLeg leg, List<Placement> placed) {
    Piece piece = leg.at().piece();
    boolean string = piece instanceof PixelString;
    return new LegRow(
        piece.id(),
        leg.at().title(),
        plan.zoneName(leg.at().prop().zone()),
        leg.start() + 1,
        SummarySheet.pixelsOf(piece),
        leg.leg().nullPixels(),
        string && leg.at().string().sections().stream().allMatch(Section::backward),
        string ? leg.at().string().dataIn() : "",
        placed.isEmpty() ? "" : slot(controller, placed.get(0), true),
        placed.isEmpty() ? "" : slot(controller, placed.get(placed.size() - 1), false),
        set(piece),
        leg.at().type().map(type -> type.name()).orElse(what(piece)),
        leg.leg().cableMetres(),
        boxes ? Optional.of(leg.leg().box().orElse(1)) : Optional.empty(),
        leg.leg().mirrorOf().isPresent(),
        tags.getOrDefault(Tag.On.string(piece.id()), ""),
        tags.getOrDefault(Tag.On.cable(piece.id()), ""),
        Optional.ofNullable(strings.get(piece.id())).map(Crew::progress).orElse(""));
  }

  /** What a crew should know of it before it goes there; nothing of what is only planned. */
  private static String progress(StringAt one) {
    String stage =
        one.elsewhere()
            ? "is plugged in elsewhere"
            : one.stage() == Stage.PLANNED ? "" : one.stage().title();
    return one.trouble().map(trouble -> "▲ " + trouble.told()).orElse(stage);
  }

  private static String what(Piece piece) {
    if (piece instanceof SlotPiece slots) {
      return slots.channels() + " slots";
    } else if (piece instanceof SerialDimmer dimmer) {
      return dimmer.circuits() + " circuits";
    } else if (piece instanceof Wall wall) {
      return "%d × %d pixels".formatted(wall.width(), wall.height());
    }
    return "circuit";
  }

  private static String set(Piece piece) {
    if (piece instanceof SlotPiece slots) {
      return "slot " + slots.slot();
    }
    return piece instanceof SerialDimmer dimmer ? "unit " + dimmer.unit() : "";
  }

  /** As it is written in the address table: universe and channel, on DDP the byte. */
  private static String slot(Controller controller, Placement at, boolean first) {
    if (controller.protocol() == Protocol.DDP) {
      return at.controllerChannels()
          .map(span -> "byte " + ((first ? span.start() : span.last()) - 1))
          .orElse("");
    }
    Optional<UniverseChannel> slot = first ? at.start() : at.end();
    return slot.map(one -> one.universe() + ":" + one.channel()).orElse("");
  }

  private void feed(FeedLoad one, List<FeedRow> feeds) {
    if (one.at().isPresent()) {
      feeds.add(
          new FeedRow(
              one.position(),
              one.supply().map(supply -> supply.name()).orElse("no supply"),
              "%s, %s m".formatted(one.gauge().text(), Decimals.rated(one.lead().metres())),
              one.fuseAmps(),
              plan.leg(one.at().get().piece())
                  .flatMap(leg -> leg.leg().feeds().get(one.at().get().index()).tag())
                  .orElse("")));
    }
  }

  private List<WallSheet> walls(ControllerFacts own) {
    return own.runs().stream()
        .flatMap(run -> run.run().legs().stream())
        .filter(leg -> leg.at().piece() instanceof Wall)
        .map(leg -> WallSheet.front(leg.at().title(), (Wall) leg.at().piece()))
        .toList();
  }
}
