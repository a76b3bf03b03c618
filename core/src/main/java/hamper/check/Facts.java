package hamper.check;

import hamper.config.Configuration;
import hamper.config.Configurations;
import hamper.display.Plan;
import hamper.load.PortLoad;
import hamper.load.PortLoads;
import hamper.load.RunPower;
import hamper.load.RunPowers;
import hamper.load.SiteLoads;
import hamper.network.Flow;
import hamper.network.Flows;
import hamper.resolve.Resolution;
import hamper.resolve.Resolver;
import java.util.List;

/** A plan and everything derived from it that checks look at. */
public record Facts(
    Plan plan,
    Resolution resolution,
    List<PortLoad> loads,
    List<Configuration> configurations,
    List<Flow> flows,
    List<RunPower> power,
    SiteLoads site) {
  public static Facts of(Plan plan) {
    return of(plan, RunPowers.of(plan));
  }

  /** Without voltages and currents of feeds: nothing is said about power. */
  public static Facts withoutPower(Plan plan) {
    return of(plan, List.of());
  }

  private static Facts of(Plan plan, List<RunPower> power) {
    Resolution resolution = Resolver.resolve(plan);
    return new Facts(
        plan,
        resolution,
        PortLoads.of(plan),
        Configurations.of(plan, resolution),
        Flows.of(plan, resolution),
        power,
        SiteLoads.of(plan, power));
  }
}
