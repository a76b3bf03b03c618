package hamper.send;

import static org.assertj.core.api.Assertions.assertThat;

import hamper.display.Circuit;
import hamper.display.Fixture;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** Light that rises and falls, what moves while it is held, what is sent though nothing changed. */
class SendingTest {
  private static Circuit circuit(String id, double least, double rest, double most, String group) {
    return new Circuit(
        id,
        id,
        128,
        false,
        Optional.empty(),
        Optional.of(least),
        Optional.of(rest),
        Optional.of(most),
        Optional.of(group));
  }

  @Test
  void whiteRisesSupplyBySupplyAndFallsAtOnce() {
    Ramp ramp = new Ramp(3, new Rises());
    ramp.to(30, 1_000);
    assertThat(ramp.at(0, 1_000)).isZero();
    assertThat(ramp.at(0, 1_250)).isEqualTo(15);
    assertThat(ramp.at(1, 1_250)).isZero();
    assertThat(ramp.at(1, 1_500)).isEqualTo(15);
    assertThat(ramp.at(0, 1_500)).isEqualTo(30);
    assertThat(ramp.rests(3, 1_500)).isFalse();
    assertThat(ramp.rests(3, 2_250)).isTrue();
    ramp.to(10, 3_000);
    assertThat(ramp.at(0, 3_000)).isEqualTo(10);
    assertThat(new Ramp(1_000, new Rises()).rests(1_000, 5_600))
        .as("however many supplies")
        .isTrue();
  }

  @Test
  void itFlashesThreeTimesASecondAtMost() {
    Ramp ramp = new Ramp(1, new Rises());
    int rises = 0;
    double before = 0;
    boolean rising = false;
    for (long now = 0; now < 10_000; now += 5) {
      ramp.to(now / 50 % 2 == 0 ? 100 : 0, now);
      double level = ramp.at(0, now);
      if (level > before && !rising) {
        rises++;
      }
      rising = level > before || rising && level == before;
      before = level;
    }
    assertThat(rises).isLessThanOrEqualTo(31);
  }

  /** Whoever begins anew, under another name or with other pieces, waits like the others. */
  @Test
  void severalRiseNoOftenerThanOne() {
    Rises rises = new Rises();
    for (int i = 0; i < 3; i++) {
      Ramp ramp = new Ramp(1, rises);
      ramp.to(100, 10L * i);
      assertThat(ramp.at(0, 10L * i + 500)).isEqualTo(100);
    }
    Ramp fourth = new Ramp(1, rises);
    fourth.to(100, 30);
    assertThat(fourth.at(0, 1_000)).isZero();
    assertThat(fourth.at(0, 1_500)).isEqualTo(100);
  }

  @Test
  void whatMovesIsHeldByWordsNoOlderThanASecond() {
    Motion motion = new Motion();
    Fixture head = new Fixture("head", "Head", 1, 2);
    byte[] levels = {9, 8};
    assertThat(motion.hold("head", levels, "Ann", 0)).contains("it is not armed");
    motion.arm(head);
    assertThat(motion.moving(0)).isEmpty();
    assertThat(motion.hold("head", levels, "Ann", 0)).isEmpty();
    assertThat(motion.moving(999)).containsEntry("head", levels);
    assertThat(motion.hold("head", levels, "Bo", 999)).contains("Ann holds it");
    assertThat(motion.moving(1_000)).isEmpty();
    assertThat(motion.hold("head", levels, "Bo", 1_001)).isEmpty();
    motion.release("head", 1_002);
    assertThat(motion.moving(1_002)).isEmpty();
    motion.hold("head", levels, "Bo", 1_003);
    motion.keep(Map.of("head", new Fixture("head", "Head", 2, 2)));
    assertThat(motion.moving(1_003)).as("it is another now").isEmpty();
  }

  @Test
  void timesAndInterlocksOfCircuitsCount() {
    Motion motion = new Motion();
    motion.arm(circuit("up", 0.5, 3, 2, "winch"));
    motion.arm(circuit("down", 0.5, 3, 2, "winch"));
    byte[] on = {(byte) 255};
    assertThat(motion.hold("up", on, "Ann", 0)).isEmpty();
    assertThat(motion.hold("down", on, "Ann", 100))
        .contains("up is on, and never two of winch are");
    for (long now = 200; now < 2_000; now += 300) {
      assertThat(motion.hold("up", on, "Ann", now)).isEmpty();
    }
    assertThat(motion.moving(1_999)).containsKey("up");
    assertThat(motion.moving(2_000)).as("its longest time").isEmpty();
    assertThat(motion.hold("up", on, "Ann", 2_100).orElseThrow()).contains("let it go first");
    assertThat(motion.hold("down", on, "Ann", 2_100)).as("the other is off").isEmpty();
    motion.release("down", 2_200);
    motion.release("up", 2_200);
    assertThat(motion.hold("up", on, "Ann", 4_900).orElseThrow()).contains("has to rest for 3 s");
    assertThat(motion.hold("up", on, "Ann", 5_000)).isEmpty();
    motion.release("up", 5_100);
    assertThat(motion.moving(5_100)).as("safe comes before its shortest time on").isEmpty();
  }

  @Test
  void whatDoesNotChangeIsSentThreeTimesAndThenOnceASecond() {
    KeepAlive alive = new KeepAlive(1);
    int sent = 0;
    for (int frame = 0; frame < 400; frame++) {
      long now = frame * 25_000_000L;
      boolean due = alive.due(0, frame == 0, now);
      sent += due ? 1 : 0;
      assertThat(due || frame > 2).isTrue();
    }
    assertThat(sent).as("three, then every 850 to 875 ms of ten seconds").isBetween(13, 15);
    assertThat(alive.due(0, true, 10_000_000_000L)).isTrue();
    assertThat(alive.due(0, false, 10_000_000_001L)).isTrue();
  }

  @Test
  void aPaceGoesOnCountingAtAnotherRate() {
    Pace pace = new Pace(0, 40);
    pace.take(0);
    pace.take(100_000_000);
    Pace next = pace.at(1_000_000_000, 20);
    assertThat(next.sent()).isEqualTo(2);
    assertThat(next.unsent()).isEqualTo(3);
    next.take(next.due());
    assertThat(next.due()).isEqualTo(1_050_000_000);
  }
}
