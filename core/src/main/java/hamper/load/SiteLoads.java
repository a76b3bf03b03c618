package hamper.load;

import hamper.catalog.Power;
import hamper.display.Controller;
import hamper.display.Plan;
import hamper.display.Supply;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * What power inputs, supplies and mains circuits carry, all white. Source: the load rules.
 *
 * @param inputs of controllers that anything hangs on, by controller and number
 * @param supplies in their order
 * @param mains in their order
 * @param idleWatts of all patched pixels when dark (W)
 */
public record SiteLoads(
    List<InputLoad> inputs, List<SupplyLoad> supplies, List<MainsLoad> mains, double idleWatts) {
  /** Most of a rating that is planned on. */
  public static final double PLANNED_SHARE = Power.PLANNED_SHARE;

  /**
   * @param input of the controller, from 1
   * @param rating of the input
   * @param amps of its ports' own feeds at planned brightness (A)
   * @param fullAmps the same at 100 % (A)
   */
  public record InputLoad(
      String controller, int input, Power rating, double amps, double fullAmps) {}

  /**
   * @param amps that it gives at planned brightness (A)
   * @param fullAmps the same at 100 % (A)
   * @param feeds that come from it, own feeds of ports included
   */
  public record SupplyLoad(Supply supply, double amps, double fullAmps, List<FeedLoad> feeds) {}

  public SiteLoads {
    inputs = List.copyOf(inputs);
    supplies = List.copyOf(supplies);
    mains = List.copyOf(mains);
  }

  /**
   * @param loads of all ports
   * @param runs solved, by controller; left out where nothing is to be said of power
   */
  public static SiteLoads of(Plan plan, List<PortLoad> loads, List<RunPower> runs) {
    List<SupplyLoad> supplies = supplies(plan, runs);
    return new SiteLoads(
        inputs(plan, runs),
        supplies,
        MainsLoad.of(plan, supplies),
        loads.stream().mapToDouble(PortLoad::idleWatts).sum());
  }

  /** Remote boxes tell no rating, so that only inputs of the controllers themselves are summed. */
  private static List<InputLoad> inputs(Plan plan, List<RunPower> runs) {
    List<InputLoad> loads = new ArrayList<>();
    for (int from = 0, to; from < runs.size(); from = to) {
      Controller controller = plan.existingController(runs.get(from).port().controller());
      List<Power> ratings = plan.modelOf(controller).powerInputs();
      double[] amps = new double[ratings.size()];
      double[] fullAmps = new double[ratings.size()];
      boolean[] used = new boolean[ratings.size()];
      for (to = from; to < runs.size() && isOf(controller, runs.get(to)); to++) {
        for (Island island : runs.get(to).islands()) {
          for (FeedLoad feed : island.feeds()) {
            if (feed.input().isPresent() && feed.input().get().bank().isEmpty()) {
              int input = feed.input().get().input() - 1;
              amps[input] += feed.amps();
              fullAmps[input] += feed.fullAmps();
              used[input] = true;
            }
          }
        }
      }
      for (int i = 0; i < used.length; i++) {
        if (used[i]) {
          loads.add(new InputLoad(controller.id(), i + 1, ratings.get(i), amps[i], fullAmps[i]));
        }
      }
    }
    return loads;
  }

  private static boolean isOf(Controller controller, RunPower run) {
    return run.port().controller().equals(controller.id());
  }

  private static List<SupplyLoad> supplies(Plan plan, List<RunPower> runs) {
    Map<String, List<FeedLoad>> feeds = new LinkedHashMap<>();
    plan.display().power().supplies().forEach(one -> feeds.put(one.id(), new ArrayList<>()));
    for (RunPower run : runs) {
      for (Island island : run.islands()) {
        for (FeedLoad feed : island.feeds()) {
          if (feed.supply().isPresent()) {
            feeds.get(feed.supply().get().id()).add(feed);
          }
        }
      }
    }
    List<SupplyLoad> loads = new ArrayList<>();
    feeds.forEach((id, own) -> loads.add(sum(plan.existingSupply(id), own)));
    return loads;
  }

  private static SupplyLoad sum(Supply supply, List<FeedLoad> feeds) {
    double amps = 0;
    double fullAmps = 0;
    for (FeedLoad feed : feeds) {
      amps += feed.amps();
      fullAmps += feed.fullAmps();
    }
    return new SupplyLoad(supply, amps, fullAmps, List.copyOf(feeds));
  }
}
