package hamper.load;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import hamper.load.Ladder.Stretch;
import hamper.load.Ladder.Tap;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.RepeatedTest;
import org.junit.jupiter.api.Test;

/** The ladder against one that goes position by position. */
class LadderTest {
  /** Every position an unknown of its own: Gauss on a tridiagonal system. */
  private static double[] slowly(List<Stretch> stretches, List<Tap> taps) {
    List<Double> amps = new ArrayList<>();
    List<Double> links = new ArrayList<>();
    for (Stretch stretch : stretches) {
      for (int i = 0; i < stretch.count(); i++) {
        links.add(i == 0 ? stretch.ohmsBefore() : stretch.ohms());
        amps.add(stretch.amps());
      }
    }
    int n = amps.size();
    double[] diagonal = new double[n];
    double[] right = new double[n];
    for (int i = 0; i < n; i++) {
      right[i] = -amps.get(i);
      diagonal[i] += i > 0 ? 1 / links.get(i) : 0;
      diagonal[i] += i + 1 < n ? 1 / links.get(i + 1) : 0;
    }
    for (Tap tap : taps) {
      double ohms = Math.max(Ladder.LEAST_OHMS, tap.ohms());
      diagonal[tap.position() - 1] += 1 / ohms;
      right[tap.position() - 1] += tap.volts() / ohms;
    }
    for (int i = 1; i < n; i++) {
      double link = 1 / links.get(i);
      double factor = link / diagonal[i - 1];
      diagonal[i] -= factor * link;
      right[i] += factor * right[i - 1];
    }
    double[] volts = new double[n];
    for (int i = n - 1; i >= 0; i--) {
      volts[i] = (right[i] + (i + 1 < n ? volts[i + 1] / links.get(i + 1) : 0)) / diagonal[i];
    }
    return volts;
  }

  @RepeatedTest(200)
  void everyVoltageIsThatOfTheSlowWay() {
    Random random = new Random();
    List<Stretch> stretches = new ArrayList<>();
    for (int i = 0; i <= random.nextInt(6); i++) {
      stretches.add(
          new Stretch(
              1 + random.nextInt(60),
              random.nextInt(5) == 0 ? 0 : random.nextDouble() * 0.06,
              0.001 + random.nextDouble() * 0.01,
              0.001 + random.nextDouble() * 0.3));
    }
    int positions = stretches.stream().mapToInt(Stretch::count).sum();
    List<Tap> taps = new ArrayList<>();
    for (int i = 0; i <= random.nextInt(6); i++) {
      taps.add(
          new Tap(
              1 + random.nextInt(positions),
              11.5 + random.nextDouble(),
              random.nextDouble() * 0.5));
    }
    String what = stretches + " " + taps;
    Ladder ladder = Ladder.of(stretches, taps);
    double[] slow = slowly(stretches, taps);
    double least = Double.MAX_VALUE;
    for (int i = 0; i < positions; i++) {
      assertThat(ladder.voltsAt(i + 1))
          .as("%d of %s", i + 1, what)
          .isEqualTo(slow[i], within(2e-6));
      least = Math.min(least, slow[i]);
    }
    assertThat(ladder.lowest().volts()).as(what).isEqualTo(least, within(2e-6));
    assertThat(slow[ladder.lowest().position() - 1]).as(what).isEqualTo(least, within(4e-6));
    int first = 1 + random.nextInt(positions);
    int last = first + random.nextInt(positions - first + 1);
    double leastThere = Arrays.stream(slow, first - 1, last).min().orElseThrow();
    assertThat(ladder.lowest(first, last).volts())
        .as("%d to %d of %s", first, last, what)
        .isEqualTo(leastThere, within(2e-6));
    double drawn = stretches.stream().mapToDouble(s -> s.count() * s.amps()).sum();
    double fed = 0;
    for (double amps : ladder.tapAmps()) {
      fed += amps;
    }
    assertThat(fed).as(what).isEqualTo(drawn, within(1e-5));
  }

  @Test
  void aHundredFeedsOnALongWireStayExact() {
    List<Tap> taps = new ArrayList<>();
    for (int i = 0; i < 100; i++) {
      taps.add(new Tap(1 + i * 100, 12, 0));
    }
    Ladder ladder = Ladder.of(List.of(new Stretch(10_000, 0.042, 0.005, 0)), taps);
    double fed = 0;
    for (double amps : ladder.tapAmps()) {
      fed += amps;
    }
    assertThat(fed).isEqualTo(420, within(1e-6));
    assertThat(ladder.lowest().position()).isGreaterThan(9_900);
  }
}
