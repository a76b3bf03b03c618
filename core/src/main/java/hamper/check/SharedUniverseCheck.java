package hamper.check;

import hamper.display.Controller;
import hamper.facts.Facts;
import hamper.resolve.ControllerBlock;
import hamper.resolve.PacketDomain;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Consumer;

/** A universe that reaches two controllers, though no channel is shared. */
final class SharedUniverseCheck implements Check {
  private static final Page PAGE =
      new Page(
          "shared-universe",
          Area.ADDRESSES,
          Severity.HINT,
          "A universe reaches two controllers",
          "Universes in use on controllers that the same packets reach; shared channels are a fault of their own",
          "Nothing; but whoever moves an address on one side will meet the other.");

  @Override
  public Page page() {
    return PAGE;
  }

  @Override
  public void run(Facts facts, Consumer<Finding> out) {
    Map<String, Map<Integer, Integer>> reach = new HashMap<>();
    Set<Set<Integer>> told = new HashSet<>();
    List<Controller> controllers = facts.plan().display().controllers();
    Set<Set<Integer>> overlapping = new HashSet<>();
    facts
        .resolution()
        .overlaps()
        .pairs()
        .forEach(
            pair ->
                overlapping.add(Set.copyOf(List.of(pair.a().controller(), pair.b().controller()))));
    for (int i = 0; i < controllers.size(); i++) {
      Controller controller = controllers.get(i);
      if (!controller.protocol().usesUniverses()) {
        continue;
      }
      Map<Integer, Integer> owners =
          reach.computeIfAbsent(PacketDomain.of(controller), domain -> new HashMap<>());
      int size = controller.settings().universeSize();
      ControllerBlock block = facts.resolution().blocks().get(i);
      for (int universe : block.sentUniverses(size).toArray()) {
        Integer other = owners.putIfAbsent(universe, i);
        if (other != null && other != i) {
          Set<Integer> pair = Set.of(other, i);
          if (!overlapping.contains(pair) && told.add(pair)) {
            out.accept(told(controllers.get(other), controller, universe));
          }
        }
      }
    }
  }

  private Finding told(Controller a, Controller b, int universe) {
    return finding(
        "%s and %s both get universe %d".formatted(a.tag(), b.tag(), universe),
        Measure.told(universe, "universe", "universe %d on 2 controllers".formatted(universe)),
        Measure.words("1 controller a universe"),
        List.of(Subject.controller(a.id()), Subject.controller(b.id())));
  }
}
