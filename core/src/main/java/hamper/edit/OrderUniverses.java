package hamper.edit;

import hamper.display.Circuit;
import hamper.display.Controller;
import hamper.display.Display;
import hamper.display.Hold;
import hamper.display.HungLeg;
import hamper.display.HungRun;
import hamper.display.Piece;
import hamper.display.PixelString;
import hamper.display.Plan;
import hamper.display.Prop;
import hamper.display.Wall;
import hamper.display.Whereabouts;
import hamper.resolve.ControllerBlock;
import hamper.resolve.Resolution;
import hamper.resolve.Resolver;
import hamper.resolve.TakenUniverses;
import hamper.value.RecordShape;
import hamper.value.Require;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * Numbers first universes anew, without gaps but for the stride. Whoever has a start that is held
 * at a universe of its own stays, and others go round it, as they do round DMX lines whose universe
 * is held.
 *
 * @param by in which order
 * @param stride first universes are this far apart, or a multiple of it; from 1
 * @param letGo whether held starts are let go, so that gaps within controllers close too
 */
public record OrderUniverses(By by, int stride, boolean letGo) implements Edit {
  /** In which order controllers are numbered. */
  public enum By {
    /** As in the list; first universes are assigned then, and follow when it changes. */
    LIST("in list order"),
    /** Zone by zone, as the display lists them; first universes are fixed then. */
    ZONE("zone by zone"),
    /** As they stand, closed up; first universes are fixed then. */
    AS_THEY_STAND("closed up as they stand");

    private final String told;

    By(String told) {
      this.told = told;
    }
  }

  public OrderUniverses {
    Require.inRange("stride", stride, 1, 1000);
  }

  @Override
  public Display change(Plan plan) {
    Display display = letGo ? withoutHolds(plan.display()) : plan.display();
    Plan loose = plan.with(display);
    Resolution stands = Resolver.resolve(loose);
    List<Integer> numbered = new ArrayList<>();
    TakenUniverses taken = new TakenUniverses();
    for (int i = 0; i < display.controllers().size(); i++) {
      ControllerBlock block = stands.blocks().get(i);
      takeHeldLines(loose, i, block, taken);
      if (block.firstUniverse().isEmpty()) {
        continue;
      }
      if (isPinned(loose, i)) {
        int first = block.firstUniverse().get();
        taken.take(first, first + assigned(loose, i, block) - 1);
      } else {
        numbered.add(i);
      }
    }
    numbered.sort(order(loose, stands));
    List<Controller> controllers = new ArrayList<>(display.controllers());
    int base = display.settings().firstUniverse();
    int next = base;
    for (int index : numbered) {
      int size = assigned(loose, index, stands.blocks().get(index));
      int first = taken.free(base, stride, next, size);
      next = first + size;
      Optional<Integer> fixed = by == By.LIST ? Optional.empty() : Optional.of(first);
      controllers.set(index, controllers.get(index).withFirstUniverse(fixed));
    }
    Display numberedAnew = display.withControllers(controllers);
    return by == By.LIST
        ? RecordShape.with(
            numberedAnew,
            "settings",
            RecordShape.with(display.settings(), "universeStride", stride))
        : numberedAnew;
  }

  private Comparator<Integer> order(Plan plan, Resolution stands) {
    return switch (by) {
      case LIST -> Comparator.naturalOrder();
      case ZONE -> Comparator.comparingInt((Integer i) -> zone(plan, i)).thenComparingInt(i -> i);
      case AS_THEY_STAND ->
          Comparator.comparingInt(
                  (Integer i) -> stands.blocks().get(i).firstUniverse().orElseThrow())
              .thenComparingInt(i -> i);
    };
  }

  /** The place of its zone in the display's list; those without one come last. */
  private static int zone(Plan plan, int index) {
    return Whereabouts.zone(plan, plan.display().controllers().get(index))
        .flatMap(plan.zones()::place)
        .orElse(Integer.MAX_VALUE);
  }

  /** Universes that follow its first: those that flow, and DMX lines that hold none. */
  private static int assigned(Plan plan, int index, ControllerBlock block) {
    Controller controller = plan.display().controllers().get(index);
    int lines = 0;
    for (HungRun run : plan.runsOf(controller)) {
      boolean assigned = run.run().universe().isEmpty();
      lines += assigned && block.dmxUniverses().containsKey(run.port()) ? 1 : 0;
    }
    return Math.max(1, block.flowingUniverses() + lines);
  }

  private static void takeHeldLines(
      Plan plan, int index, ControllerBlock block, TakenUniverses taken) {
    for (HungRun run : plan.runsOf(plan.display().controllers().get(index))) {
      if (block.dmxUniverses().containsKey(run.port())) {
        run.run().universe().ifPresent(universe -> taken.take(universe, universe));
      }
    }
  }

  /** Whether anything on it is held at a universe of its own. */
  private static boolean isPinned(Plan plan, int index) {
    return plan.runsOf(plan.display().controllers().get(index)).stream()
        .flatMap(run -> run.legs().stream())
        .map(HungLeg::at)
        .flatMap(at -> holds(at.piece()).stream())
        .anyMatch(hold -> hold.universe().isPresent());
  }

  private static List<Hold> holds(Piece piece) {
    if (piece instanceof PixelString string) {
      return string.sections().stream().flatMap(section -> section.hold().stream()).toList();
    } else if (piece instanceof Circuit circuit) {
      return circuit.hold().stream().toList();
    }
    return piece instanceof Wall wall ? wall.hold().stream().toList() : List.of();
  }

  private static Display withoutHolds(Display display) {
    return display.withProps(display.props().stream().map(OrderUniverses::withoutHolds).toList());
  }

  private static Prop withoutHolds(Prop prop) {
    return prop.pieces().stream().allMatch(piece -> holds(piece).isEmpty())
        ? prop
        : prop.withPieces(prop.pieces().stream().map(Piece::withoutHolds).toList());
  }

  @Override
  public String label(Plan plan) {
    return "Universes %s%s%s"
        .formatted(
            by.told, stride > 1 ? ", every " + stride : "", letGo ? ", held starts let go" : "");
  }
}
