package hamper.edit;

import hamper.display.Display;
import hamper.display.Plan;

/** Removes a zone; what lay in it lies in none afterwards. */
public record RemoveZone(String zone) implements RemovesOne {
  @Override
  public Kind<?> kind() {
    return Kind.ZONES;
  }

  @Override
  public Display letGo(Plan plan) {
    return new Forgotten(plan, "zone", zone)
        .by(Kind.PROPS)
        .by(Kind.CONTROLLERS)
        .by(Kind.ENCLOSURES)
        .by(Kind.SUPPLIES)
        .display();
  }
}
