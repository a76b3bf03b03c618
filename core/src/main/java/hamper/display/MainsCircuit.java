package hamper.display;

import hamper.value.Identified;
import hamper.value.Require;
import java.util.Optional;

/**
 * A mains circuit of the site, behind its breaker.
 *
 * @param volts of the mains (V)
 * @param amps of its breaker (A)
 * @param otherWatts what else hangs on it, lamps and fog machines (W)
 * @param breaker its kind, where somebody said so
 * @param residualMilliamps rating of its residual-current breaker (mA), where it has one of its own
 */
public record MainsCircuit(
    String id,
    String name,
    double volts,
    double amps,
    double otherWatts,
    Optional<Breaker> breaker,
    Optional<Double> residualMilliamps)
    implements Identified {
  public MainsCircuit {
    Require.id("id", id);
    Require.name("name", name);
    Require.inRange("volts", volts, 50, 400);
    Require.inRange("amps", amps, 1, 1000);
    Require.inRange("otherWatts", otherWatts, 0, 1_000_000);
    Require.decimalInRange("residualMilliamps", residualMilliamps, 1, 1000);
  }

  /** Of a breaker of no kind that is known. */
  public MainsCircuit(String id, String name, double volts, double amps, double otherWatts) {
    this(id, name, volts, amps, otherWatts, Optional.empty(), Optional.empty());
  }

  /** Most that it gives (W). */
  public double watts() {
    return volts * amps;
  }

  /** Most that may flow for a moment without tripping its breaker (A), where its kind is known. */
  public Optional<Double> switchOnAmps() {
    return breaker.map(kind -> kind.times() * amps);
  }
}
