package hamper.arrange;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import hamper.address.IpAddress;
import hamper.address.Protocol;
import hamper.catalog.Catalog;
import hamper.catalog.PortKind;
import hamper.display.Cable;
import hamper.display.Controller;
import hamper.display.ControllerSettings;
import hamper.display.Display;
import hamper.display.DisplaySettings;
import hamper.display.Piece;
import hamper.display.PieceAt;
import hamper.display.PixelString;
import hamper.display.Plan;
import hamper.display.PortRef;
import hamper.display.Prop;
import hamper.display.Section;
import hamper.display.Zone;
import hamper.edit.HangPieces;
import hamper.facts.Facts;
import hamper.files.CatalogueFiles;
import hamper.samples.Trial;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

/** Small ones against every way that there is, worked out by itself. */
@Tag("trial")
class ExactArrangeTest {
  private static final Catalog CATALOG = CatalogueFiles.shipped();
  private static final int YARDS = Trial.size(14, 300);

  /** Yards with more ways than these are left out: one of them takes longer than ten others. */
  private static final int MOST_WAYS = Trial.size(400, Integer.MAX_VALUE);

  private static final double LEFT = 1e8;

  private record Way(double sum, Map<PieceAt, PortRef> at) {}

  /** Up to five pieces on four ports of two controllers, or up to seven on three of one. */
  private static Plan yard(int seed) {
    Random random = new Random(seed);
    List<Zone> zones = new ArrayList<>();
    for (int i = 0; i < 4; i++) {
      zones.add(
          new Zone(
              "z" + i,
              "Zone " + i,
              Optional.of((double) random.nextInt(20)),
              Optional.of((double) random.nextInt(20))));
    }
    boolean two = random.nextBoolean();
    List<Controller> controllers = new ArrayList<>();
    for (int i = 1; i <= (two ? 2 : 1); i++) {
      String model =
          two ? random.nextBoolean() ? "quillby-wren" : "pelloway-hat" : "quillby-wren-r";
      ControllerSettings settings =
          ControllerSettings.of(Protocol.DDP)
              .withAddress(Optional.of(new IpAddress("10.0.0." + (10 + i))))
              .withZone(Optional.of("z" + random.nextInt(4)));
      controllers.add(
          new Controller(
              "k" + i, "K" + i, "Box " + i, model, settings, Optional.empty(), List.of()));
    }
    List<String> types = CATALOG.pixelTypes().stream().map(type -> type.id()).limit(3).toList();
    int left = two ? 5 : 7;
    List<Prop> props = new ArrayList<>();
    while (left > 0 && props.size() < 4) {
      int strings = 1 + random.nextInt(Math.min(3, left));
      left -= strings;
      String id = "p" + props.size();
      String type = types.get(random.nextInt(random.nextInt(3) + 1));
      props.add(
          new Prop(
              id,
              name(props.size()),
              Optional.of("z" + random.nextInt(4)),
              Optional.empty(),
              IntStream.rangeClosed(1, strings)
                  .mapToObj(
                      n ->
                          new PixelString(
                              id + "-" + n,
                              "string",
                              type,
                              List.of(Section.of(5 + random.nextInt(90)))))
                  .map(Piece.class::cast)
                  .toList()));
    }
    Display display =
        new Display(
            "Small",
            new DisplaySettings(1, 1, 40),
            List.of(),
            List.of(),
            zones,
            props,
            controllers);
    return new Plan(display, CATALOG);
  }

  /** Two that are left and right, and two that are numbered. */
  private static String name(int index) {
    return List.of("Left sail", "Right sail", "Buoy 1", "Buoy 2").get(index);
  }

  /** Twins as the test knows them: alike in pieces; numbers in one zone only. */
  private static boolean twins(Prop before, Prop after) {
    boolean sides = before.name().equals("Left sail") && after.name().equals("Right sail");
    boolean numbers =
        before.name().equals("Buoy 1")
            && after.name().equals("Buoy 2")
            && before.zone().equals(after.zone());
    return (sides || numbers) && before.pieces().size() == after.pieces().size();
  }

  private static boolean match(PortRef before, PortRef after) {
    return before.controller().equals(after.controller())
        ? before.port() < after.port()
        : before.port() == after.port();
  }

