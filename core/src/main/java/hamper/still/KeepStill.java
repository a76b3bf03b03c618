package hamper.still;

import hamper.address.ChannelSpan;
import hamper.address.StartsPer;
import hamper.catalog.AddressStyle;
import hamper.catalog.PortKind;
import hamper.display.Controller;
import hamper.display.Plan;
import hamper.display.PortRef;
import hamper.edit.Edit;
import hamper.edit.HoldPlaces;
import hamper.edit.HoldPlaces.ControllerPlace;
import hamper.edit.HoldPlaces.LinePlace;
import hamper.edit.HoldPlaces.SectionPlace;
import hamper.edit.Together;
import hamper.resolve.ControllerBlock;
import hamper.resolve.LayoutProblem;
import hamper.resolve.Placement;
import hamper.resolve.Resolution;
import hamper.resolve.Resolver;
import hamper.value.RefusedException;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * An edit with the holds that leave every other start where it is: what was changed or came flows
 * into gaps and reserves, or behind everything where nothing fits. Where a start cannot be kept,
 * whichever is cheaper moves: what grew, or what stands in its way. Never does more move than
 * without it.
 *
 * <p>A device that counts only has no starts to hold, and on one that starts per port what follows
 * on the same wire is pushed; there starts may have to move.
 */
public final class KeepStill {
  /** What is tried until no block is in the way of another. */
  private static final int MOST_ROUNDS = 50;

  private final Plan was;
  private final Resolution stood;
  private final Plan plain;
  private final Resolution unkept;
  private final Outside outside;

  /** Pieces with holds that do not act without a fixed first universe. */
  private final Set<String> inert = new HashSet<>();

  /** Controllers whose universes may begin elsewhere. */
  private final Set<String> afloat = new HashSet<>();

  private KeepStill(Plan was, Resolution stood, Plan plain) {
    this.was = was;
    this.stood = stood;
    this.plain = plain;
    this.unkept = Resolver.resolve(plain);
    this.outside = Outside.of(was, stood, plain);
    unkept.problems().stream()
        .filter(one -> one.kind() == LayoutProblem.Kind.HOLD_WITHOUT_FIXED_UNIVERSE)
        .forEach(one -> inert.add(one.piece()));
  }

  /**
   * @param edit as it was asked for
   * @return the edit to make, and what moves with and without it
   * @throws RefusedException where the edit cannot be
   */
  public static Kept of(Plan plan, Edit edit) {
    return of(plan, Resolver.resolve(plan), edit);
  }

  /**
   * @param stood the addresses of the plan
   */
  public static Kept of(Plan plan, Resolution stood, Edit edit) {
    KeepStill still = new KeepStill(plan, stood, plan.with(edit.change(plan)));
    return still.keep(edit);
  }

  private Kept keep(Edit edit) {
    int without = outside.moved(unkept);
    if (without == 0) {
      return kept(edit, edit, unkept, 0);
    }
    Edit best = edit;
    Resolution bestStands = unkept;
    int least = without;
    for (boolean grownMoves : new boolean[] {true, false}) {
      for (boolean grownBlockMoves : new boolean[] {true, false}) {
        Optional<Tried> tried = tried(grownMoves, grownBlockMoves);
        if (tried.isPresent() && outside.moved(tried.get().stands()) < least) {
          least = outside.moved(tried.get().stands());
          bestStands = tried.get().stands();
          best = new Together(edit.label(was), List.of(edit, tried.get().holds()));
          if (least == 0) {
            return kept(edit, best, bestStands, without);
          }
        }
      }
    }
    return kept(edit, best, bestStands, without);
  }

  private Kept kept(Edit asked, Edit edit, Resolution stands, int without) {
    List<Kept.Moving> moving = new ArrayList<>();
    stands
        .placements()
        .filter(outside::hasMoved)
        .forEach(
            at ->
                moving.add(
                    new Kept.Moving(
                        at.piece(),
                        plain.existingPiece(at.piece()).title(),
                        at.section() + 1,
                        plain.written(at.port()),
                        written(outside.stood(at).orElseThrow()),
                        written(at),
                        at.channels(),
                        why(at))));
    return new Kept(edit, edit != asked, without, moving);
  }

  private static String written(Placement at) {
    return at.start()
        .map(slot -> "%d:%d".formatted(slot.universe(), slot.channel()))
        .orElseGet(
            () ->
                at.controllerChannels()
                    .map(span -> "channel " + span.start())
                    .orElse("no address"));
  }

  private String why(Placement at) {
    Controller controller = plain.display().controllers().get(at.controller());
    if (!holdsStarts(controller)) {
      return "%s counts on from port to port and has no starts to hold".formatted(controller.tag());
    }
    if (at.mirror()) {
      return "it shows what its original shows";
    }
    boolean perPort = plain.inForce(controller).startsPer() == StartsPer.PORT;
    return perPort && at.position() > 1
        ? "it follows on the same wire, and %s takes one start a port".formatted(controller.tag())
        : "there is no room for both where it stood";
  }

