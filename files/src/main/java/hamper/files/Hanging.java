package hamper.files;

import hamper.catalog.PortKind;
import hamper.display.Controller;
import hamper.display.Leg;
import hamper.display.LegAt;
import hamper.display.PieceAt;
import hamper.display.Plan;
import hamper.display.PortRef;
import hamper.display.Run;
import hamper.files.PlanSheet.CellChange;
import hamper.value.RefusedException;
import hamper.value.Require;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Where pieces of a planner's sheet hang: on which port, and as which along it. */
final class Hanging {
  /** K1-7, 7, R3, K1-DMX2. */
  private static final Pattern PORT = Pattern.compile("(?:(.+)-)?([A-Za-z]*)\\s*(\\d{1,4})");

  /**
   * @param port its number; 0 where the row says none
   * @param kind as the mark says; empty: as the piece wants it
   * @param position along the port, from 1
   */
  record Wish(
      Optional<Controller> controller,
      Optional<PortKind> kind,
      int port,
      Optional<Integer> position,
      PlanCells cells) {
    boolean says() {
      return port > 0;
    }
  }

  /** A piece that hangs elsewhere than it did. */
  private record Moved(Leg leg, int position) {}

  private final Plan plan;
  private final Map<String, Controller> byName = new HashMap<>();
  private final Map<PortRef, List<Moved>> moved = new LinkedHashMap<>();
  private final Map<String, Leg> legs = new HashMap<>();
  private final Map<String, Integer> places = new HashMap<>();

  Hanging(Plan plan) {
    this.plan = plan;
    for (Controller controller : plan.display().controllers()) {
      byName.putIfAbsent(PropRowReader.key(controller.name()), controller);
      for (Run run : controller.runs()) {
        for (int i = 0; i < run.legs().size(); i++) {
          places.put(run.legs().get(i).piece(), i + 1);
        }
      }
    }
    // a tag counts more than a name
    plan.display()
        .controllers()
        .forEach(controller -> byName.put(PropRowReader.key(controller.tag()), controller));
  }

  private Controller controller(PlanCells cells, PlanColumn column, String written) {
    Controller found = byName.get(PropRowReader.key(written));
    if (found == null) {
      throw new RefusedException(
          cells.head(column),
          Require.quoted(written),
          "no controller has this tag or name; there are "
              + String.join(
                  ", ",
                  plan.display().controllers().stream().map(Controller::tag).limit(12).toList()));
    }
    return found;
  }

  /**
   * @param at where the piece is there already
   */
  Wish read(PlanCells cells, Optional<PieceAt> at) {
    String named = cells.text(PlanColumn.CONTROLLER);
    String hangs = cells.text(PlanColumn.PORT);
    Optional<Controller> controller =
        named.isEmpty()
            ? Optional.empty()
            : Optional.of(controller(cells, PlanColumn.CONTROLLER, named));
    Optional<Integer> position = cells.whole(PlanColumn.POSITION, 1, 10_000);
    Optional<LegAt> now = at.flatMap(piece -> plan.leg(piece.piece().id()));
    if (hangs.isEmpty()) {
      boolean same =
          now.isPresent()
              && controller.map(one -> one.id().equals(now.get().port().controller())).orElse(true);
      Require.that(
          same || (controller.isEmpty() && position.isEmpty()),
          cells.head(PlanColumn.PORT),
          "nothing",
          "say on which port it hangs");
      return now.filter(leg -> position.isPresent())
          .map(
              leg ->
                  new Wish(
                      of(leg), Optional.of(leg.port().kind()), leg.port().port(), position, cells))
          .orElse(new Wish(Optional.empty(), Optional.empty(), 0, Optional.empty(), cells));
    }
    Matcher matcher = PORT.matcher(hangs.strip());
    Optional<PortKind> kind =
        matcher.matches()
            ? PortKind.ofMark(matcher.group(2).toUpperCase(Locale.ROOT))
            : Optional.empty();
    if (kind.isEmpty()) {
      throw cells.refused(PlanColumn.PORT, "write a port such as 7, K1-7 or R3");
    }
    if (matcher.group(1) != null) {
      Controller tagged = controller(cells, PlanColumn.PORT, matcher.group(1));
      Require.that(
          controller.isEmpty() || controller.get() == tagged,
          cells.head(PlanColumn.PORT),
          Require.quoted(hangs),
          "the controller of this row is " + controller.map(Controller::tag).orElse(""));
      controller = Optional.of(tagged);
    }
    if (controller.isEmpty()) {
      controller = now.flatMap(this::of);
    }
    Require.that(
        controller.isPresent(),
        cells.head(PlanColumn.CONTROLLER),
        "nothing",
        "say of which controller port %s is".formatted(hangs));
    Wish wish =
        new Wish(
            controller,
            matcher.group(2).isEmpty() ? Optional.empty() : kind,
            Integer.parseInt(matcher.group(3)),
            position,
            cells);
    port(wish, at.map(one -> one.piece().portKind()).orElse(PortKind.PIXEL));
    return wish;
  }

