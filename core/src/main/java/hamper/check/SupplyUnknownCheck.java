package hamper.check;

import hamper.display.Plan;
import hamper.display.PoweredInput;
import hamper.facts.Facts;
import hamper.load.FeedLoad;
import hamper.load.Island;
import hamper.load.RunPower;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Consumer;

/** A power input of unknown supply, on runs that other supplies feed too. */
final class SupplyUnknownCheck extends Check {
  SupplyUnknownCheck() {
    super(
        "supply-unknown",
        Area.POWER,
        Severity.RISK,
        "Nobody said which supply feeds a power input",
        "Power inputs of controllers whose runs have other feeds as well, with a supply named for each: only then is it known whether two supplies are joined",
        "Two supplies may be joined at positive without anybody knowing.");
  }

  private record Input(String controller, PoweredInput.Socket socket) {}

  @Override
  void run(Facts facts, Consumer<Finding> out) {
    Map<Input, FeedLoad> unknown = new LinkedHashMap<>();
    for (RunPower run : facts.power()) {
      for (Island island : run.islands()) {
        unknown(run, island, unknown);
      }
    }
    unknown.forEach((input, feed) -> out.accept(told(facts.plan(), input, feed)));
  }

  private static void unknown(RunPower run, Island island, Map<Input, FeedLoad> unknown) {
    for (FeedLoad feed : island.feeds()) {
      if (feed.supply().isEmpty() && feed.input().isPresent() && fedFromKnown(island)) {
        unknown.putIfAbsent(new Input(run.port().controller(), feed.input().get()), feed);
      }
    }
  }

  private static boolean fedFromKnown(Island island) {
    return island.feeds().stream().anyMatch(feed -> feed.supply().isPresent());
  }

  private Finding told(Plan plan, Input input, FeedLoad feed) {
    String tag = plan.existingController(input.controller()).tag();
    return finding(
        "No supply is named for %s of %s, and %s is fed from elsewhere too"
            .formatted(input.socket().title(), tag, plan.written(feed.port())),
        Measure.words("no supply"),
        Measure.words("a supply for " + input.socket().title()),
        List.of(Subject.controller(input.controller()), Subject.port(feed.port())));
  }
}
