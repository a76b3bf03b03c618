package hamper.wire;

import static org.assertj.core.api.Assertions.assertThat;

import hamper.address.MulticastGroup;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HexFormat;
import java.util.List;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** All packets that a separate program made: written byte by byte the same, read, or refused. */
class PacketVectorsTest {
  private static final HexFormat HEX = HexFormat.of();
  private final JsonNode vectors = vectors();

  private static JsonNode vectors() {
    try (InputStream in = PacketVectorsTest.class.getResourceAsStream("/vectors/packets.json")) {
      return new JsonMapper().readTree(in);
    } catch (IOException e) {
      throw new AssertionError(e);
    }
  }

  private static byte[] hex(JsonNode node) {
    return HEX.parseHex(node.asString());
  }

  private static String written(byte[] to, int size) {
    return HEX.formatHex(Arrays.copyOf(to, size));
  }

  private static int options(JsonNode in) {
    return (in.get("preview").asBoolean() ? E131.PREVIEW : 0)
        | (in.get("terminated").asBoolean() ? E131.TERMINATED : 0)
        | (in.get("force_sync").asBoolean() ? E131.FORCE_SYNC : 0);
  }

  @Test
  void e131Data() {
    for (JsonNode one : vectors.get("e131_data")) {
      JsonNode in = one.get("input");
      byte[] slots = hex(in.get("slots"));
      byte[] to = new byte[700];
      Arrays.fill(to, (byte) 0x55);
      var stream =
          new E131.Stream(
              hex(in.get("cid")),
              in.get("source_name").asString(),
              in.get("universe").asInt(),
              in.get("priority").asInt(),
              in.get("sync_address").asInt());
      int size =
          E131.writeData(
              to,
              stream,
              in.get("sequence").asInt(),
              options(in),
              in.get("start_code").asInt(),
              slots.length);
      System.arraycopy(slots, 0, to, E131.slotsAt(), slots.length);
      assertThat(written(to, size))
          .as(one.get("name").asString())
          .isEqualTo(one.get("hex").asString());
      readsData(hex(one.get("hex")), in);
    }
  }

  private static void readsData(byte[] packet, JsonNode in) {
    assertThat(E131.refuseData(packet, packet.length, true)).isNull();
    assertThat(E131.universe(packet)).isEqualTo(in.get("universe").asInt());
    assertThat(E131.priority(packet)).isEqualTo(in.get("priority").asInt());
    assertThat(E131.sequence(packet)).isEqualTo(in.get("sequence").asInt());
    assertThat(E131.syncAddress(packet)).isEqualTo(in.get("sync_address").asInt());
    assertThat(E131.options(packet)).isEqualTo(options(in));
    assertThat(E131.startCode(packet)).isEqualTo(in.get("start_code").asInt());
    assertThat(E131.name(packet)).isEqualTo(in.get("source_name").asString());
    assertThat(E131.isFrom(packet, hex(in.get("cid")))).isTrue();
    assertThat(HEX.formatHex(packet, E131.slotsAt(), E131.slotsAt() + E131.slots(packet)))
        .isEqualTo(in.get("slots").asString());
  }

  @Test
  void e131SyncAndDiscovery() {
    byte[] to = new byte[1200];
    for (JsonNode one : vectors.get("e131_sync")) {
      JsonNode in = one.get("input");
      int address = in.get("sync_address").asInt();
      int size = E131.writeSync(to, hex(in.get("cid")), in.get("sequence").asInt(), address);
      assertThat(written(to, size)).isEqualTo(one.get("hex").asString());
      assertThat(E131.refuseSync(to, size, true)).isNull();
      assertThat(E131.syncPacketAddress(to)).isEqualTo(address);
      assertThat(E131.syncSequence(to)).isEqualTo(in.get("sequence").asInt());
      assertThat(E131.isDiscovery(to, size)).isFalse();
    }
    for (JsonNode one : vectors.get("e131_discovery")) {
      JsonNode in = one.get("input");
      int[] universes = in.get("universes").valueStream().mapToInt(JsonNode::asInt).toArray();
      int page = in.get("page").asInt();
      int last = in.get("last_page").asInt();
      String name = in.get("source_name").asString();
      int size = E131.writeDiscovery(to, hex(in.get("cid")), name, universes, page, last);
      assertThat(written(to, size)).isEqualTo(one.get("hex").asString());
      assertThat(E131.refuseDiscovery(to, size, true)).isNull();
      assertThat(E131.listed(to)).isEqualTo(universes.length);
      for (int i = 0; i < universes.length; i++) {
        assertThat(E131.listed(to, i)).isEqualTo(universes[i]);
      }
      assertThat(E131.page(to)).isEqualTo(page);
      assertThat(E131.lastPage(to)).isEqualTo(last);
      assertThat(E131.isDiscovery(to, size)).isTrue();
    }
  }

