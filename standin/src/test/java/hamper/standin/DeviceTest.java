package hamper.standin;

import static org.assertj.core.api.Assertions.assertThat;

import hamper.wire.ArtNet;
import hamper.wire.ArtPollReply;
import hamper.wire.Ddp;
import hamper.wire.E131;
import java.net.InetSocketAddress;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.Base64;
import java.util.List;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** What a device does by itself, and answers to those who look for it: time is passed in. */
class DeviceTest {
  private static final InetSocketAddress SENDER = new InetSocketAddress("127.0.0.1", 40123);

  private long now;

  private Device device(String protocol, String lostSource) {
    String model =
        """
        {"id": "sample", "maker": "Quillby", "name": "Sample", "atStart": "SAFE", "lostSource": "%s",
         "protocols": [{"protocol": "%s", "transports": ["UNICAST"]}],
         "ports": [{"kind": "PIXEL", "modes": [{"name": "1", "ports": 4}]},
                   {"kind": "RELAY", "modes": [{"name": "1", "ports": 4}]}]}
        """
            .formatted(lostSource, protocol);
    return new Device(new Seat("k1", Device.JSON.readTree(model)), "127.83.0.1", () -> now);
  }

  private static byte[] document(String protocol, String inputs) {
    return """
        {"format": "hamper-configuration", "formatVersion": 2, "fingerprint": "sha256:x",
         "told": {"model": "sample", "protocol": "%s", "transport": "UNICAST", "inputs": [%s],
          "outputs": [{"kind": "PIXEL", "port": 1, "used": true, "pixels": 1, "channelsPerPixel": 3,
             "start": {"channel": 1}, "sections": [{"pixels": 1}]},
           {"kind": "RELAY", "port": 1, "used": true,
             "sections": [{"start": {"channel": 4}, "threshold": 100, "safeOn": true}]}]}}
        """
        .formatted(protocol, inputs)
        .getBytes(StandardCharsets.UTF_8);
  }

  private static List<Integer> shown(Device device, int place) {
    JsonNode one = device.state().get("ports").get(place);
    byte[] bytes = Base64.getDecoder().decode(one.get("shown").asString());
    Integer[] levels = new Integer[bytes.length];
    Arrays.setAll(levels, i -> bytes[i] & 255);
    return List.of(levels);
  }

  private void send(Device device, int level) {
    byte[] packet = new byte[E131.dataSize(4)];
    E131.writeData(packet, new E131.Stream(new byte[16], "t", 1, 100, 0), (int) now, 0, 0, 4);
    Arrays.fill(packet, E131.slotsAt(), packet.length, (byte) level);
    device.e131(packet, packet.length, SENDER);
  }

  private Device fed(String lostSource) throws Exception {
    Device device = device("E131", lostSource);
    device.take(document("E131", "{\"universe\": 1, \"count\": 1, \"size\": 4}"));
    assertThat(shown(device, 0)).as("at the start").containsExactly(0, 0, 0);
    assertThat(shown(device, 1)).as("as it rests").containsExactly(255);
    now = 10;
    send(device, 60);
    assertThat(shown(device, 0)).containsExactly(60, 60, 60);
    assertThat(shown(device, 1)).as("below its threshold").containsExactly(0);
    now = 2_510;
    assertThat(shown(device, 0)).as("not yet lost").containsExactly(60, 60, 60);
    now = 2_511;
    return device;
  }

  @Test
  void aLostSourceIsWhatItsModelMakesOfIt() throws Exception {
    assertThat(shown(fed("HOLD"), 0)).containsExactly(60, 60, 60);
    Device safe = fed("SAFE");
    assertThat(shown(safe, 0)).containsExactly(0, 0, 0);
    assertThat(shown(safe, 1)).containsExactly(255);
    assertThat(shown(fed("STORED"), 0)).containsExactly(85, 85, 85);
    safe.misbehave(Misbehaviour.PLAYS_STORED, true);
    assertThat(shown(safe, 0)).as("it was read anew").containsExactly(85, 85, 85);
    safe.misbehave(Misbehaviour.PLAYS_STORED, false);
    send(safe, 70);
    now += 2_501;
    safe.misbehave(Misbehaviour.HOLDS, true);
    send(safe, 80);
    now += 2_501;
    assertThat(shown(safe, 0)).containsExactly(80, 80, 80);
  }

