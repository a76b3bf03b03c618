package hamper.facts;

import hamper.config.Configuration;
import hamper.config.Configurations;
import hamper.config.Untold;
import hamper.display.Controller;
import hamper.display.Plan;
import hamper.display.Shared;
import hamper.load.PortLoad;
import hamper.load.RunPower;
import hamper.load.SiteLoads;
import hamper.network.Flow;
import hamper.network.Flows;
import hamper.resolve.Resolution;
import hamper.resolve.Resolver;
import java.util.List;
import java.util.stream.IntStream;

/** A plan and everything derived from it. Immutable. */
public final class Facts {
  private final Plan plan;
  private final boolean withPower;
  private final Resolution resolution;
  private final List<ControllerFacts> controllers;
  private final List<PortLoad> loads;
  private final List<RunPower> power;
  private final List<Flow> flows;
  private final SiteLoads site;

  /** Makes the facts of the controller at a place of the list. */
  private interface Maker {
    ControllerFacts make(Resolution resolution, int index);
  }

  private Facts(Plan plan, boolean withPower, Maker maker) {
    this.plan = plan;
    this.withPower = withPower;
    resolution = Resolver.resolve(plan);
    // once its addresses are known, nothing of a controller depends on another
    controllers =
        IntStream.range(0, plan.display().controllers().size())
            .parallel()
            .mapToObj(i -> maker.make(resolution, i))
            .toList();
    loads = controllers.stream().flatMap(ControllerFacts::loads).toList();
    power = controllers.stream().flatMap(ControllerFacts::power).toList();
    flows = Flows.of(plan, resolution);
    site = SiteLoads.of(plan, loads, power);
  }

  public static Facts of(Plan plan) {
    return of(plan, true);
  }

  /** Without voltages and currents of feeds: nothing is said about power. */
  public static Facts withoutPower(Plan plan) {
    return of(plan, false);
  }

  private static Facts of(Plan plan, boolean withPower) {
    return new Facts(
        plan, withPower, (resolution, i) -> ControllerFacts.of(plan, resolution, i, withPower));
  }

  /**
   * The facts of another plan, mostly this one after an edit; the same as {@link #of}, but of
   * untouched controllers is taken over what stays.
   */
  public Facts with(Plan changed) {
    Shared shared = Shared.between(plan, changed);
    List<Controller> list = changed.display().controllers();
    return new Facts(
        changed,
        withPower,
        (resolution, i) ->
            shared.holds(list.get(i))
                ? controllers.get(plan.indexOf(list.get(i).id())).in(changed, resolution, i)
                : ControllerFacts.of(changed, resolution, i, withPower));
  }

  public Plan plan() {
    return plan;
  }

  public Resolution resolution() {
    return resolution;
  }

  /** In list order, hosts included. */
  public List<ControllerFacts> controllers() {
    return controllers;
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
    return controllers.stream().flatMap(one -> one.untold().stream()).toList();
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
