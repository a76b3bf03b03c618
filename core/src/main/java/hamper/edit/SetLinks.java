package hamper.edit;

import hamper.display.Link;
import java.util.List;

/** Changes links. */
public record SetLinks(List<String> links, LinkChange set) implements SetsFields<Link> {
  public SetLinks {
    links = Kind.named("links", links);
  }
}
