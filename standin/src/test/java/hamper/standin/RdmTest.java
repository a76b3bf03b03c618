package hamper.standin;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import hamper.wire.ArtRdm;
import hamper.wire.Rdm;
import hamper.wire.Refusal;
import hamper.wire.Uid;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.TreeSet;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** A bridge finds who is on its lines though they answer at once, and carries messages to them. */
class RdmTest {
  private static final Uid DESK = new Uid(0x7A70_0000_0001L);
  private static final Map<Integer, String> LINES = Map.of(300, "DMX 2");

  private final RdmLines lines = new RdmLines();

  private void hang(Iterable<Uid> uids) throws Device.RefusedException {
    ObjectNode root = Device.JSON.createObjectNode();
    ArrayNode fixtures = root.putArray("fixtures");
    int slot = 1;
    for (Uid uid : uids) {
      fixtures
          .addObject()
          .put("uid", uid.toString())
          .put("maker", "Ostrand")
          .put("model", "Bow Lamp")
          .put("slot", slot)
          .put("footprint", 8);
      slot = slot % 500 + 8;
    }
    lines.hang("DMX 2", root);
  }

  private List<Uid> table() {
    byte[] request = new byte[ArtRdm.TOD_REQUEST_SIZE];
    ArtRdm.writeTodRequest(request, 300);
    List<Uid> all = new ArrayList<>();
    for (byte[] packet : lines.answer(request, request.length, LINES)) {
      assertThat(ArtRdm.refuseTodData(packet, packet.length)).isNull();
      ArtRdm.TodData part = ArtRdm.readTodData(packet);
      assertThat(part.portAddress()).isEqualTo(300);
      assertThat(part.port()).isEqualTo(2);
      all.addAll(part.uids());
    }
    return all;
  }

  @Test
  void everybodyIsFoundWhoeverAnswersAtOnce() throws Exception {
    Random random = new Random(3);
    for (int i = 0; i < 60; i++) {
      TreeSet<Uid> uids = new TreeSet<>();
      long near = random.nextLong(1L << 48);
      for (int k = 0; k < i * 4; k++) {
        // some of one maker side by side, some anywhere
        long bits = i % 2 == 0 ? near + k : random.nextLong(0xFFFF_FFFF_FFFEL);
        uids.add(new Uid(bits & 0xFFFF_FFFF_FFFEL));
      }
      hang(uids);
      assertThat(table()).as("%d fixtures", uids.size()).containsExactlyElementsOf(uids);
    }
  }

  /** 40 on a line: one alone, two that differ in one bit, and the two ends of all there is. */
  @Test
  void whatLooksLikeAnAnswerAndIsNoneIsSearchedOn() throws Exception {
    TreeSet<Uid> uids = new TreeSet<>();
    for (int bit = 0; bit < 47; bit++) {
      uids.add(new Uid(1L << bit));
      uids.add(new Uid(0xFFFF_FFFF_FFFEL & ~(1L << bit + 1)));
    }
    uids.add(new Uid(0));
    hang(uids);
    assertThat(table()).containsExactlyElementsOf(uids);
  }

  private Rdm asked(Uid to, int command, int parameter, int... data) {
    byte[] bytes = new byte[data.length];
    for (int i = 0; i < data.length; i++) {
      bytes[i] = (byte) data[i];
    }
    Rdm message = Rdm.ask(to, DESK, 77, command, parameter, bytes);
    byte[] packet = new byte[ArtRdm.MOST_SIZE];
    int size = ArtRdm.writeRdm(packet, 300, message);
    List<byte[]> answers = lines.answer(packet, size, LINES);
    if (answers.isEmpty()) {
      return null;
    }
    byte[] answer = answers.get(0);
    assertThat(ArtRdm.refuseRdm(answer, answer.length)).isNull();
    Rdm read = ArtRdm.readRdm(answer, answer.length);
    assertThat(message.isAnsweredBy(read)).isTrue();
    return read;
  }

