package hamper.edit;

import hamper.display.Controller;
import hamper.display.Display;
import hamper.display.Leg;
import hamper.display.Plan;
import hamper.display.Run;
import java.util.List;

/** Removes a supply, and with it the feeds that come from it; a preview says so beforehand. */
public record RemoveSupply(String supply) implements Edit {
  @Override
  public Display change(Plan plan) {
    Display display = plan.display();
    return Kind.SUPPLIES.without(
        plan,
        List.of(supply),
        display.withControllers(display.controllers().stream().map(this::leave).toList()));
  }

  private Controller leave(Controller controller) {
    List<Run> runs =
        controller.runs().stream()
            .map(run -> run.withLegs(run.legs().stream().map(this::leave).toList()))
            .toList();
    return controller
        .withPowered(
            controller.powered().stream().filter(one -> !one.supply().equals(supply)).toList())
        .withRuns(runs);
  }

  private Leg leave(Leg leg) {
    return leg.withFeeds(
        leg.feeds().stream().filter(feed -> !feed.supply().equals(supply)).toList());
  }

  @Override
  public String label(Plan plan) {
    return "Remove supply " + plan.existingSupply(supply).name();
  }
}
