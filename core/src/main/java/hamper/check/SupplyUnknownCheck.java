package hamper.check;

import hamper.display.Plan;
import hamper.load.FeedLoad;
import hamper.load.Island;
import hamper.load.RunPower;
import java.util.Comparator;
import java.util.List;
import java.util.TreeMap;
import java.util.function.Consumer;

/** A power input of unknown supply, on runs that other supplies feed too. */
final class SupplyUnknownCheck implements Check {
  private static final Page PAGE =
      new Page(
          "supply-unknown",
          Area.POWER,
          Severity.RISK,
          "Nobody said which supply feeds a power input",
          "Power inputs of controllers whose runs have other feeds as well, with a supply named for each: only then is it known whether two supplies are joined",
          "Two supplies may be joined at positive without anybody knowing.");

  @Override
  public Page page() {
    return PAGE;
  }

  private record Input(String controller, int number) {}

  @Override
  public void run(Facts facts, Consumer<Finding> out) {
    TreeMap<Input, FeedLoad> unknown =
        new TreeMap<>(Comparator.comparing(Input::controller).thenComparing(Input::number));
    for (RunPower run : facts.power()) {
      for (Island island : run.islands()) {
        if (run.input().isPresent() && unknown(island)) {
          unknown.putIfAbsent(
              new Input(run.port().controller(), run.input().get()), island.feeds().get(0));
        }
      }
    }
    unknown.forEach((input, feed) -> out.accept(told(facts.plan(), input, feed)));
  }

  /** The socket's own supply is not known, and another comes in. */
  private static boolean unknown(Island island) {
    return island.feeds().stream().anyMatch(feed -> feed.supply().isEmpty())
        && island.feeds().stream().anyMatch(feed -> feed.supply().isPresent());
  }

  private Finding told(Plan plan, Input input, FeedLoad feed) {
    String tag = plan.existingController(input.controller()).tag();
    return finding(
        "Power input %d of %s has no supply named, and %s is fed from elsewhere too"
            .formatted(input.number(), tag, plan.written(feed.port())),
        "no supply",
        "a supply for power input " + input.number(),
        List.of(Subject.controller(input.controller()), Subject.port(feed.port())));
  }
}
