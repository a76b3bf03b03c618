package hamper.display;

import hamper.catalog.Gauge;
import hamper.value.Require;
import java.util.Optional;

/**
 * The wires of a string, as far as somebody entered them; what is left out is as usual.
 *
 * @param gauge of its wires; left out: {@link #STRING}
 * @param spacingMetres of wire from pixel to pixel (m); left out: {@link #SPACING_METRES}
 * @param dataOnly whether no power comes in through its plug
 * @param connectorAmps most that its plug carries (A); left out: not judged
 */
public record Wiring(
    Optional<Gauge> gauge,
    Optional<Double> spacingMetres,
    boolean dataOnly,
    Optional<Double> connectorAmps) {
  /** The wire of most stock strings, a rule of thumb. */
  public static final Gauge STRING = Gauge.awg(20);

  /** The wire of most extension cables and leads, a rule of thumb. */
  public static final Gauge CABLE = Gauge.awg(18);

  /** From pixel to pixel of most stock strings (m), a rule of thumb. */
  public static final double SPACING_METRES = 0.075;

  /** Of one plug contact, in one conductor (Ω). Source: the load rules. */
  public static final double CONTACT_OHMS = 0.010;

  /** Nothing entered. */
  public static final Wiring USUAL =
      new Wiring(Optional.empty(), Optional.empty(), false, Optional.empty());

  public Wiring {
    spacingMetres.ifPresent(metres -> Require.inRange("spacingMetres", metres, 0, 100));
    connectorAmps.ifPresent(amps -> Require.inRange("connectorAmps", amps, 0.1, 1000));
  }

  public Gauge gaugeOrUsual() {
    return gauge.orElse(STRING);
  }

  public double spacingOrUsual() {
    return spacingMetres.orElse(SPACING_METRES);
  }
}
