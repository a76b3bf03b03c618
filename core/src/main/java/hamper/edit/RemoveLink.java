package hamper.edit;

import hamper.display.Display;
import hamper.display.Plan;
import java.util.List;

/** Removes a link. */
public record RemoveLink(String link) implements Edit {
  @Override
  public Display change(Plan plan) {
    return Kind.LINKS.without(plan, List.of(link), plan.display());
  }

  @Override
  public String label(Plan plan) {
    return "Remove link " + Kind.LINKS.title(plan, link);
  }
}
