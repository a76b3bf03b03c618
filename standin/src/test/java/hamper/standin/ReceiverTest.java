package hamper.standin;

import static org.assertj.core.api.Assertions.assertThat;

import hamper.wire.ArtNet;
import hamper.wire.Ddp;
import hamper.wire.E131;
import java.util.Arrays;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** What a device takes of what arrives, and when it shines: time is passed in. */
class ReceiverTest {
  private static final JsonMapper JSON = new JsonMapper();
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
    to.e131(packet, packet.length, "127.0.0.1", now);
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
  void dataWaitsForSynchronizationOnceItHasComeAndIsFreeAgainWhenItIsLost() {
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
    assertThat(receiver.levels()[0]).isEqualTo((byte) 33);
  }

  @Test
  void artNetIsForItsPortAddressesAndDdpShinesWithThePush() {
    Heard heard = heard("ARTNET", "{\"universe\": 0, \"count\": 1, \"size\": 4}");
    Receiver node = new Receiver(heard, true, false, counters);
    byte[] dmx = new byte[ArtNet.dmxSize(4)];
    ArtNet.writeDmx(dmx, 0, 1, 0, 4);
    dmx[ArtNet.slotsAt()] = 77;
    node.artNet(dmx, dmx.length, "127.0.0.1", 0);
    assertThat(node.levels()[0]).isEqualTo((byte) 77);

    Receiver device =
        new Receiver(heard("DDP", "{\"count\": 0, \"size\": 8}"), false, false, counters);
    byte[] packet = new byte[Ddp.size(4)];
    int at = Ddp.writeHeader(packet, 0, 1, Ddp.RGB, Ddp.OUTPUT, 4, 4, -1);
    packet[at] = 88;
    device.ddp(packet, packet.length, "127.0.0.1", 0);
    assertThat(device.levels()[4]).isZero();
    Ddp.writeHeader(packet, Ddp.PUSH, 2, Ddp.RGB, Ddp.OUTPUT, 0, 4, -1);
    packet[at] = 99;
    device.ddp(packet, packet.length, "127.0.0.1", 0);
    assertThat(device.levels()[4]).isEqualTo((byte) 88);
    assertThat(device.levels()[0]).isEqualTo((byte) 99);
    Ddp.writeHeader(packet, Ddp.PUSH, 3, Ddp.RGB, Ddp.OUTPUT, 6, 4, -1);
    device.ddp(packet, packet.length, "127.0.0.1", 0);
    assertThat(counters.refused()).containsKey("beyond its buffer");
  }
}