  @Test
  void artDmxSyncAndPoll() {
    byte[] to = new byte[600];
    for (JsonNode one : vectors.get("art_dmx")) {
      JsonNode in = one.get("input");
      byte[] slots = hex(in.get("data"));
      Arrays.fill(to, (byte) 0x55);
      int size =
          ArtNet.writeDmx(
              to,
              in.get("port_address").asInt(),
              in.get("sequence").asInt(),
              in.get("physical").asInt(),
              slots.length);
      System.arraycopy(slots, 0, to, ArtNet.slotsAt(), slots.length);
      assertThat(written(to, size))
          .as(one.get("name").asString())
          .isEqualTo(one.get("hex").asString());
      assertThat(ArtNet.refuseDmx(to, size, true)).isNull();
      assertThat(ArtNet.portAddress(to)).isEqualTo(in.get("port_address").asInt());
      assertThat(ArtNet.sequence(to)).isEqualTo(in.get("sequence").asInt());
      assertThat(ArtNet.physical(to)).isEqualTo(in.get("physical").asInt());
      assertThat(ArtNet.slots(to)).isEqualTo(slots.length + slots.length % 2);
    }
    for (JsonNode one : vectors.get("art_sync")) {
      assertThat(written(to, ArtNet.writeSync(to))).isEqualTo(one.get("hex").asString());
      assertThat(ArtNet.refuseSync(to, ArtNet.SYNC_SIZE)).isNull();
    }
    for (JsonNode one : vectors.get("art_poll")) {
      JsonNode in = one.get("input");
      var poll =
          new ArtNet.Poll(
              in.get("flags").asInt(),
              in.get("diag_priority").asInt(),
              in.get("target_top").asInt(-1),
              in.get("target_bottom").asInt(-1),
              in.get("esta").asInt(-1),
              in.get("oem").asInt(-1));
      int size = ArtNet.writePoll(to, poll);
      assertThat(written(to, size)).isEqualTo(one.get("hex").asString());
      assertThat(ArtNet.refusePoll(to, size, true)).isNull();
      assertThat(ArtNet.targetTop(to, size)).isEqualTo(Math.max(0, poll.targetTop()));
      assertThat(ArtNet.oem(to, size)).isEqualTo(Math.max(0, poll.oem()));
    }
  }

  private static byte[] dotted(JsonNode node) {
    String[] parts = node.asString().split("\\.");
    byte[] bytes = new byte[4];
    for (int i = 0; i < 4; i++) {
      bytes[i] = (byte) Integer.parseInt(parts[i]);
    }
    return bytes;
  }

  private static byte[] four(JsonNode list) {
    byte[] bytes = new byte[4];
    for (int i = 0; i < 4; i++) {
      bytes[i] = (byte) list.get(i).asInt();
    }
    return bytes;
  }

  private static ArtPollReply reply(JsonNode in) {
    return new ArtPollReply(
        dotted(in.get("ip")),
        in.get("version").asInt(),
        in.get("net_switch").asInt(),
        in.get("sub_switch").asInt(),
        in.get("oem").asInt(),
        in.get("ubea_version").asInt(),
        in.get("status1").asInt(),
        in.get("esta").asInt(),
        in.get("port_name").asString(),
        in.get("long_name").asString(),
        in.get("node_report").asString(),
        in.get("num_ports").asInt(),
        four(in.get("port_types")),
        four(in.get("good_input")),
        four(in.get("good_output_a")),
        four(in.get("sw_in")),
        four(in.get("sw_out")),
        in.get("acn_priority").asInt(),
        in.get("sw_macro").asInt(),
        in.get("sw_remote").asInt(),
        in.get("style").asInt(),
        hex(in.get("mac")),
        dotted(in.get("bind_ip")),
        in.get("bind_index").asInt(),
        in.get("status2").asInt(),
        four(in.get("good_output_b")),
        in.get("status3").asInt(),
        hex(in.get("default_responder")),
        in.get("user").asInt(),
        in.get("refresh_rate").asInt(),
        in.get("background_queue_policy").asInt());
  }

  @Test
  void artPollReply() {
    byte[] to = new byte[ArtPollReply.SIZE];
    for (JsonNode one : vectors.get("art_poll_reply")) {
      int size = reply(one.get("input")).write(to);
      assertThat(written(to, size))
          .as(one.get("name").asString())
          .isEqualTo(one.get("hex").asString());
      assertThat(ArtPollReply.refuse(to, size, true)).isNull();
      byte[] again = new byte[ArtPollReply.SIZE];
      ArtPollReply.read(to, size).write(again);
      assertThat(again).isEqualTo(to);
    }
  }

