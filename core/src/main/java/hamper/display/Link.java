package hamper.display;

import hamper.value.Identified;
import hamper.value.Require;
import java.util.Optional;

/**
 * A network cable between two enclosures.
 *
 * @param name as on its tags, such as N1
 * @param from the id of one enclosure
 * @param to the id of the other
 * @param metres its length, where it is known (m)
 */
public record Link(
    String id, String name, String from, String to, Kind kind, Optional<Double> metres)
    implements Identified {
  /** Copper as its standard has it, with all patch cables (m). */
  public static final double MOST_COPPER_METRES = 100;

  /** Copper is planned up to here (m). */
  public static final double PLANNED_COPPER_METRES = 90;

  /** What the cable is made of. */
  public enum Kind {
    COPPER,
    FIBRE
  }

  public Link {
    Require.id("id", id);
    Require.name("name", name);
    Require.id("from", from);
    Require.id("to", to);
    Require.that(
        !from.equals(to), "to", Require.quoted(to), "a link leads to another enclosure than from");
    Require.decimalInRange("metres", metres, 0.1, 100_000);
  }

  public boolean touches(String enclosure) {
    return from.equals(enclosure) || to.equals(enclosure);
  }
}
