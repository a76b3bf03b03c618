package hamper.standin;

import hamper.wire.Rdm;
import hamper.wire.Uid;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** A fixture on a DMX line that answers RDM. Its start slot can be set from afar. */
final class Responder {
  private static final int LAST_SLOT = 512;
  private static final int MOST_TEXT = 32;

  /** Of ANSI E1.20: fixed fixtures. */
  private static final int CATEGORY = 0x0101;

  private static final int VERSION = 0x0100;

  private final Uid uid;
  private final String piece;
  private final String maker;
  private final String model;
  private final int footprint;
  private final int personalities;
  private int slot;
  private int personality;
  private boolean identifying;

  private Responder(
      Uid uid,
      String piece,
      String maker,
      String model,
      int footprint,
      int personalities,
      int slot,
      int personality) {
    this.uid = uid;
    this.piece = piece;
    this.maker = maker;
    this.model = model;
    this.footprint = footprint;
    this.personalities = personalities;
    this.slot = slot;
    this.personality = personality;
  }

  /**
   * @throws IllegalArgumentException where it is none
   */
  static Responder read(JsonNode told) {
    int slot = told.path("slot").asInt(0);
    int footprint = told.path("footprint").asInt(0);
    int personalities = told.path("personalities").asInt(1);
    int personality = told.path("personality").asInt(1);
    if (slot < 1 || slot > LAST_SLOT || footprint < 0 || footprint > LAST_SLOT) {
      throw new IllegalArgumentException("a fixture has a slot and a footprint up to 512");
    }
    if (personalities < 1
        || personalities > 255
        || personality < 1
        || personality > personalities) {
      throw new IllegalArgumentException("a fixture is in one of its personalities, from 1");
    }
    Responder read =
        new Responder(
            Uid.of(told.path("uid").asString("")),
            told.path("piece").asString(""),
            told.path("maker").asString(""),
            told.path("model").asString(""),
            footprint,
            personalities,
            slot,
            personality);
    read.identifying = told.path("identifying").asBoolean(false);
    return read;
  }

  ObjectNode told() {
    return Device.JSON
        .createObjectNode()
        .put("uid", uid.toString())
        .put("piece", piece)
        .put("maker", maker)
        .put("model", model)
        .put("slot", slot)
        .put("footprint", footprint)
        .put("personality", personality)
        .put("personalities", personalities)
        .put("identifying", identifying);
  }

  Uid uid() {
    return uid;
  }

  /** The answer to a message for it. */
  Rdm answer(Rdm asked) {
    if (asked.subDevice() != 0) {
      return refused(asked, Rdm.OUT_OF_RANGE);
    }
    return switch (asked.command()) {
      case Rdm.GET -> get(asked);
      case Rdm.SET -> set(asked);
      default -> refused(asked, Rdm.UNKNOWN_PARAMETER);
    };
  }

  private Rdm get(Rdm asked) {
    return switch (asked.parameter()) {
      case Rdm.DEVICE_INFO ->
          asked.answer(
              Rdm.ACK,
              ByteBuffer.allocate(19)
                  .putShort((short) VERSION)
                  .putShort((short) model.hashCode())
                  .putShort((short) CATEGORY)
                  .putInt(1)
                  .putShort((short) footprint)
                  .put((byte) personality)
                  .put((byte) personalities)
                  .putShort((short) slot)
                  .array());
      case Rdm.MODEL -> asked.answer(Rdm.ACK, text(model));
      case Rdm.MAKER -> asked.answer(Rdm.ACK, text(maker));
      case Rdm.PERSONALITY -> asked.answer(Rdm.ACK, (byte) personality, (byte) personalities);
      case Rdm.START_ADDRESS -> asked.answer(Rdm.ACK, (byte) (slot >> 8), (byte) slot);
      case Rdm.IDENTIFY -> asked.answer(Rdm.ACK, (byte) (identifying ? 1 : 0));
      default -> refused(asked, Rdm.UNKNOWN_PARAMETER);
    };
  }

  private static byte[] text(String told) {
    byte[] bytes = told.getBytes(StandardCharsets.UTF_8);
    return Arrays.copyOf(bytes, Math.min(bytes.length, MOST_TEXT));
  }

  private Rdm set(Rdm asked) {
    byte[] data = asked.data();
    switch (asked.parameter()) {
      case Rdm.START_ADDRESS -> {
        int wanted = asked.number(0);
        if (data.length != 2) {
          return refused(asked, Rdm.WRONG_FORMAT);
        } else if (wanted < 1 || wanted > LAST_SLOT) {
          return refused(asked, Rdm.OUT_OF_RANGE);
        }
        slot = wanted;
      }
      case Rdm.IDENTIFY -> {
        if (data.length != 1) {
          return refused(asked, Rdm.WRONG_FORMAT);
        }
        identifying = data[0] != 0;
      }
      default -> {
        return refused(asked, Rdm.UNKNOWN_PARAMETER);
      }
    }
    return asked.answer(Rdm.ACK);
  }

  private static Rdm refused(Rdm asked, int why) {
    return asked.answer(Rdm.REFUSED, (byte) (why >> 8), (byte) why);
  }
}