  @Test
  void ddpFramesAndQueries() {
    for (JsonNode one : vectors.get("ddp_frames")) {
      JsonNode in = one.get("input");
      List<String> packets = ddpFrame(in, hex(in.get("data")));
      assertThat(packets)
          .as(one.get("name").asString())
          .isEqualTo(one.get("packets").valueStream().map(JsonNode::asString).toList());
    }
    byte[] to = new byte[100];
    for (JsonNode one : vectors.get("ddp_query")) {
      JsonNode in = one.get("input");
      int size =
          Ddp.writeHeader(
              to,
              Ddp.QUERY,
              in.get("sequence").asInt(),
              0,
              in.get("destination").asInt(),
              in.get("offset").asLong(),
              in.get("length").asInt(),
              -1);
      assertThat(written(to, size)).isEqualTo(one.get("hex").asString());
      assertThat(Ddp.refuse(to, size, true)).isNull();
    }
    for (JsonNode one : vectors.get("ddp_reply")) {
      JsonNode in = one.get("input");
      byte[] json = in.get("json").asString().getBytes(StandardCharsets.UTF_8);
      int flags = Ddp.REPLY | Ddp.PUSH;
      int sequence = in.path("sequence").asInt(0);
      int head =
          Ddp.writeHeader(
              to, flags, sequence, 0, in.get("destination").asInt(), 0, json.length, -1);
      System.arraycopy(json, 0, to, head, json.length);
      assertThat(written(to, head + json.length)).isEqualTo(one.at("/packets/0").asString());
      assertThat(Ddp.refuse(to, head + json.length, true)).isNull();
    }
  }

  /** A frame as a sender splits it, from the codec's parts. */
  private static List<String> ddpFrame(JsonNode in, byte[] data) {
    List<String> packets = new ArrayList<>();
    int sequence = in.get("sequence").asInt();
    int count = Ddp.packets(data.length);
    for (int i = 0; i < count; i++) {
      int from = i * Ddp.MOST_DATA;
      int bytes = Math.min(Ddp.MOST_DATA, data.length - from);
      boolean push = in.get("push").asBoolean() && i == count - 1;
      boolean timed = in.get("timecode_on").asString().equals("all") || push;
      byte[] to = new byte[1500];
      int head =
          Ddp.writeHeader(
              to,
              push ? Ddp.PUSH : 0,
              sequence,
              in.get("data_type").asInt(),
              in.get("destination").asInt(),
              in.get("offset").asLong() + from,
              bytes,
              timed ? in.get("timecode").asLong(-1) : -1);
      System.arraycopy(data, from, to, head, bytes);
      int size = head + bytes;
      packets.add(written(to, size));
      assertThat(Ddp.refuse(to, size, true)).isNull();
      assertThat(Ddp.offset(to)).isEqualTo(in.get("offset").asLong() + from);
      assertThat(Ddp.is(to, Ddp.PUSH)).isEqualTo(push);
      assertThat(Ddp.dataAt(to)).isEqualTo(head);
      sequence = sequence == 0 ? 0 : Ddp.nextSequence(sequence);
    }
    return packets;
  }

  private static Refusal refusal(String kind, byte[] packet, boolean strict) {
    int length = packet.length;
    return switch (kind) {
      case "e131_data" -> E131.refuseData(packet, length, strict);
      case "e131_sync" -> E131.refuseSync(packet, length, strict);
      case "e131_discovery" -> E131.refuseDiscovery(packet, length, strict);
      case "art_dmx" -> ArtNet.refuseDmx(packet, length, strict);
      case "art_sync" -> ArtNet.refuseSync(packet, length);
      case "art_poll" -> ArtNet.refusePoll(packet, length, strict);
      case "art_poll_reply" -> ArtPollReply.refuse(packet, length, strict);
      case "ddp" -> Ddp.refuse(packet, length, strict);
      default -> throw new AssertionError(kind);
    };
  }

  @Test
  void eachMalformedPacketIsRefusedAndWhatIsToleratedIsTaken() {
    int refused = 0;
    for (JsonNode one : vectors.get("malformed")) {
      byte[] packet = hex(one.get("hex"));
      String kind = one.get("kind").asString();
      String what = kind + ": " + one.get("name").asString();
      boolean strict = one.get("level").asString().equals("strict");
      assertThat(refusal(kind, packet, true)).as(what).isNotNull();
      // what only breaks a rule on senders is read by those who are lenient
      Refusal lenient = refusal(kind, packet, false);
      assertThat(lenient == null).as(what + ": " + lenient).isEqualTo(strict);
      assertThat(refusal(kind, packet, true).strict()).as(what).isEqualTo(strict);
      refused++;
    }
    assertThat(refused).isEqualTo(90);
    for (JsonNode one : vectors.get("tolerated")) {
      byte[] packet = hex(one.get("hex"));
      assertThat(refusal(one.get("kind").asString(), packet, true))
          .as(one.get("name").asString())
          .isNull();
    }
  }

  @Test
  void sequencesGroupsAndNames() {
    JsonNode functions = vectors.get("functions");
    for (JsonNode one : functions.get("e131_sequence")) {
      assertThat(E131.inOrder(one.get("last").asInt(), one.get("new").asInt()))
          .as(one.toString())
          .isEqualTo(one.get("accepted").asBoolean());
    }
    for (JsonNode one : functions.get("multicast")) {
      assertThat(MulticastGroup.of(one.get("universe").asInt()))
          .isEqualTo(one.get("group").asString());
    }
    for (JsonNode one : functions.get("name_fit")) {
      byte[] text = one.get("text").asString().getBytes(StandardCharsets.UTF_8);
      int fits = Bytes.fitting(text, one.get("limit").asInt());
      assertThat(new String(text, 0, fits, StandardCharsets.UTF_8))
          .isEqualTo(one.get("fits").asString());
      assertThat(fits).isEqualTo(one.get("bytes").asInt());
    }
  }
}
