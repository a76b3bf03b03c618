package hamper.arrange;

import hamper.catalog.Power;
import hamper.display.Controller;
import hamper.display.PoweredInput;
import hamper.facts.Facts;
import hamper.load.SiteLoads.SupplyLoad;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * What the supplies of controllers can still give at planned brightness, so that few pieces have to
 * be tried where the checks would refuse them. Of a controller with several supplies nothing is
 * told.
 */
final class Reserve {
  private final Map<String, String> supplyOf = new HashMap<>();
  private final Map<String, Double> left = new HashMap<>();

  Reserve(Facts facts) {
    for (Controller controller : facts.plan().display().controllers()) {
      List<String> supplies =
          controller.powered().stream().map(PoweredInput::supply).distinct().toList();
      if (supplies.size() == 1) {
        supplyOf.put(controller.id(), supplies.get(0));
      }
    }
    for (SupplyLoad load : facts.site().supplies()) {
      double most = load.supply().amps() * Power.PLANNED_SHARE;
      left.put(load.supply().id(), most - load.amps());
    }
  }

  boolean covers(Controller controller, double amps) {
    return of(controller) >= amps;
  }

  /** What is left (A); more than anything where it is not known. */
  double of(Controller controller) {
    String supply = supplyOf.get(controller.id());
    return supply == null ? Double.MAX_VALUE : left.getOrDefault(supply, Double.MAX_VALUE);
  }

  /** Amperes are taken, or given back where there are less than none. */
  void take(Controller controller, double amps) {
    String supply = supplyOf.get(controller.id());
    if (supply != null && amps != 0) {
      left.computeIfPresent(supply, (id, before) -> before - amps);
    }
  }
}
