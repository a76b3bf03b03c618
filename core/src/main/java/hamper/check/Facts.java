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
import java.util.concurrent.CompletableFuture;

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
    return of(plan, CompletableFuture.supplyAsync(() -> RunPowers.of(plan)));
  }

  /** Without voltages and currents of feeds: nothing is said about power. */
  public static Facts withoutPower(Plan plan) {
    return of(plan, CompletableFuture.completedFuture(List.of()));
  }

  /** Loads and voltages need no addresses, so they are worked out beside them. */
  private static Facts of(Plan plan, CompletableFuture<List<RunPower>> power) {
    CompletableFuture<List<PortLoad>> loads =
        CompletableFuture.supplyAsync(() -> PortLoads.of(plan));
    Resolution resolution = Resolver.resolve(plan);
    return new Facts(
        plan,
        resolution,
        loads.join(),
        Configurations.of(plan, resolution),
        Flows.of(plan, resolution),
        power.join(),
        SiteLoads.of(plan, loads.join(), power.join()));
  }
}
