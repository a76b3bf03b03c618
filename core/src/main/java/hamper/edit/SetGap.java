package hamper.edit;

import hamper.catalog.Gauge;
import hamper.display.Display;
import hamper.display.LegAt;
import hamper.display.Plan;
import hamper.value.RefusedException;
import hamper.value.Require;
import java.util.Optional;

/**
 * Sets null pixels and cable of the gap before a leg.
 *
 * @param cableMetres (m); left out: as estimated from the positions of zones
 * @param cableGauge left out: the usual one
 */
public record SetGap(
    String piece, int nullPixels, Optional<Double> cableMetres, Optional<Gauge> cableGauge)
    implements Edit {
  @Override
  public Display change(Plan plan) {
    LegAt at = patched(plan, piece);
    return Runs.changeLeg(
        plan.display(),
        at.port(),
        at.index(),
        leg -> leg.withGap(nullPixels, cableMetres, cableGauge));
  }

  @Override
  public String label(Plan plan) {
    return "Set the gap before " + plan.existingPiece(piece).title();
  }

  /** The leg of a piece that has to hang somewhere. */
  static LegAt patched(Plan plan, String piece) {
    String title = plan.existingPiece(piece).title();
    return plan.leg(piece)
        .orElseThrow(
            () ->
                new RefusedException(
                    "piece", Require.quoted(title), "it is not patched; hang it on a port first"));
  }
}
