package hamper.edit;

import hamper.display.Display;
import hamper.display.Enclosure;
import hamper.display.Plan;
import java.util.List;

/** Adds an enclosure at the end. */
public record PutEnclosure(Enclosure enclosure) implements Edit {
  @Override
  public Display change(Plan plan) {
    return Kind.ENCLOSURES.adding(plan, List.of(enclosure));
  }

  @Override
  public String label(Plan plan) {
    return "Add enclosure " + enclosure.name();
  }
}
