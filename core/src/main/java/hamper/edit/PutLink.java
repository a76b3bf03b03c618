package hamper.edit;

import hamper.display.Display;
import hamper.display.Link;
import hamper.display.Plan;
import java.util.List;

/** Adds a link at the end. */
public record PutLink(Link link) implements Edit {
  @Override
  public Display change(Plan plan) {
    return Kind.LINKS.adding(plan, List.of(link));
  }

  @Override
  public String label(Plan plan) {
    return "Add link " + link.name();
  }
}
