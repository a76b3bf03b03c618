package hamper.display;

import hamper.value.Identified;
import hamper.value.Require;

/**
 * A mains circuit of the site, behind its breaker.
 *
 * @param volts of the mains (V)
 * @param amps of its breaker (A)
 * @param otherWatts what else hangs on it, lamps and fog machines (W)
 */
public record MainsCircuit(String id, String name, double volts, double amps, double otherWatts)
    implements Identified {
  public MainsCircuit {
    Require.id("id", id);
    Require.name("name", name);
    Require.inRange("volts", volts, 50, 400);
    Require.inRange("amps", amps, 1, 1000);
    Require.inRange("otherWatts", otherWatts, 0, 1_000_000);
  }

  /** Most that it gives (W). */
  public double watts() {
    return volts * amps;
  }
}
