package hamper.facts;

import hamper.config.Configurations;
import hamper.config.Untold;
import hamper.display.Controller;
import hamper.display.HungRun;
import hamper.display.InForce;
import hamper.display.Plan;
import hamper.load.PortLoad;
import hamper.load.PortLoads;
import hamper.load.RunPower;
import hamper.load.RunPowers;
import hamper.resolve.ControllerBlock;
import hamper.resolve.PlacedRun;
import hamper.resolve.Placement;
import hamper.resolve.Resolution;
import java.util.ArrayList;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * One controller and all that follows from it. A controller that an edit left alone, and that
 * stands where it stood, keeps one and the same object: what is made of it need not be made again.
 *
 * @param block its channels and universes
 * @param placements port by port
 * @param runs in its order, of every port that anything hangs or is set at
 * @param untold what it cannot be told; empty for a host
 */
public record ControllerFacts(
    Controller controller,
    InForce inForce,
    ControllerBlock block,
    List<Placement> placements,
    List<RunFacts> runs,
    List<Untold> untold) {

  static ControllerFacts of(Plan plan, Resolution resolution, int index, boolean withPower) {
    Controller controller = plan.display().controllers().get(index);
    return of(
        plan,
        resolution,
        index,
        PortLoads.of(plan, controller).toList(),
        withPower ? RunPowers.of(plan, controller).toList() : List.of());
  }

  private static ControllerFacts of(
      Plan plan, Resolution resolution, int index, List<PortLoad> loads, List<RunPower> power) {
    Controller controller = plan.display().controllers().get(index);
    List<Placement> placements = resolution.byController().get(index);
    return new ControllerFacts(
        controller,
        plan.inForce(controller),
        resolution.blocks().get(index),
        placements,
        runs(plan.runsOf(controller), placements, loads, power),
        Configurations.untold(plan, resolution, index));
  }

  /**
   * The same controller in another plan in which nothing that hangs on it has changed: this object
   * where it stands as it stood, else one that takes over what its ports carry.
   */
  ControllerFacts in(Plan plan, Resolution resolution, int index) {
    boolean stands =
        block.equals(resolution.blocks().get(index))
            && placements.equals(resolution.byController().get(index));
    return stands ? this : of(plan, resolution, index, loads().toList(), power().toList());
  }

  /** Loads and power are in the order of the runs that carry any. */
  private static List<RunFacts> runs(
      List<HungRun> hung, List<Placement> placements, List<PortLoad> loads, List<RunPower> power) {
    Map<HungRun, List<Placement>> placed = new IdentityHashMap<>();
    PlacedRun.of(hung, placements).forEach(one -> placed.put(one.run(), one.placements()));
    List<RunFacts> runs = new ArrayList<>(hung.size());
    int carrying = 0;
    for (HungRun run : hung) {
      boolean pixels = run.carriesPixels();
      runs.add(
          new RunFacts(
              run,
              placed.getOrDefault(run, List.of()),
              pixels ? Optional.of(loads.get(carrying)) : Optional.empty(),
              pixels && !power.isEmpty() ? Optional.of(power.get(carrying)) : Optional.empty()));
      carrying += pixels ? 1 : 0;
    }
    return List.copyOf(runs);
  }

  /** Whether levels are sent to it: something that it lights has an address. */
  public boolean sentTo() {
    return block.channels() > 0;
  }

  /** Of its pixel ports that anything hangs on. */
  public Stream<PortLoad> loads() {
    return runs.stream().flatMap(run -> run.load().stream());
  }

  /** Of its runs of pixels; empty where power was left out. */
  public Stream<RunPower> power() {
    return runs.stream().flatMap(run -> run.power().stream());
  }
}
