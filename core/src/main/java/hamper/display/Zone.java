package hamper.display;

import hamper.value.Identified;
import hamper.value.Require;
import java.util.Optional;

/**
 * A named area of the site.
 *
 * @param eastMetres rough position (m), where it is known
 * @param northMetres rough position (m), where it is known
 */
public record Zone(
    String id, String name, Optional<Double> eastMetres, Optional<Double> northMetres)
    implements Identified {
  public Zone {
    Require.id("id", id);
    Require.name("name", name);
    eastMetres.ifPresent(metres -> Require.inRange("eastMetres", metres, -100_000, 100_000));
    northMetres.ifPresent(metres -> Require.inRange("northMetres", metres, -100_000, 100_000));
  }

  /** As the crow flies (m); empty where one of the two has no position. */
  public Optional<Double> metresTo(Zone other) {
    if (id.equals(other.id)) {
      return Optional.of(0.0);
    }
    return eastMetres.flatMap(
        east ->
            northMetres.flatMap(
                north ->
                    other.eastMetres.flatMap(
                        otherEast ->
                            other.northMetres.map(
                                otherNorth -> Math.hypot(otherEast - east, otherNorth - north)))));
  }
}
