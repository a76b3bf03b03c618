package hamper.load;

/**
 * Positions along a wire, each drawing its current: what a {@link Ladder} is solved on. Sums are
 * kept stretch by stretch, so that any of them is at hand without going along the wire.
 */
final class LoadedWire {
  private int count;

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

  private double reached;

  /**
   * Empty; stretches are added along the wire.
   *
   * @param most stretches that it will have
   */
  LoadedWire(int most) {
    amps = new double[most];
    ohms = new double[most];
    positions = new int[most + 1];
    ohmsTo = new double[most];
    ampsTo = new double[most + 1];
    momentTo = new double[most + 1];
  }

  /**
   * @param n positions, from 1
   * @param each what each of them draws (A)
   * @param step the loop between two of them (Ω)
   * @param ohmsBefore the loop from the position before the first of them (Ω)
   */
  void add(int n, double each, double step, double ohmsBefore) {
    int i = count++;
    amps[i] = each;
    ohms[i] = step;
    double first = i == 0 ? 0 : reached + ohmsBefore;
    double last = first + (n - 1) * step;
    positions[i + 1] = positions[i] + n;
    ohmsTo[i] = first;
    ampsTo[i + 1] = ampsTo[i] + n * each;
    momentTo[i + 1] = momentTo[i] + n * each * (first + last) / 2;
    reached = last;
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
