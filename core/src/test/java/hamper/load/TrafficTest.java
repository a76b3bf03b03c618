package hamper.load;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import hamper.address.Protocol;
import org.junit.jupiter.api.Test;

/** Packets at the edges of universes and frames, where counts go wrong by one. */
class TrafficTest {
  private static Traffic e131(int channels, boolean full) {
    return Traffic.of(Protocol.E131, channels, 510, full, 40);
  }

  @Test
  void aUniverseThatIsJustFullIsOnePacketAndOneChannelMoreIsTwo() {
    assertThat(e131(510, false).packetsPerSecond()).isEqualTo(40);
    assertThat(e131(511, false).packetsPerSecond()).isEqualTo(80);
    assertThat(e131(0, true)).isEqualTo(Traffic.NONE);
  }

  @Test
  void fullUniversesCostTheSameWhateverIsUsed() {
    assertThat(e131(1, true)).isEqualTo(e131(510, true));
    assertThat(e131(1, false).megabitsPerSecond()).isLessThan(e131(1, true).megabitsPerSecond());
  }

  @Test
  void bytesByOffsetKnowNoUniversesAndAreNeverFilledUp() {
    Traffic ddp = Traffic.of(Protocol.DDP, Traffic.DDP_BYTES, 510, true, 25);
    assertThat(ddp.packetsPerSecond()).isEqualTo(25);
    assertThat(ddp.megabitsPerSecond())
        .isEqualTo((1440 + 10 + 28 + 38) * 8 * 25 / 1e6, within(1e-9));
  }

  @Test
  void trafficAddsUp() {
    Traffic both = e131(510, false).plus(e131(510, false));
    assertThat(both.packetsPerSecond()).isEqualTo(80);
    assertThat(both.megabitsPerSecond())
        .isEqualTo(2 * e131(510, false).megabitsPerSecond(), within(1e-12));
  }
}
