package hamper.load;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;

/** Null pixels part a way into even spans, and bridge what each of them reaches. */
class DataReachTest {
  @Test
  void withoutNullPixelsWhatDrivesItCounts() {
    assertThat(new DataReach(5, 5, 3).tooFar(0)).isFalse();
    assertThat(new DataReach(5.1, 5, 3).tooFar(0)).isTrue();
    assertThat(new DataReach(5, 5, 3).nullPixels()).isZero();
  }

  @Test
  void withNullPixelsTheWeakestOfWhatDrivesTheSpansCounts() {
    DataReach way = new DataReach(8, 5, 3);
    assertThat(way.span(1)).isEqualTo(4);
    assertThat(way.tooFar(1)).isTrue();
    assertThat(way.tooFar(2)).isFalse();
    assertThat(way.nullPixels()).isEqualTo(2);
    assertThat(new DataReach(8, 2, 6).nullPixels()).as("a socket of 3.3 V").isEqualTo(3);
    assertThat(new DataReach(9, 5, 3).nullPixels()).isEqualTo(2);
  }
}
