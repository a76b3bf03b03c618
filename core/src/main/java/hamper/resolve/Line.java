package hamper.resolve;

import hamper.catalog.PortKind;
import hamper.display.Circuit;
import hamper.display.Controller;
import hamper.display.HungLeg;
import hamper.display.HungRun;
import hamper.display.InForce;
import hamper.display.Leg;
import hamper.display.Piece;
import hamper.display.PieceAt;
import hamper.display.PixelString;
import hamper.display.Plan;
import hamper.display.PortRef;
import hamper.display.Run;
import hamper.display.Section;
import hamper.display.SlotPiece;
import hamper.display.Wall;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;

/**
 * One controller while its block is being laid: its runs flattened to items, and what came of it.
 */
final class Line {
  final int index;
  final Controller controller;
  final InForce inForce;

  /** Runs that flow, by kind and port. */
  final List<List<Item>> flowing = new ArrayList<>();

  /** Runs of the DMX ports in use, by port. */
  final List<List<Item>> dmx = new ArrayList<>();

  /** What the plan asks for and this controller cannot give. */
  final List<LayoutProblem> problems = new ArrayList<>();

  /** Whether anything on it mirrors something. */
  boolean mirrors;

  /** The held universe of each DMX run. */
  final List<Optional<Integer>> dmxHeld = new ArrayList<>();

  int usedChannels;
  int flowingUniverses;
  int flowingChannels;
  Optional<Integer> firstUniverse = Optional.empty();
  int[] dmxUniverses = {};
  int displayStart;

  Line(Plan plan, int index) {
    this.index = index;
    this.controller = plan.display().controllers().get(index);
    inForce = plan.inForce(controller);
    for (HungRun run : plan.runsOf(controller)) {
      if (!run.legs().isEmpty() && run.run().kind() != PortKind.SERIAL) {
        add(run.run(), flatten(run));
      }
    }
  }

  boolean usesUniverses() {
    return inForce.usesUniverses();
  }

  /** Whether it takes channels of the display at all; a host does not. */
  boolean hasBlock() {
    return flowingChannels > 0 || !dmx.isEmpty();
  }

  int channels() {
    return flowingChannels + dmx.size() * Resolver.DMX_SLOTS;
  }

  /** Everything on it, as placements are told: what flows, then DMX ports. */
  void eachItem(Consumer<Item> visitor) {
    flowing.forEach(run -> run.forEach(visitor));
    dmx.forEach(run -> run.forEach(visitor));
  }

  void report(LayoutProblem.Kind kind, Item item) {
    problems.add(new LayoutProblem(kind, item.piece, item.section));
  }

  private void add(Run run, List<Item> items) {
    if (run.kind() == PortKind.DMX) {
      dmx.add(items);
      dmxHeld.add(usesUniverses() ? run.universe() : Optional.empty());
    } else {
      flowing.add(items);
    }
  }

  private List<Item> flatten(HungRun run) {
    List<Item> items = new ArrayList<>();
    PortRef port = run.port();
    for (HungLeg hung : run.legs()) {
      int l = hung.index();
      Leg leg = hung.leg();
      mirrors |= leg.mirrorOf().isPresent();
      PieceAt at = hung.at();
      Piece piece = at.piece();
      if (piece instanceof PixelString string) {
        int width = at.pixels().channels();
        for (int s = 0; s < string.sections().size(); s++) {
          Section section = string.sections().get(s);
          items.add(
              new Item(
                  port,
                  items.size() + 1,
                  l,
                  piece.id(),
                  s,
                  section.pixels(),
                  section.addresses(),
                  width,
                  section.hold(),
                  leg.mirrorOf(),
                  0));
        }
      } else if (piece instanceof Circuit circuit) {
        items.add(single(port, items.size() + 1, l, leg, circuit));
      } else if (piece instanceof SlotPiece slotted) {
        items.add(slots(port, items.size() + 1, l, leg, slotted));
      } else if (piece instanceof Wall wall) {
        items.add(surface(port, items.size() + 1, l, leg, wall));
      }
    }
    return items;
  }

  private static Item single(PortRef port, int position, int l, Leg leg, Circuit circuit) {
    return new Item(port, position, l, circuit.id(), 0, 1, 1, 1, circuit.hold(), leg.mirrorOf(), 0);
  }

  private static Item slots(PortRef port, int position, int l, Leg leg, SlotPiece fixture) {
    return new Item(
        port,
        position,
        l,
        fixture.id(),
        0,
        0,
        0,
        fixture.channels(),
        Optional.empty(),
        leg.mirrorOf(),
        fixture.slot());
  }

  private static Item surface(PortRef port, int position, int l, Leg leg, Wall wall) {
    return new Item(
        port,
        position,
        l,
        wall.id(),
        0,
        wall.pixels(),
        wall.pixels(),
        Wall.CHANNELS_PER_PIXEL,
        wall.hold(),
        leg.mirrorOf(),
        0);
  }
}
