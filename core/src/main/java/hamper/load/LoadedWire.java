package hamper.load;

import java.util.List;

/**
 * Positions along a wire, each drawing its current: what a {@link Ladder} is solved on. Sums are
 * kept stretch by stretch, so that any of them is at hand without going along the wire.
 */
final class LoadedWire {
  private final int count;

  /** Of each stretch: what one position draws (A), and the loop between two of them (Ω). */
  private final double[] amps;

  private final double[] ohms;

  /**
   * Before each stretch: positions, current, moment; the resistance from position 1 to its first.
   */
  private final int[] positions;

  private final double[] ohmsTo;
  private final double[] ampsTo;
  private final double[] momentTo;

  LoadedWire(List<Ladder.Stretch> stretches) {
    count = stretches.size();
    amps = new double[count];
    ohms = new double[count];
    positions = new int[count + 1];
    ohmsTo = new double[count];
    ampsTo = new double[count + 1];
    momentTo = new double[count + 1];
    double reached = 0;
    for (int i = 0; i < count; i++) {
      Ladder.Stretch stretch = stretches.get(i);
      int n = stretch.count();
      amps[i] = stretch.amps();
      ohms[i] = stretch.ohms();
      double first = i == 0 ? 0 : reached + stretch.ohmsBefore();
      double last = first + (n - 1) * stretch.ohms();
      positions[i + 1] = positions[i] + n;
      ohmsTo[i] = first;
      ampsTo[i + 1] = ampsTo[i] + n * stretch.amps();
      momentTo[i + 1] = momentTo[i] + n * stretch.amps() * (first + last) / 2;
      reached = last;
    }
  }

  int positions() {
    return positions[count];
  }

  double totalAmps() {
    return ampsTo[count];
  }

  /** The stretch that holds a position, from 1; the last one for the position after the end. */
  int stretchOf(int position) {
    int low = 0;
    int high = count - 1;
    while (low < high) {
      int middle = (low + high + 1) >>> 1;
      if (positions[middle] < position) {
        low = middle;
      } else {
        high = middle - 1;
      }
    }
    return low;
  }

  /** Resistance from position 1 (Ω). */
  double ohmsAt(int position) {
    return ohmsAt(position, stretchOf(position));
  }

  /**
   * @param i the stretch that holds the position
   */
  double ohmsAt(int position, int i) {
    return ohmsTo[i] + (position - 1 - positions[i]) * ohms[i];
  }

  /** Current drawn by all positions before this one (A). */
  double ampsBefore(int position) {
    return ampsBefore(position, stretchOf(position));
  }

  /**
   * @param i the stretch that holds the position
   */
  double ampsBefore(int position, int i) {
    return ampsTo[i] + (position - 1 - positions[i]) * amps[i];
  }

  /** Sum of current times resistance from position 1, over all positions before this one (V). */
  double momentBefore(int position) {
    return momentBefore(position, stretchOf(position));
  }

  /**
   * @param i the stretch that holds the position
   */
  double momentBefore(int position, int i) {
    int k = position - 1 - positions[i];
    return momentTo[i] + k * amps[i] * (ohmsTo[i] + (k - 1) * ohms[i] / 2);
  }

  /**
   * The first position, from one on, before which so much current is drawn.
   *
   * @param from where to begin
   * @param drawn by all positions before the one looked for (A)
   */
  int reaching(int from, double drawn) {
    int low = stretchOf(from);
    int high = count - 1;
    while (low < high) {
      int middle = (low + high) >>> 1;
      if (ampsTo[middle + 1] < drawn) {
        low = middle + 1;
      } else {
        high = middle;
      }
    }
    double left = drawn - ampsTo[low];
    double steps = amps[low] > 0 ? Math.ceil(left / amps[low]) : positions[low + 1];
    double position = positions[low] + 1 + Math.max(0, steps);
    return (int) Math.max(from, Math.min(position, positions[count] + 1.0));
  }
}