  /** Whether a device can be told where something starts. */
  private boolean holdsStarts(Controller controller) {
    return plain.modelOf(controller).dialect().style() != AddressStyle.PIXEL_COUNTS;
  }

  /** Holds that were tried, and where everything stands with them. */
  private record Tried(HoldPlaces holds, Resolution stands) {}

  /**
   * @param grownMoves whether what grew gives way to what stands behind it, or the other way round
   * @param grownBlockMoves the same of the universes of controllers
   */
  private Optional<Tried> tried(boolean grownMoves, boolean grownBlockMoves) {
    afloat.clear();
    for (int round = 0; round < MOST_ROUNDS; round++) {
      HoldPlaces holds = holds(grownMoves);
      Plan plan;
      try {
        plan = plain.with(holds.change(plain));
      } catch (RefusedException e) {
        return Optional.empty();
      }
      Resolution stands = Resolver.resolve(plan);
      Optional<String> inTheWay = inTheWay(stands, grownBlockMoves);
      if (inTheWay.isEmpty()) {
        return isSound(stands) ? Optional.of(new Tried(holds, stands)) : Optional.empty();
      }
      afloat.add(inTheWay.get());
    }
    return Optional.empty();
  }

  /** No more is wrong with it than without the holds. */
  private boolean isSound(Resolution stands) {
    return stands.overlaps().pairs().size() <= unkept.overlaps().pairs().size()
        && !stands.overlaps().more()
        && stands.problems().size() <= unkept.problems().size();
  }

  private HoldPlaces holds(boolean grownMoves) {
    List<SectionPlace> sections = new ArrayList<>();
    List<ControllerPlace> controllers = new ArrayList<>();
    List<LinePlace> lines = new ArrayList<>();
    boolean universesMove = universesMove();
    for (int i = 0; i < plain.display().controllers().size(); i++) {
      Controller controller = plain.display().controllers().get(i);
      Optional<Controller> then = was.controller(controller.id());
      if (then.isEmpty() || !outside.isSame(controller.id())) {
        continue;
      }
      ControllerBlock before = stood.blocks().get(was.indexOf(controller.id()));
      ControllerBlock now = unkept.blocks().get(i);
      if (before.firstUniverse().isPresent() && !afloat.contains(controller.id())) {
        // one that stays by itself would not when others are held
        if (universesMove && controller.settings().firstUniverse().isEmpty()) {
          controllers.add(new ControllerPlace(controller.id(), before.firstUniverse().get()));
        }
        holdLines(before, now, lines);
      }
      if (holdsStarts(controller)
          && unkept.byController().get(i).stream()
              .anyMatch(at -> movedInBlock(at) || universesMove && awakes(at))) {
        holdSections(controller, i, grownMoves, sections);
      }
    }
    return new HoldPlaces(sections, controllers, lines);
  }

  /** Whether any block begins at another universe than it began. */
  private boolean universesMove() {
    return plain.display().controllers().stream()
        .filter(one -> was.controller(one.id()).isPresent())
        .anyMatch(
            one ->
                !stood
                    .blocks()
                    .get(was.indexOf(one.id()))
                    .firstUniverse()
                    .equals(unkept.blocks().get(plain.indexOf(one.id())).firstUniverse()));
  }

  /** Whether it has a hold by universe that begins to act when the first universe is held. */
  private boolean awakes(Placement at) {
    return inert.contains(at.piece());
  }

  private boolean movedInBlock(Placement at) {
    return outside
        .stood(at)
        .filter(
            then ->
                !then.controllerChannels()
                    .map(ChannelSpan::start)
                    .equals(at.controllerChannels().map(ChannelSpan::start)))
        .isPresent();
  }

  private static void holdLines(
      ControllerBlock before, ControllerBlock now, List<LinePlace> lines) {
    before
        .dmxUniverses()
        .forEach(
            (port, universe) -> {
              Integer is = now.dmxUniverses().get(port);
              if (is != null && !is.equals(universe)) {
                lines.add(new LinePlace(port, universe));
              }
            });
  }

  /**
   * What starts together: one section, or all of a port.
   *
   * @param span that it stood on; none for what was not there
   * @param needs channels now
   * @param weight channels of what the edit left alone
   */
  private record Unit(
      Placement first,
      Optional<ChannelSpan> span,
      int needs,
      int weight,
      boolean touched,
      boolean holdable) {
    ChannelSpan wanted() {
      return ChannelSpan.ofLength(span.orElseThrow().start(), needs);
    }
  }

