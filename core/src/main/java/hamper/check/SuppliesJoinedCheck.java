package hamper.check;

import hamper.display.Plan;
import hamper.display.Supply;
import hamper.facts.Facts;
import hamper.load.FeedLoad;
import hamper.load.Island;
import hamper.load.RunPower;
import hamper.value.Decimals;
import java.util.List;
import java.util.function.Consumer;
import java.util.stream.Collectors;

/** Supplies that are joined at positive, so that one may push current into the other. */
final class SuppliesJoinedCheck extends Check {
  SuppliesJoinedCheck() {
    super(
        "supplies-joined",
        Area.POWER,
        Severity.FAULT,
        "Two supplies joined at positive",
        "Supplies that feed one part of a run: one and the same, unless a joint between them cuts positive; and no feed with current flowing back",
        "The stronger supply feeds the weaker one; one of them shuts down or fails, and a fault on one side takes the other along.");
  }

  @Override
  void run(Facts facts, Consumer<Finding> out) {
    for (RunPower run : facts.power()) {
      for (Island island : run.islands()) {
        if (severalSupplies(island)) {
          out.accept(told(facts.plan(), run, island));
        }
      }
    }
  }

  private static boolean severalSupplies(Island island) {
    Supply first = null;
    for (FeedLoad feed : island.feeds()) {
      Supply supply = feed.supply().orElse(first);
      if (first != null && supply != first && !supply.equals(first)) {
        return true;
      }
      first = supply;
    }
    return false;
  }

  private Finding told(Plan plan, RunPower run, Island island) {
    List<Supply> supplies =
        island.feeds().stream().flatMap(feed -> feed.supply().stream()).distinct().toList();
    String back =
        island.feeds().stream()
            .filter(feed -> feed.amps() < 0)
            .map(
                feed ->
                    "; %s A flow back into %s"
                        .formatted(Decimals.of(-feed.amps(), 1), FeedWords.of(plan, feed)))
            .collect(Collectors.joining());
    FeedLoad second =
        island.feeds().stream()
            .filter(feed -> feed.supply().isPresent())
            .filter(feed -> !feed.supply().get().equals(supplies.get(0)))
            .findFirst()
            .orElseThrow();
    return finding(
        "%s feed %s together from %s on%s"
            .formatted(
                supplies.stream().map(Supply::name).collect(Collectors.joining(" and ")),
                plan.written(run.port()),
                plan.existingPiece(island.piece()).title(),
                back),
        Measure.count(supplies.size(), "supplies"),
        Measure.count(1, "supply"),
        FeedWords.subjects(second));
  }
}