  private static List<PieceAt> pieces(Plan plan) {
    return plan.display().props().stream()
        .sorted(Comparator.comparingInt(prop -> -prop.pieces().size()))
        .flatMap(prop -> prop.pieces().stream())
        .map(piece -> plan.existingPiece(piece.id()))
        .toList();
  }

  private static List<PortRef> ports(Plan plan) {
    List<PortRef> all = new ArrayList<>();
    for (Controller controller : plan.display().controllers()) {
      for (int port = 1; plan.hasPort(new PortRef(controller.id(), PortKind.PIXEL, port)); port++) {
        all.add(new PortRef(controller.id(), PortKind.PIXEL, port));
      }
    }
    return all;
  }

  private static Map<String, Long> portsByController(Plan plan) {
    return ports(plan).stream()
        .collect(Collectors.groupingBy(PortRef::controller, Collectors.counting()));
  }

  /** Cable from where the wire ends to a piece (m). */
  private static double metres(Plan plan, PortRef port, PieceAt piece, Map<PortRef, PieceAt> ends) {
    Optional<String> from =
        ends.containsKey(port)
            ? ends.get(port).prop().zone()
            : plan.existingController(port.controller()).settings().zone();
    return Cable.metresBetween(plan, from, piece.prop().zone())
        .map(flight -> Math.ceil(flight * Cable.DETOUR))
        .orElse(200.0);
  }

  private static double metres(Plan plan, List<PieceAt> pieces, Map<PieceAt, PortRef> at) {
    double sum = 0;
    Map<PortRef, PieceAt> ends = new HashMap<>();
    for (PieceAt piece : pieces) {
      if (at.containsKey(piece)) {
        sum += metres(plan, at.get(piece), piece, ends);
        ends.put(at.get(piece), piece);
      }
    }
    return sum;
  }

  /** The weighed sum of a way, piece by piece in their order. */
  private static double sum(Plan plan, Aim aim, List<PieceAt> pieces, Map<PieceAt, PortRef> at) {
    return sum(plan, portsByController(plan), aim, pieces, at);
  }

  private static double sum(
      Plan plan, Map<String, Long> ports, Aim aim, List<PieceAt> pieces, Map<PieceAt, PortRef> at) {
    Weights weights = aim.weights();
    double sum = 0;
    Map<PortRef, PieceAt> ends = new HashMap<>();
    Map<PieceAt, PortRef> hung = new LinkedHashMap<>();
    for (PieceAt piece : pieces) {
      PortRef port = at.get(piece);
      if (port == null) {
        sum += LEFT;
        continue;
      }
      long taken =
          ends.keySet().stream().filter(one -> one.controller().equals(port.controller())).count();
      sum += metres(plan, port, piece, ends) * weights.metre();
      sum +=
          ends.containsKey(port)
              ? weights.shared()
              : weights.room() * taken / ports.get(port.controller());
      sum += taken == 0 ? weights.another() : 0;
      sum += beside(weights, piece, port, hung);
      ends.put(port, piece);
      hung.put(piece, port);
    }
    return sum;
  }

  private static double beside(
      Weights weights, PieceAt piece, PortRef port, Map<PieceAt, PortRef> hung) {
    double sum = 0;
    PortRef before = null;
    boolean zoneElsewhere = false;
    boolean zoneHere = false;
    int index = piece.prop().pieces().indexOf(piece.piece());
    for (Map.Entry<PieceAt, PortRef> one : hung.entrySet()) {
      Prop other = one.getKey().prop();
      PortRef there = one.getValue();
      if (other.equals(piece.prop())) {
        before = there; // they come in the order of the prop
      }
      if (other.pieces().indexOf(one.getKey().piece()) == index) {
        boolean apart =
            twins(other, piece.prop()) && !match(there, port)
                || twins(piece.prop(), other) && !match(port, there);
        sum += apart ? weights.twin() : 0;
      }
      if (other.zone().equals(piece.prop().zone())) {
        boolean here = there.controller().equals(port.controller());
        zoneHere |= here;
        zoneElsewhere |= !here;
      }
    }
    sum += zoneElsewhere && !zoneHere ? weights.zone() : 0;
    if (before != null && !before.controller().equals(port.controller())) {
      sum += weights.split();
    } else if (before != null) {
      int step = port.port() - before.port();
      sum += step < 0 ? weights.backwards() : Math.max(0, step - 1) * weights.skipped();
    }
    return sum;
  }

