package hamper.edit;

import hamper.display.Display;
import hamper.display.Plan;

/**
 * Removes an enclosure and the links that lead to it; what was in it stays, in none, and forgets
 * the zone and the mains circuit that it had from it.
 */
public record RemoveEnclosure(String enclosure) implements RemovesOne {
  @Override
  public Kind<?> kind() {
    return Kind.ENCLOSURES;
  }

  @Override
  public Display letGo(Plan plan) {
    Display left =
        new Forgotten(plan, "enclosure", enclosure)
            .by(Kind.CONTROLLERS)
            .by(Kind.SUPPLIES)
            .display();
    return left.withLinks(left.links().stream().filter(link -> !link.touches(enclosure)).toList());
  }
}