  private void holdSections(
      Controller controller, int index, boolean grownMoves, List<SectionPlace> out) {
    List<Unit> units = units(controller, unkept.byController().get(index));
    Set<Unit> afloatHere = new HashSet<>();
    List<Unit> keep = new ArrayList<>();
    for (Unit unit : units) {
      if (!unit.touched() && unit.span().isPresent() && unit.holdable()) {
        keep.add(unit);
      }
    }
    for (Unit unit : units) {
      if (!unit.touched() || unit.span().isEmpty() || !unit.holdable()) {
        continue;
      }
      if (unit.first().held()) {
        // somebody wants it there: what stands in its way goes
        ChannelSpan there = unit.first().controllerChannels().get();
        keep.stream().filter(other -> other.wanted().overlaps(there)).forEach(afloatHere::add);
        continue;
      }
      List<Unit> hit =
          keep.stream()
              .filter(other -> !afloatHere.contains(other))
              .filter(other -> other.wanted().overlaps(unit.wanted()))
              .toList();
      int cost = hit.stream().mapToInt(Unit::weight).sum();
      boolean stays = hit.isEmpty() || (grownMoves ? cost < unit.weight() : cost <= unit.weight());
      if (stays) {
        afloatHere.addAll(hit);
        keep.add(unit);
      }
    }
    for (Unit unit : keep) {
      // what is held already stays as it is written
      if (!afloatHere.contains(unit) && !unit.first().held()) {
        out.add(
            new SectionPlace(
                unit.first().piece(), unit.first().section(), unit.span().get().start()));
      }
    }
  }

  private List<Unit> units(Controller controller, List<Placement> placements) {
    boolean perPort = plain.inForce(controller).startsPer() == StartsPer.PORT;
    Map<Object, List<Placement>> together = new LinkedHashMap<>();
    for (Placement at : placements) {
      if (!at.mirror() && at.kind() != PortKind.DMX && at.controllerChannels().isPresent()) {
        Object key =
            perPort
                ? new PortRef(controller.id(), at.port().kind(), at.port().port())
                : new Outside.Key(at.piece(), at.section());
        together.computeIfAbsent(key, any -> new ArrayList<>()).add(at);
      }
    }
    Map<Outside.Key, Placement> before = new HashMap<>();
    stood.placements().forEach(at -> before.put(new Outside.Key(at.piece(), at.section()), at));
    return together.values().stream().map(all -> unit(all, perPort, before)).toList();
  }

  private Unit unit(List<Placement> all, boolean perPort, Map<Outside.Key, Placement> before) {
    Placement first = all.get(0);
    Placement last = all.get(all.size() - 1);
    int needs = last.controllerChannels().get().end() - first.controllerChannels().get().start();
    Optional<Placement> then =
        Optional.ofNullable(before.get(new Outside.Key(first.piece(), first.section())))
            .filter(at -> at.port().equals(first.port()));
    return new Unit(
        first,
        then.flatMap(Placement::controllerChannels),
        needs,
        all.stream()
            .filter(at -> outside.stood(at).isPresent())
            .mapToInt(Placement::channels)
            .sum(),
        all.stream().anyMatch(at -> outside.stood(at).isEmpty()),
        !perPort || first.position() == 1);
  }

  /** A controller whose universes have to begin elsewhere, so that no block is in another's way. */
  private Optional<String> inTheWay(Resolution stands, boolean grownBlockMoves) {
    List<ControllerBlock> blocks = new ArrayList<>(stands.blocks());
    blocks.removeIf(block -> block.firstUniverse().isEmpty() || block.flowingUniverses() == 0);
    blocks.sort(Comparator.comparing(block -> block.firstUniverse().get()));
    ControllerBlock widest = null;
    for (ControllerBlock block : blocks) {
      if (widest != null && meet(widest, block) && !meetWithout(widest, block)) {
        boolean grewFirst = grew(widest);
        String grown = (grewFirst ? widest : block).controller();
        String still = (grewFirst ? block : widest).controller();
        String gives = grownBlockMoves ? grown : still;
        String other = grownBlockMoves ? still : grown;
        if (!afloat.contains(gives) || !afloat.contains(other)) {
          return Optional.of(afloat.contains(gives) ? other : gives);
        }
      }
      if (widest == null
          || block.lastFlowingUniverse().get() > widest.lastFlowingUniverse().get()) {
        widest = block;
      }
    }
    return Optional.empty();
  }

  private boolean grew(ControllerBlock block) {
    return was.controller(block.controller())
        .map(then -> stood.blocks().get(was.indexOf(then.id())).universes() < block.universes())
        .orElse(true);
  }

  /** Whether two blocks meet without the holds, or did before the edit. */
  private boolean meetWithout(ControllerBlock one, ControllerBlock other) {
    boolean now =
        meet(
            unkept.blocks().get(plain.indexOf(one.controller())),
            unkept.blocks().get(plain.indexOf(other.controller())));
    return now
        || was.controller(one.controller()).isPresent()
            && was.controller(other.controller()).isPresent()
            && meet(
                stood.blocks().get(was.indexOf(one.controller())),
                stood.blocks().get(was.indexOf(other.controller())));
  }

  private static boolean meet(ControllerBlock one, ControllerBlock other) {
    if (one.firstUniverse().isEmpty()
        || other.firstUniverse().isEmpty()
        || one.flowingUniverses() == 0
        || other.flowingUniverses() == 0) {
      return false;
    }
    return one.firstUniverse().get() <= other.lastFlowingUniverse().get()
        && other.firstUniverse().get() <= one.lastFlowingUniverse().get();
  }
}
