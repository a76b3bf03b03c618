package hamper.standin;

import static org.assertj.core.api.Assertions.assertThat;

import hamper.wire.ArtNet;
import hamper.wire.ArtPollReply;
import hamper.wire.Ddp;
import hamper.wire.E131;
import java.net.InetSocketAddress;
import java.util.Arrays;
import java.util.Random;
import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/**
 * Mutated packets, from seeds: each decoder refuses them or reads them, and nothing else happens; a
 * device stays as large as it was.
 */
@Tag("trial")
class GarbageTest {
  private static final long SEED = 20261126;
  private static final int SHORT = 200_000;
  private static final int LONG = 10_000_000;
  private static final int ROOM = 1500;

  private final Random random = new Random(SEED);
  private final byte[] packet = new byte[ROOM];

  private static int count() {
    return Boolean.getBoolean("hamper.trial.long") ? LONG : SHORT;
  }

  /** A sound packet of some kind. */
  private int sound(int kind) {
    byte[] cid = new byte[16];
    return switch (kind) {
      case 0 ->
          E131.writeData(
              packet, new E131.Stream(cid, "seeded", 3, 100, 0), 1, 0, 0, 1 + random.nextInt(512));
      case 1 -> E131.writeSync(packet, cid, 1, 9);
      case 2 -> E131.writeDiscovery(packet, cid, "seeded", new int[] {1, 5, 900}, 0, 0);
      case 3 -> ArtNet.writeDmx(packet, 3, 1, 0, 2 + 2 * random.nextInt(255));
      case 4 -> ArtNet.writeSync(packet);
      case 5 -> ArtNet.writePoll(packet, ArtNet.Poll.everybody());
      default -> {
        int data = random.nextInt(1400);
        int push = random.nextInt(2);
        yield Ddp.writeHeader(packet, push, 1, Ddp.RGB, 1, random.nextInt(2000), data, -1) + data;
      }
    };
  }

  private int mutated(int kind) {
    int length = sound(kind);
    for (int i = random.nextInt(4); i >= 0; i--) {
      int at = random.nextInt(random.nextInt(4) == 0 ? length : Math.min(length, 128));
      packet[at] =
          (byte) (random.nextBoolean() ? random.nextInt(256) : packet[at] ^ 1 << random.nextInt(8));
    }
    return random.nextInt(3) == 0 ? random.nextInt(length + 1) : length;
  }

  private void readAll(int length, boolean strict) {
    if (E131.refuseData(packet, length, strict) == null) {
      assertThat(E131.slotsAt() + E131.slots(packet)).isLessThanOrEqualTo(length);
    }
    E131.refuseSync(packet, length, strict);
    if (E131.refuseDiscovery(packet, length, strict) == null) {
      assertThat(120 + 2 * E131.listed(packet)).isLessThanOrEqualTo(length);
    }
    if (ArtNet.refuseDmx(packet, length, strict) == null) {
      assertThat(ArtNet.slotsAt() + ArtNet.slots(packet)).isLessThanOrEqualTo(length);
    }
    ArtNet.refuseSync(packet, length);
    ArtNet.refusePoll(packet, length, strict);
    if (ArtPollReply.refuse(packet, length, strict) == null) {
      ArtPollReply.read(packet, length);
    }
    if (Ddp.refuse(packet, length, strict) == null && !Ddp.is(packet, Ddp.QUERY)) {
      assertThat(Ddp.dataAt(packet) + Ddp.length(packet)).isLessThanOrEqualTo(length);
    }
  }

  @Test
  void decodersRefuseOrReadWhatWasMutated() {
    int count = count();
    for (int i = 0; i < count; i++) {
      Arrays.fill(packet, (byte) 0);
      readAll(mutated(i % 7), i % 2 == 0);
    }
    System.out.printf("[fuzz] %,d mutated packets through each decoder, seed %d%n", count, SEED);
  }

  @Test
  void aDeviceTakesWhatIsSoundAndStaysAsLargeAsItWas() {
    JsonNode told =
        new JsonMapper()
            .readTree(
                """
                {"protocol": "E131", "inputs": [{"universe": 1, "count": 8, "size": 512}]}
                """);
    Counters counters = new Counters();
    Heard heard = new Heard(told, new JsonMapper().readTree("{}"));
    Receiver receiver = new Receiver(heard, false, true, counters);
    InetSocketAddress[] senders = new InetSocketAddress[20_000];
    Arrays.setAll(senders, i -> new InetSocketAddress("127.0.0.1", 1 + i));
    int count = count();
    for (int i = 0; i < count; i++) {
      int length = mutated(i % 7);
      InetSocketAddress sender = senders[i % senders.length];
      receiver.e131(packet, length, sender, i);
      receiver.artNet(packet, length, sender, i);
      receiver.ddp(packet, length, sender, i);
    }
    AtomicInteger streams = new AtomicInteger();
    counters.streams((sender, protocol, universe, stream) -> streams.incrementAndGet());
    assertThat(streams.get()).isBetween(1, 10_001);
    assertThat(counters.refused().size()).isLessThan(40);
    assertThat(receiver.levels()).hasSize(8 * 512);
  }
}
