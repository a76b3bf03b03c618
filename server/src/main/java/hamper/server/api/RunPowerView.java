package hamper.server.api;

import hamper.load.Island;
import hamper.load.RunPower;
import hamper.load.Volts;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * The electrical side of a run.
 *
 * @param feeds along the wire
 * @param volts where it is worst at planned brightness; left out where nothing feeds the run
 * @param lost where it is worst with any one of several feeds lost
 * @param unfed how many positions nothing feeds
 */
public record RunPowerView(
    List<FeedView> feeds, Optional<VoltsView> volts, Optional<VoltsView> lost, int unfed) {
  /**
   * The lowest voltage.
   *
   * @param position in the run, from 1
   * @param volts there, at planned brightness (V)
   * @param told as it is shown, such as "4.29 V"
   * @param fullVolts the lowest at 100 % (V); left out with a feed lost
   * @param leastVolts that the pixels work at (V)
   * @param leastTold as it is shown
   * @param suppliedVolts that they are made for (V)
   */
  public record VoltsView(
      int position,
      double volts,
      String told,
      Optional<Double> fullVolts,
      double leastVolts,
      String leastTold,
      double suppliedVolts) {
    static VoltsView of(
        Island.Low low, Optional<Double> fullVolts, double leastVolts, double suppliedVolts) {
      return new VoltsView(
          low.position(),
          Volts.known(low.volts()),
          Volts.shown(low.volts()),
          fullVolts.map(Volts::known),
          leastVolts,
          Volts.needed(leastVolts),
          suppliedVolts);
    }
  }

  static RunPowerView of(RunPower power) {
    return new RunPowerView(
        power.feeds().map(FeedView::of).toList(),
        power.worst().map(RunPowerView::volts),
        lost(power),
        power.islands().stream()
            .filter(island -> island.feeds().isEmpty())
            .mapToInt(island -> island.to() - island.from() + 1)
            .sum());
  }

  private static VoltsView volts(Island.Reach reach) {
    return VoltsView.of(
        reach.volts().orElseThrow(),
        reach.fullVolts().map(Island.Low::volts),
        reach.leastVolts(),
        reach.suppliedVolts());
  }

  private static Optional<VoltsView> lost(RunPower power) {
    return power.islands().stream()
        .flatMap(island -> island.worstLoss().stream().map(loss -> lost(island, loss)))
        .min(Comparator.comparingDouble(volts -> volts.volts() - volts.leastVolts()));
  }

  private static VoltsView lost(Island island, Island.Loss loss) {
    return VoltsView.of(
        loss.low(), Optional.empty(), loss.leastVolts(), island.reaches().get(0).suppliedVolts());
  }
}