  private Optional<Controller> of(LegAt leg) {
    return plan.controller(leg.port().controller());
  }

  /** The port that is meant, which has to be there and of the right kind. */
  private PortRef port(Wish wish, PortKind wanted) {
    Controller controller = wish.controller().orElseThrow();
    PortKind kind = wish.kind().orElse(wanted);
    Require.that(
        kind == wanted,
        wish.cells().head(PlanColumn.PORT),
        Require.quoted(wish.cells().text(PlanColumn.PORT)),
        "it hangs on a %s port".formatted(wanted.title()));
    Require.that(
        wish.port() >= 1 && wish.port() <= 1024,
        wish.cells().head(PlanColumn.PORT),
        wish.port(),
        "ports are numbered from 1");
    PortRef port = new PortRef(controller.id(), kind, wish.port());
    Require.that(
        plan.hasPort(port),
        wish.cells().head(PlanColumn.PORT),
        plan.written(port),
        "%s has no such port in its present mode".formatted(plan.modelOf(controller).title()));
    return port;
  }

  /** Tells what of where a piece hangs is another. */
  void differs(PieceAt at, Wish wish, List<CellChange> changes) {
    if (!wish.says()) {
      return;
    }
    PortRef port = port(wish, at.piece().portKind());
    Optional<PortRef> now = plan.leg(at.piece().id()).map(LegAt::port);
    if (!now.equals(Optional.of(port))) {
      changes.add(
          new CellChange(PlanColumn.PORT, now.map(plan::written).orElse(""), plan.written(port)));
      return;
    }
    int place = places.getOrDefault(at.piece().id(), 0);
    if (wish.position().isPresent() && wish.position().get() != place) {
      changes.add(
          new CellChange(
              PlanColumn.POSITION, String.valueOf(place), String.valueOf(wish.position().get())));
    }
  }

  /**
   * @param nulls in the gap before it, where the row says so
   */
  void hang(String piece, PortKind kind, Wish wish, Optional<Integer> nulls) {
    Optional<LegAt> now = plan.leg(piece);
    Leg leg = now.map(LegAt::leg).orElseGet(() -> Leg.of(piece));
    Leg changed =
        nulls
            .filter(count -> count != leg.nullPixels())
            .map(count -> leg.withGap(count, leg.cableMetres(), leg.cableGauge()))
            .orElse(leg);
    if (changed != leg && now.isPresent()) {
      legs.put(piece, changed);
    }
    if (!wish.says()) {
      return;
    }
    PortRef port = port(wish, kind);
    boolean stays =
        now.map(LegAt::port).equals(Optional.of(port))
            && wish.position().map(one -> one == places.get(piece)).orElse(true);
    if (!stays) {
      legs.put(piece, changed);
      moved
          .computeIfAbsent(port, none -> new ArrayList<>())
          .add(new Moved(changed, wish.position().orElse(Integer.MAX_VALUE)));
    }
  }

  /** The controllers with everything where the rows want it. */
  List<Controller> controllers() {
    Map<String, Controller> changed = new LinkedHashMap<>();
    plan.display().controllers().forEach(one -> changed.put(one.id(), one));
    java.util.Set<String> gone = new java.util.HashSet<>();
    moved.values().forEach(all -> all.forEach(one -> gone.add(one.leg().piece())));
    for (Controller controller : plan.display().controllers()) {
      Controller next = controller;
      for (Run run : controller.runs()) {
        List<Leg> kept =
            run.legs().stream()
                .filter(leg -> !gone.contains(leg.piece()))
                .map(leg -> legs.getOrDefault(leg.piece(), leg))
                .toList();
        next = kept.equals(run.legs()) ? next : next.withRun(run.withLegs(kept));
      }
      changed.put(controller.id(), next);
    }
    moved.forEach(
        (port, all) -> {
          Controller controller = changed.get(port.controller());
          Run run =
              controller
                  .run(port.kind(), port.port())
                  .orElseGet(() -> Run.of(port.kind(), port.port(), List.of()));
          List<Leg> order = new ArrayList<>(run.legs());
          all.sort(Comparator.comparingInt(Moved::position));
          for (Moved one : all) {
            order.add(Math.min(one.position() - 1, order.size()), one.leg());
          }
          changed.put(port.controller(), controller.withRun(run.withLegs(order)));
        });
    return List.copyOf(changed.values());
  }
}
