package hamper.edit;

import hamper.display.Display;
import hamper.display.Plan;
import hamper.display.Tagged;

/** Gives a tag to each string and cable that has none. */
public record GiveTags() implements Edit {
  @Override
  public Display change(Plan plan) {
    Display display = plan.display();
    return display.withWorkshop(display.workshop().withTagsFor(Tagged.things(plan)));
  }

  @Override
  public String label(Plan plan) {
    int had = plan.display().workshop().tags().size();
    int has = change(plan).workshop().tags().size();
    return "Give tags to %d strings and cables".formatted(has - had);
  }
}
