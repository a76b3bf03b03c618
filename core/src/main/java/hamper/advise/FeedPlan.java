package hamper.advise;

import hamper.display.HungRun;
import hamper.display.Plan;
import hamper.display.PortRef;
import hamper.display.Supply;
import hamper.edit.Edit;
import hamper.edit.PutSupply;
import hamper.edit.Together;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * Feeds for every run that needs some, as one step: where nobody has planned power yet, one finding
 * after another would be a long evening.
 *
 * @param edit empty where no run needs or gets any
 * @param runs that get feeds
 * @param feeds added in all
 * @param supplies that it brings along
 * @param left ports that no choice of feeds sets right
 */
public record FeedPlan(
    Optional<Edit> edit, int runs, int feeds, List<Supply> supplies, List<PortRef> left) {
  public FeedPlan {
    supplies = List.copyOf(supplies);
    left = List.copyOf(left);
  }

  public static FeedPlan of(Plan plan) {
    Plan now = plan;
    List<Edit> edits = new ArrayList<>();
    List<PortRef> left = new ArrayList<>();
    int runs = 0;
    for (PortRef port : plan.pixelRuns().map(HungRun::port).toList()) {
      if (!FeedPlanner.wanting(now, now.run(port).orElseThrow())) {
        continue;
      }
      Optional<Together> found = FeedAdviser.best(now, port);
      if (found.isEmpty() || edits.size() + found.get().edits().size() > Together.MOST) {
        left.add(port);
        continue;
      }
      edits.addAll(found.get().edits());
      now = found.get().applyTo(now).plan();
      runs++;
    }
    int feeds = feeds(now) - feeds(plan);
    String title =
        "Add %s to %s"
            .formatted(
                feeds == 1 ? "a feed" : feeds + " feeds", runs == 1 ? "1 run" : runs + " runs");
    return new FeedPlan(
        edits.isEmpty() ? Optional.empty() : Optional.of(new Together(title, edits)),
        runs,
        feeds,
        edits.stream()
            .filter(PutSupply.class::isInstance)
            .map(edit -> ((PutSupply) edit).supply())
            .toList(),
        left);
  }

  private static int feeds(Plan plan) {
    return plan.display().controllers().stream()
        .flatMap(controller -> controller.runs().stream())
        .flatMap(run -> run.legs().stream())
        .mapToInt(leg -> leg.feeds().size())
        .sum();
  }
}
