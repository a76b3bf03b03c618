package hamper.files;

import hamper.address.StartsPer;
import hamper.address.UniverseChannel;
import hamper.address.UniverseGrid;
import hamper.catalog.PortKind;
import hamper.display.Controller;
import hamper.display.Display;
import hamper.display.Hold;
import hamper.display.Plan;
import hamper.edit.HoldStarts;
import hamper.files.PlanSheet.CellChange;
import hamper.files.PlanSheet.Differs;
import hamper.files.PlanSheet.Starts;
import hamper.resolve.ControllerBlock;
import hamper.resolve.Placement;
import hamper.resolve.Resolution;
import hamper.resolve.Resolver;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Starts that a planner's sheet wants, beside those that follow from the plan. */
final class SheetStarts {
  /** What a row says of its start; all empty where it says nothing that is not so. */
  record Wish(
      Optional<UniverseChannel> slot,
      Optional<Integer> offset,
      Optional<Integer> display,
      Map<String, Placement> now) {
    /** Without what is so already; what is not is told as a change of its cell. */
    Wish butFor(String piece, List<CellChange> changes) {
      Optional<Placement> at = Optional.ofNullable(now.get(piece));
      String start = at.map(SheetStarts::written).orElse("");
      Optional<UniverseChannel> otherSlot = slot.filter(one -> !one.toString().equals(start));
      Optional<Integer> otherByte = offset.filter(one -> !("byte " + one).equals(start));
      int counted = at.map(Placement::displayStart).orElse(0);
      Optional<Integer> otherDisplay = display.filter(one -> one != counted);
      if (otherSlot.isPresent() || otherByte.isPresent()) {
        changes.add(
            new CellChange(PlanColumn.START, start, PlanSheet.written(otherSlot, otherByte)));
      }
      otherDisplay.ifPresent(
          one ->
              changes.add(
                  new CellChange(
                      PlanColumn.DISPLAY_START,
                      counted == 0 ? "" : String.valueOf(counted),
                      String.valueOf(one))));
      return new Wish(otherSlot, otherByte, otherDisplay, now);
    }

    boolean says() {
      return slot.isPresent() || offset.isPresent() || display.isPresent();
    }

    String written() {
      return slot.isPresent() || offset.isPresent()
          ? PlanSheet.written(slot, offset)
          : "display channel " + display.map(String::valueOf).orElse("");
    }
  }

  private record Wanted(int row, String piece, String title, Wish wish) {}

  private final Map<String, Placement> now;
  private final List<Wanted> wanted = new ArrayList<>();

  SheetStarts(Plan plan) {
    now = firsts(Resolver.resolve(plan));
  }

  private static Map<String, Placement> firsts(Resolution resolution) {
    Map<String, Placement> firsts = new HashMap<>();
    resolution
        .placements()
        .filter(at -> at.section() == 0)
        .forEach(at -> firsts.put(at.piece(), at));
    return firsts;
  }

  /** The start as a sheet has it: universe:channel, or the byte on DDP. */
  static String written(Placement at) {
    return at.start()
        .map(UniverseChannel::toString)
        .or(() -> at.controllerChannels().map(span -> "byte " + (span.start() - 1)))
        .orElse("");
  }

  Wish read(PlanCells cells) {
    return new Wish(
        cells.slot(),
        cells.offset(),
        cells.whole(PlanColumn.DISPLAY_START, 1, Integer.MAX_VALUE),
        now);
  }

  void want(int row, String piece, String title, Wish wish) {
    if (wish.says()) {
      wanted.add(new Wanted(row, piece, title, wish));
    }
  }

  /**
   * @param flowing the plan with all rows in it
   * @param differs what is told of starts that are others
   * @return the display, with starts held where that is wanted
   */
  Display in(Plan flowing, Starts starts, List<Differs> differs) {
    if (wanted.isEmpty()) {
      return flowing.display();
    }
    Resolution resolution = Resolver.resolve(flowing);
    Map<String, Placement> follows = firsts(resolution);
    Map<String, Hold> holds = new HashMap<>();
    for (Wanted one : wanted) {
      Placement at = follows.get(one.piece());
      String there = at == null ? "" : written(at);
      boolean same =
          at != null
              && (one.wish().display().isPresent()
                  ? one.wish().display().get() == at.displayStart()
                  : one.wish().written().equals(there));
      if (same) {
        continue;
      }
      Held held =
          at == null ? Held.not("it hangs nowhere") : hold(flowing, resolution, at, one.wish());
      differs.add(
          new Differs(
              one.row(),
              one.title(),
              one.wish().written(),
              at == null
                  ? "not patched"
                  : one.wish().display().isPresent()
                      ? "display channel " + at.displayStart()
                      : there,
              held.why()));
      held.hold().ifPresent(hold -> holds.put(one.piece(), hold));
    }
    return starts == Starts.HOLD && !holds.isEmpty() ? held(flowing, holds) : flowing.display();
  }

  private record Held(Optional<Hold> hold, String why) {
    static Held not(String why) {
      return new Held(Optional.empty(), why);
    }
  }

  private static Held hold(Plan plan, Resolution resolution, Placement at, Wish wish) {
    Controller controller = plan.display().controllers().get(at.controller());
    ControllerBlock block = resolution.blocks().get(at.controller());
    if (at.mirror()) {
      return Held.not("a mirror starts where its original does");
    }
    if (at.kind() == PortKind.DMX) {
      return Held.not("a fixture stands at its slot; change that in Props");
    }
    boolean follows = plan.inForce(controller).startsPer() == StartsPer.PORT && at.position() > 1;
    if (follows) {
      return Held.not(controller.tag() + " takes one start a port, and it is not the first there");
    }
    boolean bytes = !controller.protocol().usesUniverses();
    if (bytes ? wish.slot().isPresent() : wish.offset().isPresent()) {
      return Held.not(
          bytes ? controller.tag() + " counts bytes" : controller.tag() + " has universes");
    }
    if (wish.slot().isPresent()
        && wish.slot().get().channel() > controller.settings().universeSize()) {
      return Held.not(
          "universes of %s have %d channels"
              .formatted(controller.tag(), controller.settings().universeSize()));
    }
    long channel =
        wish.display().isPresent()
            ? wish.display().get() - block.displayStart() + 1L
            : wish.slot()
                .map(
                    slot ->
                        new UniverseGrid(
                                block.firstUniverse().orElseThrow(),
                                controller.settings().universeSize())
                            .controllerChannel(slot))
                .orElseGet(() -> wish.offset().orElseThrow() + 1L);
    if (channel < 1 || channel > Hold.MOST_CHANNELS) {
      return Held.not("it lies before the first channel of " + controller.tag());
    }
    boolean fixed = controller.settings().firstUniverse().isPresent() && wish.slot().isPresent();
    return new Held(
        Optional.of(
            fixed
                ? new Hold(Optional.of(wish.slot().get().universe()), wish.slot().get().channel())
                : Hold.atChannel((int) channel)),
        "");
  }

  private static Display held(Plan plan, Map<String, Hold> holds) {
    return HoldStarts.of(
        plan,
        holds.entrySet().stream()
            .map(held -> new HoldStarts.At(held.getKey(), 0, held.getValue()))
            .toList());
  }
}
