package hamper.standin;

import static org.assertj.core.api.Assertions.assertThat;

import hamper.wire.ArtNet;
import hamper.wire.Ddp;
import hamper.wire.E131;
import java.net.InetSocketAddress;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** What a device takes of what arrives, and when it shines: time is passed in. */
class ReceiverTest {
  private static final JsonMapper JSON = new JsonMapper();
  private static final InetSocketAddress SENDER = new InetSocketAddress("127.0.0.1", 40123);
  private final Counters counters = new Counters();
  private int sequence = 1;

  private static Heard heard(String protocol, String inputs) {
    JsonNode told =
        JSON.readTree("{\"protocol\": \"%s\", \"inputs\": [%s]}".formatted(protocol, inputs));
    return new Heard(told, JSON.readTree("{\"e131From\": 1, \"artnetFrom\": 0}"));
  }

  private Receiver e131(boolean synchronizes) {
    Heard heard = heard("E131", "{\"universe\": 7, \"count\": 2, \"size\": 4}");
    return new Receiver(heard, false, synchronizes, counters);
  }

  private static byte[] cid(int source) {
    byte[] cid = new byte[16];
    cid[0] = (byte) source;
    return cid;
  }

  private byte[] data(int source, int priority, int sync, int options, int level) {
    byte[] packet = new byte[E131.dataSize(4)];
    E131.writeData(
        packet, new E131.Stream(cid(source), "test", 7, priority, sync), sequence++, options, 0, 4);
    Arrays.fill(packet, E131.slotsAt(), packet.length, (byte) level);
    return packet;
  }

  private void send(Receiver to, byte[] packet, long now) {
    to.e131(packet, packet.length, SENDER, now);
  }

  @Test
  void theHighestPriorityCountsUntilItIsSilentForTooLong() {
    Receiver receiver = e131(false);
    send(receiver, data(1, 100, 0, 0, 11), 0);
    send(receiver, data(2, 50, 0, 0, 22), 10);
    assertThat(receiver.levels()[0]).isEqualTo((byte) 11);
    send(receiver, data(2, 50, 0, 0, 22), 2_500);
    assertThat(receiver.levels()[0]).as("not yet lost").isEqualTo((byte) 11);
    send(receiver, data(2, 50, 0, 0, 22), 2_501);
    assertThat(receiver.levels()[0]).isEqualTo((byte) 22);
    assertThat(counters.refused()).containsEntry("a lower priority", 2L);
  }

  @Test
  void aSourceThatEndsGivesWayAtOnceAndItsLastLevelsAreIgnored() {
    Receiver receiver = e131(false);
    send(receiver, data(1, 100, 0, 0, 11), 0);
    send(receiver, data(1, 100, 0, E131.TERMINATED, 99), 5);
    assertThat(receiver.levels()[0]).isEqualTo((byte) 11);
    send(receiver, data(2, 50, 0, 0, 22), 10);
    assertThat(receiver.levels()[0]).isEqualTo((byte) 22);
  }

  @Test
  void twoOfOnePriorityAreAQuarrelThatIsTold() {
    Receiver receiver = e131(false);
    send(receiver, data(1, 100, 0, 0, 11), 0);
    assertThat(receiver.quarrels(0)).isZero();
    send(receiver, data(2, 100, 0, 0, 22), 1);
    assertThat(receiver.quarrels(1)).isEqualTo(1);
    assertThat(receiver.quarrels(2_600)).isZero();
  }

  @Test
  void whatIsOutOfOrderForOthersOrNoLevelsIsNotTaken() {
    Receiver receiver = e131(false);
    sequence = 200;
    send(receiver, data(1, 100, 0, 0, 11), 0);
    sequence = 190;
    send(receiver, data(1, 100, 0, 0, 22), 1);
    sequence = 100;
    send(receiver, data(1, 100, 0, 0, 33), 2);
    assertThat(receiver.levels()[0]).as("a step back of 20 is a restart").isEqualTo((byte) 33);
    send(receiver, data(1, 100, 0, E131.PREVIEW, 44), 3);
    byte[] other = data(1, 100, 0, 0, 55);
    other[125] = 0x17;
    send(receiver, other, 4);
    byte[] elsewhere = data(1, 100, 0, 0, 66);
    elsewhere[114] = 9;
    send(receiver, elsewhere, 5);
    assertThat(receiver.levels()[0]).isEqualTo((byte) 33);
    assertThat(counters.refused())
        .containsKeys(
            "out of order",
            "a preview",
            "another start code",
            "a universe that it does not listen to");
  }

