package hamper.wire;

import java.nio.charset.StandardCharsets;
import java.util.Arrays;

/**
 * A message to a device on a DMX line, or its answer. Source: ANSI E1.20, "Message structure".
 *
 * @param transaction counted by whoever asks, 0..255; an answer repeats it
 * @param type port of whoever asks, from 1; in an answer what kind it is
 * @param waiting messages that wait in the device
 * @param subDevice 0: the device itself
 * @param command what is done: {@link #GET} and so on
 * @param parameter which of its parameters, such as {@link #START_ADDRESS}
 * @param data 0..231 bytes
 */
public record Rdm(
    Uid to,
    Uid from,
    int transaction,
    int type,
    int waiting,
    int subDevice,
    int command,
    int parameter,
    byte[] data) {
  public static final int START_CODE = 0xCC;
  public static final int SUB_START_CODE = 0x01;

  public static final int GET = 0x20;
  public static final int GET_ANSWER = 0x21;
  public static final int SET = 0x30;
  public static final int SET_ANSWER = 0x31;

  public static final int DEVICE_INFO = 0x0060;
  public static final int MODEL = 0x0080;
  public static final int MAKER = 0x0081;
  public static final int LABEL = 0x0082;
  public static final int PERSONALITY = 0x00E0;
  public static final int START_ADDRESS = 0x00F0;
  public static final int IDENTIFY = 0x1000;

  /** Kinds of answer. */
  public static final int ACK = 0x00;

  public static final int REFUSED = 0x02;

  /** Why an answer refuses. */
  public static final int UNKNOWN_PARAMETER = 0x0000;

  public static final int WRONG_FORMAT = 0x0001;
  public static final int OUT_OF_RANGE = 0x0006;

  /** Longest data (bytes). */
  public static final int MOST_DATA = 231;

  /** Without data, from the start code to before the checksum (bytes). */
  private static final int HEAD = 24;

  public Rdm {
    data = data.clone();
    if (data.length > MOST_DATA) {
      throw new IllegalArgumentException("A message carries at most %d bytes".formatted(MOST_DATA));
    }
  }

  /** A question, or an order, to one device. */
  public static Rdm ask(
      Uid to, Uid from, int transaction, int command, int parameter, byte... data) {
    return new Rdm(to, from, transaction & 255, 1, 0, 0, command, parameter, data);
  }

  /** The answer to this message. */
  public Rdm answer(int answerType, byte... answerData) {
    return new Rdm(
        from, to, transaction, answerType, 0, subDevice, command + 1, parameter, answerData);
  }

  @Override
  public byte[] data() {
    return data.clone();
  }

  /** Two bytes of the data, high first; 0 where they are not there. */
  public int number(int at) {
    return data.length >= at + 2 ? Bytes.u16(data, at) : 0;
  }

  /** The data as a text, which has no end but the data's. */
  public String text() {
    return new String(data, StandardCharsets.UTF_8);
  }

  /** Size with start code and checksum (bytes). */
  public int size() {
    return HEAD + data.length + 2;
  }

  /**
   * Writes it from its start code on.
   *
   * @return its size (bytes)
   */
  public int write(byte[] bytes) {
    bytes[0] = (byte) START_CODE;
    bytes[1] = (byte) SUB_START_CODE;
    bytes[2] = (byte) (HEAD + data.length);
    to.write(bytes, 3);
    from.write(bytes, 9);
    bytes[15] = (byte) transaction;
    bytes[16] = (byte) type;
    bytes[17] = (byte) waiting;
    Bytes.put16(bytes, 18, subDevice);
    bytes[20] = (byte) command;
    Bytes.put16(bytes, 21, parameter);
    bytes[23] = (byte) data.length;
    System.arraycopy(data, 0, bytes, HEAD, data.length);
    Bytes.put16(bytes, HEAD + data.length, sum(bytes, HEAD + data.length));
    return size();
  }

  /** Of all bytes before it, the start code included. */
  static int sum(byte[] bytes, int count) {
    int sum = 0;
    for (int i = 0; i < count; i++) {
      sum += bytes[i] & 255;
    }
    return sum & 0xFFFF;
  }

  /**
   * @return why bytes from the start code on are no message; null where they are one
   */
  public static Refusal refuse(byte[] bytes, int length) {
    if (length < HEAD + 2) {
      return Refusal.TOO_SHORT;
    } else if (Bytes.u8(bytes, 0) != START_CODE || Bytes.u8(bytes, 1) != SUB_START_CODE) {
      return Refusal.IDENTIFIER;
    }
    int body = Bytes.u8(bytes, 2);
    if (body < HEAD || body + 2 > length || Bytes.u8(bytes, 23) != body - HEAD) {
      return Refusal.LENGTH;
    }
    return Bytes.u16(bytes, body) == sum(bytes, body) ? null : Refusal.CHECKSUM;
  }

  /** Reads what is not refused. */
  public static Rdm read(byte[] bytes) {
    int body = Bytes.u8(bytes, 2);
    return new Rdm(
        Uid.at(bytes, 3),
        Uid.at(bytes, 9),
        Bytes.u8(bytes, 15),
        Bytes.u8(bytes, 16),
        Bytes.u8(bytes, 17),
        Bytes.u16(bytes, 18),
        Bytes.u8(bytes, 20),
        Bytes.u16(bytes, 21),
        Arrays.copyOfRange(bytes, HEAD, body));
  }

  /** Whether an answer is one to this message. */
  public boolean isAnsweredBy(Rdm answer) {
    return answer.from.equals(to)
        && answer.to.equals(from)
        && answer.transaction == transaction
        && answer.command == command + 1
        && answer.parameter == parameter;
  }
}
