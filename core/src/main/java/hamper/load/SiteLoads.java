package hamper.load;

import hamper.catalog.Power;
import hamper.display.Controller;
import hamper.display.MainsCircuit;
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
  public static final double PLANNED_SHARE = 0.8;

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

  /**
   * @param watts taken from it at planned brightness (W)
   * @param fullWatts the same at 100 % (W)
   */
  public record MainsLoad(MainsCircuit mains, double watts, double fullWatts) {}

  public SiteLoads {
    inputs = List.copyOf(inputs);
    supplies = List.copyOf(supplies);
    mains = List.copyOf(mains);
  }

  /**
   * @param loads of all ports
   * @param runs solved; left out where nothing is to be said of power
   */
  public static SiteLoads of(Plan plan, List<PortLoad> loads, List<RunPower> runs) {
    List<SupplyLoad> supplies = supplies(plan, runs);
    return new SiteLoads(
        inputs(plan, runs),
        supplies,
        mains(plan, supplies),
        loads.stream().mapToDouble(PortLoad::idleWatts).sum());
  }

  private record InputKey(String controller, int input) {}

  /** Remote boxes tell no rating, so that only inputs of the controllers themselves are summed. */
  private static List<InputLoad> inputs(Plan plan, List<RunPower> runs) {
    Map<InputKey, double[]> amps = new LinkedHashMap<>();
    for (RunPower run : runs) {
      for (Island island : run.islands()) {
        for (FeedLoad feed : island.feeds()) {
          if (feed.input().isPresent() && feed.input().get().bank().isEmpty()) {
            InputKey input = new InputKey(run.port().controller(), feed.input().get().input());
            double[] sums = amps.computeIfAbsent(input, key -> new double[2]);
            sums[0] += feed.amps();
            sums[1] += feed.fullAmps();
          }
        }
      }
    }
    List<InputLoad> loads = new ArrayList<>();
    amps.forEach(
        (key, sums) -> {
          Controller controller = plan.existingController(key.controller());
          Power rating = plan.modelOf(controller).powerInputs().get(key.input() - 1);
          loads.add(new InputLoad(key.controller(), key.input(), rating, sums[0], sums[1]));
        });
    return loads;
  }

  private static List<SupplyLoad> supplies(Plan plan, List<RunPower> runs) {
    Map<String, List<FeedLoad>> feeds = new LinkedHashMap<>();
    plan.display().power().supplies().forEach(one -> feeds.put(one.id(), new ArrayList<>()));
    for (RunPower run : runs) {
      for (Island island : run.islands()) {
        for (FeedLoad feed : island.feeds()) {
          feed.supply().ifPresent(supply -> feeds.get(supply.id()).add(feed));
        }
      }
    }
    List<SupplyLoad> loads = new ArrayList<>();
    feeds.forEach(
        (id, own) ->
            loads.add(
                new SupplyLoad(
                    plan.existingSupply(id),
                    own.stream().mapToDouble(FeedLoad::amps).sum(),
                    own.stream().mapToDouble(FeedLoad::fullAmps).sum(),
                    List.copyOf(own))));
    return loads;
  }

  private static List<MainsLoad> mains(Plan plan, List<SupplyLoad> supplies) {
    Map<String, double[]> watts = new LinkedHashMap<>();
    for (MainsCircuit one : plan.display().power().mains()) {
      watts.put(one.id(), new double[] {one.otherWatts(), one.otherWatts()});
    }
    for (SupplyLoad load : supplies) {
      Supply supply = load.supply();
      if (supply.mains().isPresent()) {
        double[] sums = watts.get(supply.mains().get());
        sums[0] += supply.mainsWatts(load.amps());
        sums[1] += supply.mainsWatts(load.fullAmps());
      }
    }
    return plan.display().power().mains().stream()
        .map(one -> new MainsLoad(one, watts.get(one.id())[0], watts.get(one.id())[1]))
        .toList();
  }
}
