package hamper.server.api;

import hamper.display.Controller;
import hamper.display.MainsCircuit;
import hamper.display.Plan;
import hamper.display.PortRef;
import hamper.display.PoweredInput;
import hamper.display.Supply;
import hamper.display.Whereabouts;
import hamper.facts.Facts;
import hamper.load.FeedLoad;
import hamper.load.MainsLoad;
import hamper.load.SiteLoads;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * Where power comes from, and what hangs on it. All white.
 *
 * @param inputs of controllers that anything hangs on
 * @param idleWatts of all patched pixels when dark (W)
 * @param plannedShare of a rating that is planned at most
 */
public record PowerView(
    List<SupplyView> supplies,
    List<MainsView> mains,
    List<InputView> inputs,
    double idleWatts,
    double plannedShare) {
  /**
   * @param mains the id of the mains circuit that it hangs on, be it from its enclosure
   * @param usualEfficiency whether nobody entered one
   * @param efficiency of what it takes from the mains (percent)
   * @param amps at planned brightness (A)
   * @param fullAmps at 100 % (A)
   * @param feeds how many come from it
   * @param runs the ports of the runs that it feeds
   * @param named power inputs that are said to hang on it, in words
   */
  public record SupplyView(
      Supply supply,
      Optional<String> mains,
      int efficiency,
      boolean usualEfficiency,
      double amps,
      double fullAmps,
      int feeds,
      List<PortRef> runs,
      List<String> named) {}

  /**
   * @param watts at planned brightness (W)
   * @param fullWatts at 100 % (W)
   * @param mostWatts that its breaker lets through (W)
   * @param leakageMilliamps of its supplies to earth (mA)
   * @param mostLeakage of them beside its residual-current breaker (mA), where it has one
   * @param switchOnAmps of its supplies in the moment of switching on (A)
   * @param mostSwitchOn that its breaker lets through for a moment (A), where its kind is known
   */
  public record MainsView(
      MainsCircuit mains,
      double watts,
      double fullWatts,
      double mostWatts,
      double leakageMilliamps,
      Optional<Double> mostLeakage,
      double switchOnAmps,
      Optional<Double> mostSwitchOn) {}

  /**
   * @param supply its id, where it is known
   * @param amps of the ports' own feeds at planned brightness (A)
   */
  public record InputView(
      String controller,
      int input,
      double ratingVolts,
      double ratingAmps,
      Optional<String> supply,
      double amps,
      double fullAmps) {}

  static PowerView of(Facts facts) {
    Plan plan = facts.plan();
    SiteLoads site = facts.site();
    Map<String, List<String>> fed = new HashMap<>();
    for (Controller controller : plan.display().controllers()) {
      for (PoweredInput input : controller.powered()) {
        fed.computeIfAbsent(input.supply(), id -> new ArrayList<>()).add(named(controller, input));
      }
    }
    return new PowerView(
        site.supplies().stream()
            .map(load -> supply(plan, load, fed.getOrDefault(load.supply().id(), List.of())))
            .toList(),
        site.mains().stream().map(PowerView::mains).toList(),
        site.inputs().stream().map(load -> input(plan, load)).toList(),
        site.idleWatts(),
        SiteLoads.PLANNED_SHARE);
  }

  private static SupplyView supply(Plan plan, SiteLoads.SupplyLoad load, List<String> inputs) {
    return new SupplyView(
        load.supply(),
        Whereabouts.mains(plan, load.supply()),
        load.supply().efficiencyPercent().orElse(Supply.USUAL_EFFICIENCY),
        load.supply().efficiencyPercent().isEmpty(),
        load.amps(),
        load.fullAmps(),
        load.feeds().size(),
        load.feeds().stream().map(FeedLoad::port).distinct().toList(),
        inputs);
  }

  private static String named(Controller controller, PoweredInput input) {
    return controller.tag() + " " + input.socket().title();
  }

  private static MainsView mains(MainsLoad load) {
    return new MainsView(
        load.mains(),
        load.watts(),
        load.fullWatts(),
        load.mains().watts(),
        load.leakageMilliamps(),
        load.mostLeakage(),
        load.switchOnAmps(),
        load.mains().switchOnAmps());
  }

  private static InputView input(Plan plan, SiteLoads.InputLoad load) {
    return new InputView(
        load.controller(),
        load.input(),
        load.rating().volts(),
        load.rating().amps(),
        plan.existingController(load.controller())
            .supplyOf(new PoweredInput.Socket(Optional.empty(), load.input())),
        load.amps(),
        load.fullAmps());
  }
}
