package hamper.edit;

import hamper.display.Display;
import hamper.display.Plan;
import hamper.display.Tag;
import hamper.display.Tagged;

/**
 * Changes the tag of one thing, or takes it off.
 *
 * @param on a string, cable or lead of the plan
 */
public record SetTag(Tag.On on, Change<String> text) implements Edit {
  @Override
  public Display change(Plan plan) {
    if (on.kind() == Tag.Kind.LEAD) {
      FeedChange set = Fields.only(FeedChange.class, "tag", text);
      return new SetFeed(on.of(), on.bank().orElseThrow() - 1, set).change(plan);
    }
    String name = Tagged.nameOf(plan, on);
    Display display = plan.display();
    return text.said()
        ? display.withWorkshop(display.workshop().withTag(on, text.value(), name))
        : display;
  }

  @Override
  public String label(Plan plan) {
    return text.value()
        .map(said -> "Tag %s: %s".formatted(Tagged.nameOf(plan, on), said))
        .orElseGet(() -> "Take the tag off " + Tagged.nameOf(plan, on));
  }
}
