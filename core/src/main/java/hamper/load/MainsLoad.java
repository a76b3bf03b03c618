package hamper.load;

import hamper.display.MainsCircuit;
import hamper.display.Plan;
import hamper.display.Supply;
import hamper.display.Whereabouts;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * What a mains circuit carries, all white. Source: the load rules.
 *
 * @param watts taken from it at planned brightness (W)
 * @param fullWatts the same at 100 % (W)
 * @param leakageMilliamps of all its supplies to earth (mA)
 * @param switchOnAmps of all its supplies in the moment of switching on (A)
 */
public record MainsLoad(
    MainsCircuit mains,
    double watts,
    double fullWatts,
    double leakageMilliamps,
    double switchOnAmps) {
  /** Most of a residual-current breaker's rating that supplies may leak; a rule of thumb. */
  public static final double LEAKAGE_SHARE = 0.3;

  /** Most that the supplies may leak beside its residual-current breaker (mA), where it has one. */
  public Optional<Double> mostLeakage() {
    return mains.residualMilliamps().map(rating -> rating * LEAKAGE_SHARE);
  }

  /** Of every circuit of a plan, in its order. */
  static List<MainsLoad> of(Plan plan, List<SiteLoads.SupplyLoad> supplies) {
    Map<String, MainsLoad> loads = new LinkedHashMap<>();
    for (MainsCircuit one : plan.mains().all()) {
      loads.put(one.id(), new MainsLoad(one, one.otherWatts(), one.otherWatts(), 0, 0));
    }
    for (SiteLoads.SupplyLoad load : supplies) {
      Whereabouts.mains(plan, load.supply())
          .ifPresent(id -> loads.computeIfPresent(id, (same, before) -> before.with(load)));
    }
    return List.copyOf(loads.values());
  }

  private MainsLoad with(SiteLoads.SupplyLoad load) {
    Supply supply = load.supply();
    return new MainsLoad(
        mains,
        watts + supply.mainsWatts(load.amps()),
        fullWatts + supply.mainsWatts(load.fullAmps()),
        leakageMilliamps + supply.leakage(),
        switchOnAmps + supply.switchOn(mains.volts()));
  }
}
