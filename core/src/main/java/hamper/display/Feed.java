package hamper.display;

import hamper.catalog.Gauge;
import hamper.value.Require;
import java.util.Optional;

/**
 * Where power enters a string, other than through its plug. It belongs to the leg, so that it goes
 * where the string goes.
 *
 * @param supply the id of the supply that it comes from
 * @param position of the string, null pixels counted, from 1; at the string's end where the string
 *     is shorter
 * @param leadMetres of its lead (m), where somebody entered it; left out: as {@link Cable}
 *     estimates
 * @param gauge of its lead; left out: {@link Wiring#CABLE}
 * @param fuseAmps of its fuse (A); left out: it has none
 * @param tag on its lead, such as P021; left out: it has none
 */
public record Feed(
    String supply,
    int position,
    Optional<Double> leadMetres,
    Optional<Gauge> gauge,
    Optional<Double> fuseAmps,
    Optional<String> tag) {
  public Feed {
    Require.id("supply", supply);
    Require.inRange("position", position, 1, 10_000_000);
    leadMetres.ifPresent(metres -> Require.inRange("leadMetres", metres, 0, 1000));
    fuseAmps.ifPresent(amps -> Require.inRange("fuseAmps", amps, 0.1, 1000));
    tag.ifPresent(text -> Tag.written("tag", text));
  }

  /** Without a tag. */
  public Feed(
      String supply,
      int position,
      Optional<Double> leadMetres,
      Optional<Gauge> gauge,
      Optional<Double> fuseAmps) {
    this(supply, position, leadMetres, gauge, fuseAmps, Optional.empty());
  }

  public Feed withPosition(int newPosition) {
    return new Feed(supply, newPosition, leadMetres, gauge, fuseAmps, tag);
  }

  Feed withTag(String newTag) {
    return new Feed(supply, position, leadMetres, gauge, fuseAmps, Optional.of(newTag));
  }

  public Gauge gaugeOrUsual() {
    return gauge.orElse(Wiring.CABLE);
  }
}
