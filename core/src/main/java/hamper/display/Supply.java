package hamper.display;

import hamper.value.Identified;
import hamper.value.RecordShape;
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
 * @param enclosure the id of the enclosure that it is in
 * @param leakageMilliamps to earth (mA); left out: {@link #USUAL_LEAKAGE}
 * @param switchOnAmps from the mains in the moment of switching on (A); left out: {@link
 *     #USUAL_SWITCH_ON} times what it takes at its rating
 */
public record Supply(
    String id,
    String name,
    Optional<String> zone,
    double volts,
    double amps,
    Optional<String> mains,
    Optional<Integer> efficiencyPercent,
    Optional<String> enclosure,
    Optional<Double> leakageMilliamps,
    Optional<Double> switchOnAmps)
    implements Identified {
  /** A rule of thumb (percent). */
  public static final int USUAL_EFFICIENCY = 85;

  /** A rule of thumb (mA). */
  public static final double USUAL_LEAKAGE = 1;

  /** A rule of thumb: so many times what it takes at its rating. */
  public static final int USUAL_SWITCH_ON = 10;

  public Supply {
    Require.id("id", id);
    Require.name("name", name);
    zone.ifPresent(value -> Require.id("zone", value));
    Require.inRange("volts", volts, 1, 60);
    Require.inRange("amps", amps, 0.1, 10_000);
    mains.ifPresent(value -> Require.id("mains", value));
    Require.inRange("efficiencyPercent", efficiencyPercent, 30, 100);
    enclosure.ifPresent(value -> Require.id("enclosure", value));
    Require.decimalInRange("leakageMilliamps", leakageMilliamps, 0, 1000);
    Require.decimalInRange("switchOnAmps", switchOnAmps, 0, 10_000);
  }

  /** In no enclosure, of usual leakage and switch-on current. */
  public Supply(
      String id,
      String name,
      Optional<String> zone,
      double volts,
      double amps,
      Optional<String> mains,
      Optional<Integer> efficiencyPercent) {
    this(
        id,
        name,
        zone,
        volts,
        amps,
        mains,
        efficiencyPercent,
        Optional.empty(),
        Optional.empty(),
        Optional.empty());
  }

  public Supply withMains(Optional<String> newMains) {
    return RecordShape.with(this, "mains", newMains);
  }

  public Supply withZone(Optional<String> newZone) {
    return RecordShape.with(this, "zone", newZone);
  }

  public Supply withAmps(double newAmps) {
    return RecordShape.with(this, "amps", newAmps);
  }

  public Supply withEnclosure(Optional<String> newEnclosure) {
    return RecordShape.with(this, "enclosure", newEnclosure);
  }

  /** What it leaks to earth (mA). */
  public double leakage() {
    return leakageMilliamps.orElse(USUAL_LEAKAGE);
  }

  /**
   * What it takes in the moment of switching on (A).
   *
   * @param mainsVolts of the mains (V)
   */
  public double switchOn(double mainsVolts) {
    return switchOnAmps.orElseGet(() -> USUAL_SWITCH_ON * mainsWatts(amps) / mainsVolts);
  }

  /** What it takes from the mains (W) to give so many amperes. */
  public double mainsWatts(double given) {
    return given * volts * 100 / efficiencyPercent.orElse(USUAL_EFFICIENCY);
  }
}
