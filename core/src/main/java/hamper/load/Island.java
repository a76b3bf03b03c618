package hamper.load;

import java.util.List;
import java.util.Optional;

/**
 * Part of a run whose positive is joined: between two joints that cut it, or from such a joint to
 * the end.
 *
 * @param from first position of the run, from 1
 * @param to last position
 * @param piece the first of its strings
 * @param feeds that reach it, along the wire
 * @param reaches of pixels of the same voltage, along the wire; without voltages where no feed
 *     reaches it
 * @param worstLoss the one feed whose loss hurts most, where it has several
 */
public record Island(
    int from,
    int to,
    String piece,
    List<FeedLoad> feeds,
    List<Reach> reaches,
    Optional<Loss> worstLoss) {
  public Island {
    feeds = List.copyOf(feeds);
    reaches = List.copyOf(reaches);
  }

  /**
   * @param suppliedVolts what its pixels are made for (V)
   * @param leastVolts below which colours go wrong (V)
   * @param volts where the voltage is least at planned brightness
   * @param fullVolts the same at 100 %
   */
  public record Reach(
      int from,
      int to,
      double suppliedVolts,
      double leastVolts,
      Optional<Low> volts,
      Optional<Low> fullVolts) {
    private static final double MARGIN = 1.05;

    /** What is planned on (V): the least, and 5 % more. */
    public double plannedVolts() {
      return leastVolts * MARGIN;
    }
  }

  /**
   * The lowest voltage somewhere.
   *
   * @param position in the run, from 1
   * @param volts there (V); 0 where pixels would want more than there is, so that it is dark
   */
  public record Low(int position, double volts) {
    public Low {
      volts = Math.max(0, volts);
    }
  }

  /**
   * @param feed its index in the island's feeds
   * @param low where the voltage is least without it, at planned brightness
   * @param leastVolts below which colours go wrong there (V)
   */
  public record Loss(int feed, Low low, double leastVolts) {}
}
