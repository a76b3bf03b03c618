package hamper.edit;

import hamper.display.Display;
import hamper.display.Plan;
import hamper.display.Tagged;

/** Gives a tag to each string, cable and lead that has none. */
public record GiveTags() implements Edit {
  @Override
  public Display change(Plan plan) {
    return Tagged.withAll(plan);
  }

  @Override
  public String label(Plan plan) {
    return "Give tags to %d strings and cables".formatted(Tagged.untagged(plan));
  }
}
