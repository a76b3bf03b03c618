package hamper.check;

import hamper.config.Configuration;
import hamper.config.Configurations;
import hamper.config.Untold;
import hamper.display.Controller;
import hamper.display.Plan;
import hamper.display.Shared;
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
import java.util.function.Function;

/** A plan and everything derived from it that checks look at. Immutable. */
public final class Facts {
  private final Plan plan;
  private final boolean withPower;
  private final Resolution resolution;
  private final List<Carried> carried;
  private final List<PortLoad> loads;
  private final List<RunPower> power;
  private final List<Untold> untold;
  private final List<Flow> flows;
  private final SiteLoads site;

  /** What the ports of one controller carry. */
  private record Carried(List<PortLoad> ports, List<RunPower> runs) {
    static Carried of(Plan plan, Controller controller, boolean withPower) {
      return new Carried(
          PortLoads.of(plan, controller).toList(),
          withPower ? RunPowers.of(plan, controller).toList() : List.of());
    }
  }

  private Facts(Plan plan, boolean withPower, Function<Controller, Carried> carriedBy) {
    this.plan = plan;
    this.withPower = withPower;
    resolution = Resolver.resolve(plan);
    // what a controller's ports carry does not depend on another's
    carried = plan.display().controllers().parallelStream().map(carriedBy).toList();
    loads = carried.stream().flatMap(one -> one.ports().stream()).toList();
    power = carried.stream().flatMap(one -> one.runs().stream()).toList();
    untold = Configurations.untold(plan, resolution);
    flows = Flows.of(plan, resolution);
    site = SiteLoads.of(plan, loads, power);
  }

  public static Facts of(Plan plan) {
    return new Facts(plan, true, controller -> Carried.of(plan, controller, true));
  }

  /** Without voltages and currents of feeds: nothing is said about power. */
  public static Facts withoutPower(Plan plan) {
    return new Facts(plan, false, controller -> Carried.of(plan, controller, false));
  }

  /**
   * The facts of another plan, mostly this one after an edit; the same as {@link #of}, but what the
   * ports of untouched controllers carry is taken over.
   */
  public Facts with(Plan changed) {
    Shared shared = Shared.between(plan, changed);
    return new Facts(
        changed,
        withPower,
        controller ->
            shared.holds(controller)
                ? carried.get(plan.indexOf(controller.id()))
                : Carried.of(changed, controller, withPower));
  }

  public Plan plan() {
    return plan;
  }

  public Resolution resolution() {
    return resolution;
  }

  /** Of every pixel port that something hangs on, by controller and port. */
  public List<PortLoad> loads() {
    return loads;
  }

  /** Of every run of pixels, by controller and port; empty where power was left out. */
  public List<RunPower> power() {
    return power;
  }

  /** What devices cannot be told. */
  public List<Untold> untold() {
    return untold;
  }

  public List<Flow> flows() {
    return flows;
  }

  public SiteLoads site() {
    return site;
  }

  /** What each device has to be told; worked out when asked, since no check needs it. */
  public List<Configuration> configurations() {
    return Configurations.of(plan, resolution);
  }
}
