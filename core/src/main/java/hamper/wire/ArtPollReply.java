package hamper.wire;

import java.nio.charset.StandardCharsets;
import java.util.Arrays;

/**
 * What a node says of itself. Source: Art-Net 4, ArtPollReply; fields after the MAC address came
 * with later revisions and count as 0 where the packet ends before them.
 *
 * @param ip four bytes
 * @param ports 0..4
 * @param portTypes 0x80 gives levels out, 0x40 takes some in; of each of four ports, as the next
 *     five are
 * @param swIn the low four bits of each input's Port-Address
 * @param swOut the low four bits of each output's Port-Address
 * @param mac six bytes
 * @param bindIp four bytes
 */
public record ArtPollReply(
    byte[] ip,
    int version,
    int netSwitch,
    int subSwitch,
    int oem,
    int ubeaVersion,
    int status1,
    int esta,
    String shortName,
    String longName,
    String report,
    int ports,
    byte[] portTypes,
    byte[] goodInput,
    byte[] goodOutputA,
    byte[] swIn,
    byte[] swOut,
    int acnPriority,
    int macro,
    int remote,
    int style,
    byte[] mac,
    byte[] bindIp,
    int bindIndex,
    int status2,
    byte[] goodOutputB,
    int status3,
    byte[] responder,
    int user,
    int refreshRate,
    int queuePolicy) {
  public static final int SIZE = 239;

  private static final int LEAST = 207;
  private static final int MOST_PORTS = 4;
  private static final int SHORT_NAME = 18;
  private static final int LONG_NAME = 64;

  /**
   * @return its size (bytes)
   */
  public int write(byte[] to) {
    Bytes.zero(to, 0, SIZE);
    ArtNet.head(to, ArtNet.POLL_REPLY);
    System.arraycopy(ip, 0, to, 10, 4);
    Bytes.put16Low(to, 14, ArtNet.PORT);
    Bytes.put16(to, 16, version);
    to[18] = (byte) netSwitch;
    to[19] = (byte) subSwitch;
    Bytes.put16(to, 20, oem);
    to[22] = (byte) ubeaVersion;
    to[23] = (byte) status1;
    Bytes.put16Low(to, 24, esta);
    Bytes.text(to, 26, SHORT_NAME, shortName.getBytes(StandardCharsets.UTF_8));
    Bytes.text(to, 44, LONG_NAME, longName.getBytes(StandardCharsets.UTF_8));
    Bytes.text(to, 108, LONG_NAME, report.getBytes(StandardCharsets.UTF_8));
    Bytes.put16(to, 172, ports);
    byte[][] four = {portTypes, goodInput, goodOutputA, swIn, swOut};
    for (int i = 0; i < four.length; i++) {
      System.arraycopy(four[i], 0, to, 174 + 4 * i, 4);
    }
    to[194] = (byte) acnPriority;
    to[195] = (byte) macro;
    to[196] = (byte) remote;
    to[200] = (byte) style;
    System.arraycopy(mac, 0, to, 201, 6);
    System.arraycopy(bindIp, 0, to, 207, 4);
    to[211] = (byte) bindIndex;
    to[212] = (byte) status2;
    System.arraycopy(goodOutputB, 0, to, 213, 4);
    to[217] = (byte) status3;
    System.arraycopy(responder, 0, to, 218, 6);
    Bytes.put16(to, 224, user);
    Bytes.put16(to, 226, refreshRate);
    to[228] = (byte) queuePolicy;
    return SIZE;
  }

  /**
   * @return why it is no ArtPollReply; null where it is one
   */
  public static Refusal refuse(byte[] packet, int length, boolean strict) {
    if (length < 10) {
      return Refusal.TOO_SHORT;
    } else if (!Bytes.same(packet, ArtNet.IDENTIFIER)) {
      return Refusal.IDENTIFIER;
    } else if (ArtNet.opcode(packet) != ArtNet.POLL_REPLY) {
      return Refusal.OPCODE;
    } else if (length < LEAST) {
      return Refusal.TOO_SHORT;
    } else if (Bytes.u16(packet, 172) > MOST_PORTS) {
      return Refusal.COUNT;
    }
    if (strict && Bytes.u16Low(packet, 14) != ArtNet.PORT) {
      return Refusal.PORT;
    }
    boolean named =
        Bytes.isText(packet, 26, SHORT_NAME)
            && Bytes.isText(packet, 44, LONG_NAME)
            && Bytes.isText(packet, 108, LONG_NAME);
    return strict && !named ? Refusal.NAME : null;
  }

  /** Reads what is not refused. */
  public static ArtPollReply read(byte[] packet, int length) {
    byte[] all = Arrays.copyOf(Arrays.copyOf(packet, length), Math.max(length, SIZE));
    return new ArtPollReply(
        part(all, 10, 4),
        Bytes.u16(all, 16),
        Bytes.u8(all, 18),
        Bytes.u8(all, 19),
        Bytes.u16(all, 20),
        Bytes.u8(all, 22),
        Bytes.u8(all, 23),
        Bytes.u16Low(all, 24),
        Bytes.textAt(all, 26, SHORT_NAME),
        Bytes.textAt(all, 44, LONG_NAME),
        Bytes.textAt(all, 108, LONG_NAME),
        Bytes.u16(all, 172),
        part(all, 174, 4),
        part(all, 178, 4),
        part(all, 182, 4),
        part(all, 186, 4),
        part(all, 190, 4),
        Bytes.u8(all, 194),
        Bytes.u8(all, 195),
        Bytes.u8(all, 196),
        Bytes.u8(all, 200),
        part(all, 201, 6),
        part(all, 207, 4),
        Bytes.u8(all, 211),
        Bytes.u8(all, 212),
        part(all, 213, 4),
        Bytes.u8(all, 217),
        part(all, 218, 6),
        Bytes.u16(all, 224),
        Bytes.u16(all, 226),
        Bytes.u8(all, 228));
  }

  private static byte[] part(byte[] all, int at, int count) {
    return Arrays.copyOfRange(all, at, at + count);
  }
}