  @Test
  void aFixtureSaysWhatItIsAndTakesAnotherSlot() throws Exception {
    Uid lamp = Uid.of("4854:0000A1B2");
    hang(List.of(lamp));
    Rdm info = asked(lamp, Rdm.GET, Rdm.DEVICE_INFO);
    assertThat(info.data()).hasSize(19);
    assertThat(info.number(10)).as("footprint").isEqualTo(8);
    assertThat(info.number(14)).as("start slot").isEqualTo(1);
    assertThat(asked(lamp, Rdm.GET, Rdm.MODEL).text()).isEqualTo("Bow Lamp");
    assertThat(asked(lamp, Rdm.GET, Rdm.MAKER).text()).isEqualTo("Ostrand");
    assertThat(asked(lamp, Rdm.SET, Rdm.START_ADDRESS, 1, 44).type()).isEqualTo(Rdm.ACK);
    assertThat(asked(lamp, Rdm.GET, Rdm.START_ADDRESS).number(0)).isEqualTo(300);
    Rdm refused = asked(lamp, Rdm.SET, Rdm.START_ADDRESS, 2, 1);
    assertThat(refused.type()).isEqualTo(Rdm.REFUSED);
    assertThat(refused.number(0)).isEqualTo(Rdm.OUT_OF_RANGE);
    assertThat(asked(lamp, Rdm.SET, Rdm.START_ADDRESS, 1).number(0)).isEqualTo(Rdm.WRONG_FORMAT);
    assertThat(asked(lamp, Rdm.SET, Rdm.IDENTIFY, 1).type()).isEqualTo(Rdm.ACK);
    assertThat(lines.told("DMX 2").get(0).get("identifying").asBoolean()).isTrue();
    assertThat(asked(lamp, Rdm.GET, 0x8123).number(0)).isEqualTo(Rdm.UNKNOWN_PARAMETER);
    assertThat(asked(new Uid(5), Rdm.GET, Rdm.DEVICE_INFO)).as("nobody has it").isNull();
  }

  @Test
  void aTableIsKnownUntilTheLineIsSearchedAnew() throws Exception {
    hang(List.of(new Uid(1)));
    table();
    assertThat(table()).hasSize(1);
    byte[] control = new byte[ArtRdm.TOD_CONTROL_SIZE];
    ArtRdm.writeTodControl(control, 300, ArtRdm.FLUSH);
    assertThat(lines.answer(control, control.length, LINES)).hasSize(1);
    byte[] other = new byte[ArtRdm.TOD_REQUEST_SIZE];
    ArtRdm.writeTodRequest(other, 301);
    assertThat(lines.answer(other, other.length, LINES)).as("another line").isEmpty();
  }

  /** Whatever a packet is cut or changed to, it is refused or answered, and nothing breaks. */
  @Test
  void damagedPacketsAreRefused() throws Exception {
    hang(List.of(new Uid(1), new Uid(2)));
    byte[] whole = new byte[ArtRdm.MOST_SIZE];
    int size = ArtRdm.writeRdm(whole, 300, Rdm.ask(new Uid(1), DESK, 1, Rdm.GET, Rdm.MODEL));
    byte[] changed = Arrays.copyOf(whole, size);
    changed[30]++;
    assertThat(ArtRdm.refuseRdm(changed, size)).isEqualTo(Refusal.CHECKSUM);
    Random random = new Random(5);
    for (int i = 0; i < 50_000; i++) {
      byte[] packet = Arrays.copyOf(whole, size);
      packet[8] = 0;
      packet[9] = (byte) (0x80 + random.nextInt(4));
      packet[random.nextInt(size)] = (byte) random.nextInt(256);
      packet[12 + random.nextInt(size - 12)] = (byte) random.nextInt(256);
      int length = random.nextInt(size + 1);
      if (RdmLines.is(packet, length)) {
        lines.answer(packet, length, LINES);
      }
      ArtRdm.refuseTodData(packet, length);
    }
  }

  @Test
  void fixturesThatCannotBeAreNotHung() {
    ObjectNode root = Device.JSON.createObjectNode();
    root.putArray("fixtures").addObject().put("uid", "1:2").put("slot", 1);
    assertThatThrownBy(() -> lines.hang("DMX 1", root))
        .isInstanceOf(Device.RefusedException.class)
        .hasMessageContaining("it has four and eight hexadecimal digits");
  }
}
