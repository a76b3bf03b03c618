package hamper.check;

import hamper.display.Controller;
import hamper.facts.Facts;
import hamper.resolve.Occupancy;
import hamper.resolve.Overlap;
import hamper.resolve.Placement;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.function.Consumer;

/** A universe that reaches two controllers, though no channel is shared. */
final class SharedUniverseCheck extends Check {
  SharedUniverseCheck() {
    super(
        "shared-universe",
        Area.ADDRESSES,
        Severity.HINT,
        "A universe reaches two controllers",
        "Universes in use on controllers that the same packets reach; shared channels are a fault of their own",
        "Nothing; but whoever moves an address on one side will meet the other.");
  }

  @Override
  void run(Facts facts, Consumer<Finding> out) {
    Set<Pair> told = new HashSet<>();
    // shared channels are a fault of their own
    for (Overlap pair : facts.resolution().overlaps().pairs()) {
      told.add(Pair.of(pair.a().controller(), pair.b().controller()));
    }
    List<Controller> controllers = facts.plan().display().controllers();
    for (Occupancy domain : facts.resolution().occupancy()) {
      for (int universe : domain.sharedUniverses()) {
        List<Integer> here = standing(domain, universe);
        for (int other : here) {
          if (other != here.get(0) && told.add(Pair.of(here.get(0), other))) {
            out.accept(told(controllers.get(here.get(0)), controllers.get(other), universe));
          }
        }
      }
    }
  }

  /** Two controllers, by their places in the list. */
  private record Pair(int first, int second) {
    static Pair of(int one, int other) {
      return new Pair(Math.min(one, other), Math.max(one, other));
    }
  }

  /** Places of the controllers with something of their own in a universe, in list order. */
  private static List<Integer> standing(Occupancy domain, int universe) {
    return domain.in(universe).stream()
        .map(Occupancy.Span::placement)
        .filter(at -> !at.mirror())
        .map(Placement::controller)
        .distinct()
        .sorted()
        .toList();
  }

  private Finding told(Controller a, Controller b, int universe) {
    return finding(
        "%s and %s both get universe %d".formatted(a.tag(), b.tag(), universe),
        Measure.told(universe, "universe", "universe %d on 2 controllers".formatted(universe)),
        Measure.words("1 controller a universe"),
        List.of(Subject.controller(a.id()), Subject.controller(b.id())));
  }
}
