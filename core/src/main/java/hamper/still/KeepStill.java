package hamper.still;

import hamper.address.ChannelSpan;
import hamper.address.StartsPer;
import hamper.catalog.AddressStyle;
import hamper.display.Controller;
import hamper.display.Plan;
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
import java.util.HashSet;
import java.util.List;
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
  /** A multiple of the channels of every kind of pixel. */
  private static final int EVERY_PIXEL = 60;

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
    for (How how : How.ALL) {
      Optional<Tried> tried = tried(how);
      if (tried.isPresent() && outside.moved(tried.get().stands()) < least) {
        least = outside.moved(tried.get().stands());
        bestStands = tried.get().stands();
        best = new Together(edit.label(was), List.of(edit, tried.get().holds()));
        if (least == 0) {
          return kept(edit, best, bestStands, without);
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
   * Ways to keep still; which is best depends on the plan, so each is tried.
   *
   * @param grownMoves whether what grew gives way to what stands behind it, or the other way round
   * @param grownBlockMoves the same of the universes of controllers
   * @param append whether what has to find a new place goes behind everything, and not into gaps
   */
  private record How(boolean grownMoves, boolean grownBlockMoves, boolean append) {
    static final List<How> ALL =
        List.of(
            new How(true, true, false),
            new How(true, false, false),
            new How(false, true, false),
            new How(false, false, false),
            new How(true, true, true),
            new How(true, false, true),
            new How(false, true, true),
            new How(false, false, true));
  }

  private Optional<Tried> tried(How how) {
    afloat.clear();
    for (int round = 0; round < MOST_ROUNDS; round++) {
      HoldPlaces holds = holds(how);
      Plan plan;
      try {
        plan = plain.with(holds.change(plain));
      } catch (RefusedException e) {
        return Optional.empty();
      }
      Resolution stands = Resolver.resolve(plan);
      Optional<String> inTheWay = inTheWay(stands, how.grownBlockMoves());
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

  private HoldPlaces holds(How how) {
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
        holdSections(controller, i, how, sections);
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

  private void holdSections(Controller controller, int index, How how, List<SectionPlace> out) {
    List<Unit> units =
        Unit.of(
            plain.inForce(controller).startsPer() == StartsPer.PORT,
            unkept.byController().get(index),
            stood.byController().get(was.indexOf(controller.id())),
            outside);
    HeldUnits stay = new HeldUnits();
    for (Unit unit : units) {
      if (!unit.touched() && unit.holdable() && !unit.starts().isEmpty()) {
        stay.add(new HeldUnits.HeldUnit(unit, unit.starts().keySet().iterator().next()));
      }
    }
    List<Unit> homeless = new ArrayList<>();
    for (Unit unit : units) {
      if (!unit.touched() || !unit.holdable()) {
        continue;
      }
      if (unit.first().held()) {
        // somebody wants it there: what stands in its way goes
        stay.removeAll(stay.inTheWay(unit.first().controllerChannels().get()));
      } else if (!holdTouched(unit, how.grownMoves(), stay)) {
        homeless.add(unit);
      }
    }
    if (how.append()) {
      append(controller, index, homeless, stay);
    }
    for (HeldUnits.HeldUnit one : stay.all()) {
      // what is held already stays as it is written
      Placement first = one.unit().first();
      if (!first.held()) {
        out.add(new SectionPlace(first.piece(), first.section(), one.start()));
      }
    }
  }

  /** Behind all that stood or stands there, each at a place that every kind of start can say. */
  private void append(Controller controller, int index, List<Unit> homeless, HeldUnits stay) {
    int grid =
        controller.protocol().usesUniverses()
            ? plain.inForce(controller).universeSize()
            : EVERY_PIXEL;
    int used =
        Math.max(stood.blocks().get(was.indexOf(controller.id())).usedChannels(), stay.last());
    for (Unit unit : homeless) {
      int start = (used + grid - 1) / grid * grid + 1;
      stay.add(new HeldUnits.HeldUnit(unit, start));
      used = start + unit.needs() - 1;
    }
  }

  /**
   * Holds it where that costs least.
   *
   * @return whether it is held; where it is not it flows
   */
  private static boolean holdTouched(Unit unit, boolean grownMoves, HeldUnits stay) {
    HeldUnits.HeldUnit best = null;
    List<HeldUnits.HeldUnit> gone = List.of();
    int least = unit.weight();
    for (var start : unit.starts().entrySet()) {
      HeldUnits.HeldUnit here = new HeldUnits.HeldUnit(unit, start.getKey());
      List<HeldUnits.HeldUnit> way = stay.inTheWay(here.span());
      int cost =
          unit.weight()
              - start.getValue()
              + way.stream().mapToInt(one -> one.unit().weight()).sum();
      boolean free = best == null && cost == least && (way.isEmpty() || !grownMoves);
      if (cost < least || free) {
        best = here;
        gone = way;
        least = cost;
      }
    }
    if (best != null) {
      stay.removeAll(gone);
      stay.add(best);
    }
    return best != null;
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