  @Test
  void dataWaitsForTheSynchronizationThatItNamesOnceThatHasCome() {
    Receiver receiver = e131(true);
    send(receiver, data(1, 100, 500, 0, 11), 0);
    assertThat(receiver.levels()[0]).as("before the first").isEqualTo((byte) 11);
    byte[] sync = new byte[E131.SYNC_SIZE];
    E131.writeSync(sync, cid(1), 1, 500);
    send(receiver, sync, 10);
    send(receiver, data(1, 100, 500, 0, 22), 20);
    assertThat(receiver.levels()[0]).isEqualTo((byte) 11);
    send(receiver, sync, 30);
    assertThat(receiver.levels()[0]).isEqualTo((byte) 22);
    send(receiver, data(1, 100, 500, 0, 33), 2_531);
    assertThat(receiver.levels()[0]).as("lost: the last look stays").isEqualTo((byte) 22);
    send(receiver, data(1, 100, 500, E131.FORCE_SYNC, 44), 2_540);
    assertThat(receiver.levels()[0]).as("lost, and forced").isEqualTo((byte) 44);
    E131.writeSync(sync, cid(1), 2, 501);
    send(receiver, data(1, 100, 500, 0, 55), 2_550);
    send(receiver, sync, 2_560);
    assertThat(receiver.levels()[0]).as("another address").isEqualTo((byte) 44);
    assertThat(receiver.groups()).containsExactlyInAnyOrder(7, 8, 500);
  }

  @Test
  void onArtNetAllWaitForWhoSendsAndAreFreeAfterFourSeconds() {
    Heard heard = heard("ARTNET", "{\"universe\": 0, \"count\": 1, \"size\": 4}");
    Receiver node = new Receiver(heard, true, true, counters);
    byte[] sync = new byte[ArtNet.SYNC_SIZE];
    ArtNet.writeSync(sync);
    node.artNet(dmx(11), ArtNet.dmxSize(4), SENDER, 0);
    node.artNet(sync, sync.length, SENDER, 10);
    node.artNet(dmx(22), ArtNet.dmxSize(4), SENDER, 20);
    node.artNet(sync, sync.length, new InetSocketAddress("127.0.0.9", 6454), 30);
    assertThat(node.levels()[0]).as("of another computer").isEqualTo((byte) 11);
    node.artNet(sync, sync.length, SENDER, 40);
    assertThat(node.levels()[0]).isEqualTo((byte) 22);
    node.artNet(dmx(33), ArtNet.dmxSize(4), SENDER, 4_040);
    assertThat(node.levels()[0]).isEqualTo((byte) 22);
    node.artNet(dmx(44), ArtNet.dmxSize(4), SENDER, 4_041);
    assertThat(node.levels()[0]).isEqualTo((byte) 44);
  }

  private static byte[] dmx(int level) {
    byte[] packet = new byte[ArtNet.dmxSize(4)];
    ArtNet.writeDmx(packet, 0, 0, 0, 4);
    packet[ArtNet.slotsAt()] = (byte) level;
    return packet;
  }

  @Test
  void numbersThatAreMissingAreCountedAndTwoComputersAreAQuarrel() {
    Receiver receiver = e131(false);
    send(receiver, data(1, 100, 0, 0, 1), 0);
    sequence += 3;
    send(receiver, data(1, 100, 0, 0, 1), 1);
    sequence = 100;
    send(receiver, data(1, 100, 0, 0, 1), 2);
    send(receiver, data(1, 100, 0, 0, 1), 3);
    List<Long> missing = new ArrayList<>();
    counters.streams((sender, protocol, universe, stream) -> missing.add(stream.missing));
    assertThat(missing).containsExactly(3L + 94);

    Receiver node =
        new Receiver(
            heard("ARTNET", "{\"universe\": 0, \"count\": 1, \"size\": 4}"), true, false, counters);
    node.artNet(dmx(1), ArtNet.dmxSize(4), SENDER, 100);
    assertThat(node.quarrels(100)).isZero();
    node.artNet(dmx(1), ArtNet.dmxSize(4), new InetSocketAddress("127.0.0.9", 6454), 200);
    assertThat(node.quarrels(200)).isEqualTo(1);
    assertThat(node.quarrels(10_201)).isZero();
  }

  @Test
  void artNetIsForItsPortAddressesAndDdpShinesWithThePush() {
    Heard heard = heard("ARTNET", "{\"universe\": 0, \"count\": 1, \"size\": 4}");
    Receiver node = new Receiver(heard, true, false, counters);
    byte[] dmx = new byte[ArtNet.dmxSize(4)];
    ArtNet.writeDmx(dmx, 0, 1, 0, 4);
    dmx[ArtNet.slotsAt()] = 77;
    node.artNet(dmx, dmx.length, SENDER, 0);
    assertThat(node.levels()[0]).isEqualTo((byte) 77);

    Receiver device =
        new Receiver(heard("DDP", "{\"count\": 0, \"size\": 8}"), false, false, counters);
    byte[] packet = new byte[Ddp.size(4)];
    int at = Ddp.writeHeader(packet, 0, 1, Ddp.RGB, Ddp.OUTPUT, 4, 4, -1);
    packet[at] = 88;
    device.ddp(packet, packet.length, SENDER, 0);
    assertThat(device.levels()[4]).isZero();
    Ddp.writeHeader(packet, Ddp.PUSH, 2, Ddp.RGB, Ddp.OUTPUT, 0, 4, -1);
    packet[at] = 99;
    device.ddp(packet, packet.length, SENDER, 0);
    assertThat(device.levels()[4]).isEqualTo((byte) 88);
    assertThat(device.levels()[0]).isEqualTo((byte) 99);
    Ddp.writeHeader(packet, Ddp.PUSH, 3, Ddp.RGB, Ddp.OUTPUT, 6, 4, -1);
    device.ddp(packet, packet.length, SENDER, 0);
    assertThat(counters.refused()).containsKey("beyond its buffer");
  }
}
