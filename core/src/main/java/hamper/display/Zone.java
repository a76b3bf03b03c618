package hamper.display;

import hamper.value.Require;
import java.util.Optional;

/**
 * A named area of the site.
 *
 * @param eastMetres rough position (m), where it is known
 * @param northMetres rough position (m), where it is known
 */
public record Zone(
    String id, String name, Optional<Double> eastMetres, Optional<Double> northMetres) {
  public Zone {
    Require.id("id", id);
    Require.name("name", name);
    eastMetres.ifPresent(metres -> Require.inRange("eastMetres", metres, -100_000, 100_000));
    northMetres.ifPresent(metres -> Require.inRange("northMetres", metres, -100_000, 100_000));
  }
}
