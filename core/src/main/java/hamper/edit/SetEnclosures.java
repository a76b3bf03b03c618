package hamper.edit;

import hamper.display.Display;
import hamper.display.Enclosure;
import hamper.display.Plan;
import java.util.List;

/** Changes enclosures. */
public record SetEnclosures(List<String> enclosures, EnclosureChange set) implements Edit {
  public SetEnclosures {
    enclosures = Kind.named("enclosures", enclosures);
  }

  /** What makes one enclosure of another. */
  public static SetEnclosures between(Enclosure before, Enclosure after) {
    return new SetEnclosures(
        List.of(after.id()), Fields.between(EnclosureChange.class, before, after));
  }

  @Override
  public Display change(Plan plan) {
    return Kind.ENCLOSURES.changing(plan, enclosures, set);
  }

  @Override
  public String label(Plan plan) {
    return Kind.ENCLOSURES.told(plan, enclosures, set);
  }
}