  @Test
  void whatSaysThatItKeptMayForget() throws Exception {
    Device device = fed("HOLD");
    device.keep();
    device.restart();
    assertThat(device.document()).isNotNull();
    device.misbehave(Misbehaviour.FORGETS, true);
    device.restart();
    assertThat(device.document()).isNull();
  }

  @Test
  void aDeadPixelFreezesWhatIsBehindIt() throws Exception {
    Device device = fed("HOLD");
    device.misbehave(Misbehaviour.DEAD_PIXEL_FROZEN, true);
    List<Integer> frozen = shown(device, 0);
    send(device, 200);
    assertThat(shown(device, 0)).isEqualTo(frozen);
    device.misbehave(Misbehaviour.DEAD_PIXEL_FROZEN, false);
    device.misbehave(Misbehaviour.DEAD_PIXEL_RANDOM, true);
    send(device, 201);
    assertThat(shown(device, 0)).isNotEqualTo(List.of(201, 201, 201));
  }

  @Test
  void aPollIsAnsweredForFourUniversesAtATime() throws Exception {
    Device device = device("ARTNET", "HOLD");
    device.take(document("ARTNET", "{\"universe\": 14, \"count\": 7, \"size\": 512}"));
    byte[] poll = new byte[22];
    int length = ArtNet.writePoll(poll, ArtNet.Poll.everybody());
    List<ArtPollReply> replies =
        device.artNet(poll, length, SENDER).stream()
            .map(packet -> ArtPollReply.read(packet, packet.length))
            .toList();
    assertThat(replies).extracting(ArtPollReply::bindIndex).containsExactly(1, 2, 3);
    assertThat(replies).extracting(ArtPollReply::ports).containsExactlyInAnyOrder(2, 4, 1);
    assertThat(replies.stream().mapToInt(ArtPollReply::ports).sum()).isEqualTo(7);
    for (ArtPollReply reply : replies) {
      assertThat(reply.ip()).containsExactly(127, 83, 0, 1);
      assertThat(reply.shortName()).isEqualTo("Sample");
      for (int i = 0; i < reply.ports(); i++) {
        int universe = reply.netSwitch() << 8 | reply.subSwitch() << 4 | reply.swOut()[i];
        assertThat(universe).isBetween(14, 20);
      }
    }
    assertThat(device("E131", "HOLD").artNet(poll, length, SENDER))
        .as("it does not speak it")
        .isEmpty();
    device.misbehave(Misbehaviour.OFF, true);
    assertThat(device.artNet(poll, length, SENDER)).isEmpty();
  }

  @Test
  void aQueryOnDdpIsAnsweredWithWhoItIs() throws Exception {
    Device device = device("DDP", "HOLD");
    device.take(document("DDP", "{\"count\": 0, \"size\": 4}"));
    assertThat(answer(device, Ddp.STATUS))
        .isEqualTo("{\"status\":{\"man\":\"Quillby\",\"mod\":\"Sample\",\"ver\":\"1\"}}");
    assertThat(answer(device, Ddp.CONFIGURATION))
        .startsWith("{\"config\":{\"ip\":\"127.83.0.1\",\"ports\":[{\"port\":0,\"ts\":1,\"l\":3");
    assertThat(device.counters().get("refused").size()).isZero();
  }

  private static String answer(Device device, int what) {
    byte[] query = new byte[Ddp.size(0)];
    Ddp.writeHeader(query, Ddp.QUERY, 0, 0, what, 0, 0, -1);
    List<byte[]> replies = device.ddp(query, query.length, SENDER);
    assertThat(replies).hasSize(1);
    byte[] reply = replies.get(0);
    assertThat(Ddp.refuse(reply, reply.length, true)).isNull();
    assertThat(Ddp.is(reply, Ddp.REPLY) && Ddp.is(reply, Ddp.PUSH)).isTrue();
    return new String(reply, Ddp.dataAt(reply), Ddp.length(reply), StandardCharsets.UTF_8);
  }
}
