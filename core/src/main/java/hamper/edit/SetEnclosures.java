package hamper.edit;

import hamper.display.Enclosure;
import java.util.List;

/** Changes enclosures. */
public record SetEnclosures(List<String> enclosures, EnclosureChange set)
    implements SetsFields<Enclosure> {
  public SetEnclosures {
    enclosures = Kind.named("enclosures", enclosures);
  }
}
