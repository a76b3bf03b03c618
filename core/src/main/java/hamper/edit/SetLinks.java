package hamper.edit;

import hamper.display.Display;
import hamper.display.Link;
import hamper.display.Plan;
import java.util.List;

/** Changes links. */
public record SetLinks(List<String> links, LinkChange set) implements Edit {
  public SetLinks {
    links = Kind.named("links", links);
  }

  /** What makes one link of another. */
  public static SetLinks between(Link before, Link after) {
    return new SetLinks(List.of(after.id()), Fields.between(LinkChange.class, before, after));
  }

  @Override
  public Display change(Plan plan) {
    return Kind.LINKS.changing(plan, links, set);
  }

  @Override
  public String label(Plan plan) {
    return Kind.LINKS.told(plan, links, set);
  }
}