  private static boolean right(Plan plan, Set<String> before, Map<PieceAt, PortRef> at) {
    Map<PortRef, List<String>> byPort = new LinkedHashMap<>();
    at.forEach(
        (piece, port) ->
            byPort.computeIfAbsent(port, key -> new ArrayList<>()).add(piece.piece().id()));
    if (byPort.isEmpty()) {
      return true;
    }
    HangPieces edit =
        new HangPieces(
            byPort.entrySet().stream()
                .map(one -> new HangPieces.OnOutlet(one.getKey(), one.getValue()))
                .toList());
    return before.containsAll(Yards.grave(plan.with(edit.change(plan))));
  }

  private static void ways(
      Plan plan,
      Map<String, Long> ports,
      Aim aim,
      Map<PieceAt, List<PortRef>> may,
      List<PieceAt> pieces,
      int index,
      Map<PieceAt, PortRef> at,
      List<Way> all) {
    if (index == pieces.size()) {
      all.add(new Way(sum(plan, ports, aim, pieces, at), new LinkedHashMap<>(at)));
      return;
    }
    ways(plan, ports, aim, may, pieces, index + 1, at, all);
    for (PortRef port : may.get(pieces.get(index))) {
      at.put(pieces.get(index), port);
      ways(plan, ports, aim, may, pieces, index + 1, at, all);
      at.remove(pieces.get(index));
    }
  }

  @Test
  void smallOnesAreAsGoodAsTheBestOfAllWaysAndNoBoundIsAboveAny() {
    int shared = 0;
    int left = 0;
    for (int seed = 0; seed < YARDS; seed++) {
      Plan plan = yard(seed);
      Aim aim = Aim.values()[seed % 3];
      List<PieceAt> pieces = pieces(plan);
      Set<String> before = Yards.grave(plan);
      // a piece that is wrong on a port by itself is so in company too
      Map<PieceAt, List<PortRef>> may = new HashMap<>();
      for (PieceAt piece : pieces) {
        may.put(
            piece,
            ports(plan).stream().filter(port -> right(plan, before, Map.of(piece, port))).toList());
      }
      if (may.values().stream().mapToInt(some -> some.size() + 1).reduce(1, (a, b) -> a * b)
          > MOST_WAYS) {
        continue;
      }
      List<Way> all = new ArrayList<>();
      ways(plan, portsByController(plan), aim, may, pieces, 0, new LinkedHashMap<>(), all);
      all.sort(Comparator.comparingDouble(Way::sum));
      Way best =
          all.stream().filter(way -> right(plan, before, way.at())).findFirst().orElseThrow();
      Proposal proposal = Arrange.of(Facts.of(plan), Asked.of(Arrange.loose(plan), aim));
      Map<PieceAt, PortRef> at = new LinkedHashMap<>();
      proposal.hung().forEach(one -> at.put(plan.existingPiece(one.piece()), one.port()));
      assertThat(sum(plan, aim, pieces, at))
          .as("yard %d", seed)
          .isEqualTo(best.sum(), within(1e-6));
      assertThat(right(plan, before, at)).as("yard %d", seed).isTrue();
      left += proposal.left().size();
      shared += at.size() - new HashSet<>(at.values()).size();
      boundsHold(plan, before, proposal, at.keySet(), all);
    }
    assertThat(shared).as("pieces that share a port").isPositive();
    assertThat(left).as("pieces that fit nowhere").isPositive();
  }

  /** Of all ways to hang the same pieces none is below. */
  private static void boundsHold(
      Plan plan, Set<String> before, Proposal proposal, Set<PieceAt> hung, List<Way> all) {
    Least least = proposal.cost().least();
    all.stream()
        .filter(way -> way.at().keySet().equals(hung))
        .limit(Trial.size(15, 60))
        .filter(way -> right(plan, before, way.at()))
        .forEach(
            way -> {
              Set<PortRef> ports = new HashSet<>(way.at().values());
              assertThat(ports.size()).isGreaterThanOrEqualTo(least.outlets());
              assertThat(ports.stream().map(PortRef::controller).distinct().count())
                  .isGreaterThanOrEqualTo(least.controllers());
              assertThat(metres(plan, pieces(plan), way.at()))
                  .isGreaterThanOrEqualTo(least.metres() - 1e-6);
            });
  }
}
