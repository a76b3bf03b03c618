package hamper.display;

import hamper.value.Identified;
import hamper.value.Require;
import java.util.Optional;

/**
 * A power supply unit on site.
 *
 * @param zone the id of the zone where it stands
 * @param volts that it gives (V)
 * @param amps its rating (A)
 * @param mains the id of the mains circuit that it hangs on, where somebody said so
 * @param efficiencyPercent of what it takes from the mains; left out: {@link #USUAL_EFFICIENCY}
 */
public record Supply(
    String id,
    String name,
    Optional<String> zone,
    double volts,
    double amps,
    Optional<String> mains,
    Optional<Integer> efficiencyPercent)
    implements Identified {
  /** A rule of thumb (percent). */
  public static final int USUAL_EFFICIENCY = 85;

  public Supply {
    Require.id("id", id);
    Require.name("name", name);
    zone.ifPresent(value -> Require.id("zone", value));
    Require.inRange("volts", volts, 1, 60);
    Require.inRange("amps", amps, 0.1, 10_000);
    mains.ifPresent(value -> Require.id("mains", value));
    Require.inRange("efficiencyPercent", efficiencyPercent, 30, 100);
  }

  public Supply withMains(Optional<String> newMains) {
    return new Supply(id, name, zone, volts, amps, newMains, efficiencyPercent);
  }

  public Supply withZone(Optional<String> newZone) {
    return new Supply(id, name, newZone, volts, amps, mains, efficiencyPercent);
  }

  public Supply withAmps(double newAmps) {
    return new Supply(id, name, zone, volts, newAmps, mains, efficiencyPercent);
  }

  /** What it takes from the mains (W) to give so many amperes. */
  public double mainsWatts(double given) {
    return given * volts * 100 / efficiencyPercent.orElse(USUAL_EFFICIENCY);
  }
}
