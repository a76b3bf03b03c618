package hamper.edit;

import hamper.display.Controller;
import hamper.display.Display;
import hamper.display.Leg;
import hamper.display.Plan;

/** Removes a supply, and with it the feeds that come from it; a preview says so beforehand. */
public record RemoveSupply(String supply) implements RemovesOne {
  @Override
  public Kind<?> kind() {
    return Kind.SUPPLIES;
  }

  @Override
  public Display letGo(Plan plan) {
    return Kind.CONTROLLERS.each(plan, plan.display(), this::leave);
  }

  private Controller leave(Controller controller) {
    return controller
        .withPowered(
            controller.powered().stream().filter(one -> !one.supply().equals(supply)).toList())
        .withRuns(
            controller.runs().stream()
                .map(run -> run.withLegs(run.legs().stream().map(this::leave).toList()))
                .toList());
  }

  private Leg leave(Leg leg) {
    return leg.withFeeds(
        leg.feeds().stream().filter(feed -> !feed.supply().equals(supply)).toList());
  }
}
