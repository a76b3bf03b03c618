package hamper.send;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;

/** Frames are due by the clock, not by the frame before. */
class PaceTest {
  private static final long MS = 1_000_000;

  @Test
  void theTenThousandthFrameIsDueWhereItShouldBe() {
    Pace pace = new Pace(0, 40);
    for (int i = 0; i < 10_000; i++) {
      assertThat(pace.due()).isEqualTo(i * 25 * MS);
      pace.take(pace.due() + 3 * MS); // each a little late: it does not add up
    }
    assertThat(pace.sent()).isEqualTo(10_000);
    assertThat(pace.unsent()).isZero();
    assertThat(pace.worstNanos()).isEqualTo(3 * MS);
  }

  @Test
  void whatIsTooLateIsLeftOutAndCountedAndNothingIsSentTwice() {
    Pace pace = new Pace(0, 40);
    pace.take(0);
    assertThat(pace.take(110 * MS)).as("frame 4 is due at 100").isEqualTo(10 * MS);
    assertThat(pace.unsent()).isEqualTo(3);
    assertThat(pace.due()).isEqualTo(125 * MS);
    assertThat(pace.take(125 * MS)).isZero();
    assertThat(pace.sent()).isEqualTo(3);
  }

  @Test
  void aRateThatIsNoWholeNumberDoesNotDrift() {
    Pace pace = new Pace(5, 30);
    for (int i = 0; i < 30 * 3600; i++) {
      pace.take(pace.due());
    }
    assertThat(pace.due()).isEqualTo(5 + 3600L * 1000 * MS);
    assertThat(pace.unsent()).isZero();
  }
}
