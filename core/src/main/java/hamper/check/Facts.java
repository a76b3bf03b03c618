package hamper.check;

import hamper.config.Configuration;
import hamper.config.Configurations;
import hamper.config.Untold;
import hamper.display.Controller;
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
    List<Untold> untold,
    List<Flow> flows,
    List<RunPower> power,
    SiteLoads site) {
  public static Facts of(Plan plan) {
    return of(plan, true);
  }

  /** Without voltages and currents of feeds: nothing is said about power. */
  public static Facts withoutPower(Plan plan) {
    return of(plan, false);
  }

  private static Facts of(Plan plan, boolean withPower) {
    Resolution resolution = Resolver.resolve(plan);
    // what a controller's ports carry does not depend on another's
    List<Loads> carried =
        plan.display().controllers().parallelStream()
            .map(controller -> Loads.of(plan, controller, withPower))
            .toList();
    List<PortLoad> loads = carried.stream().flatMap(one -> one.ports().stream()).toList();
    List<RunPower> power = carried.stream().flatMap(one -> one.runs().stream()).toList();
    return new Facts(
        plan,
        resolution,
        loads,
        Configurations.untold(plan, resolution),
        Flows.of(plan, resolution),
        power,
        SiteLoads.of(plan, loads, power));
  }

  /** What the ports of one controller carry. */
  private record Loads(List<PortLoad> ports, List<RunPower> runs) {
    static Loads of(Plan plan, Controller controller, boolean withPower) {
      return new Loads(
          PortLoads.of(plan, controller).toList(),
          withPower ? RunPowers.of(plan, controller).toList() : List.of());
    }
  }

  /** What each device has to be told; worked out when asked, since no check needs it. */
  public List<Configuration> configurations() {
    return Configurations.of(plan, resolution);
  }
}
