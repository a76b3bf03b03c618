package hamper.wire;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/**
 * Art-Net packets that carry RDM: tables of devices, and messages to one of them. Source: Art-Net
 * 4, ArtTodRequest, ArtTodData, ArtTodControl, ArtRdm.
 */
public final class ArtRdm {
  public static final int TOD_REQUEST = 0x8000;
  public static final int TOD_DATA = 0x8100;
  public static final int TOD_CONTROL = 0x8200;
  public static final int MESSAGE = 0x8300;

  /** Of ArtTodControl: forget the table, and search the line anew. */
  public static final int FLUSH = 1;

  /** Most devices in one ArtTodData. */
  public static final int MOST_UIDS = 200;

  /** Longest ArtRdm (bytes): a message without its start code. */
  public static final int MOST_SIZE = 24 + 25 + Rdm.MOST_DATA;

  private static final int VERSION = 1;
  private static final int HEAD = 24;
  private static final int TOD_HEAD = 28;
  private static final int MOST_ADDRESSES = 32;

  /** Bytes of an ArtTodRequest, with room for all addresses that one may ask for. */
  public static final int TOD_REQUEST_SIZE = HEAD + MOST_ADDRESSES;

  public static final int TOD_CONTROL_SIZE = HEAD;

  private ArtRdm() {}

  private static void head(byte[] to, int size, int opcode) {
    Bytes.zero(to, 0, size);
    ArtNet.head(to, opcode);
    Bytes.put16(to, 10, 14);
  }

  /** Asks for the table of one Port-Address. */
  public static int writeTodRequest(byte[] to, int portAddress) {
    head(to, TOD_REQUEST_SIZE, TOD_REQUEST);
    to[21] = (byte) (portAddress >> 8);
    to[23] = 1;
    to[24] = (byte) portAddress;
    return TOD_REQUEST_SIZE;
  }

  /** Orders a search of a line. */
  public static int writeTodControl(byte[] to, int portAddress, int command) {
    head(to, TOD_CONTROL_SIZE, TOD_CONTROL);
    to[21] = (byte) (portAddress >> 8);
    to[22] = (byte) command;
    to[23] = (byte) portAddress;
    return TOD_CONTROL_SIZE;
  }

  /**
   * A part of a table.
   *
   * @param port of the node, from 1
   * @param total devices of the whole table
   * @param block which part, from 0
   * @param uids 0..200 of them
   */
  public record TodData(
      int portAddress, int port, int bindIndex, int total, int block, List<Uid> uids) {
    public TodData {
      uids = List.copyOf(uids);
    }

    public int size() {
      return TOD_HEAD + uids.size() * Uid.SIZE;
    }

    /**
     * @return its size (bytes)
     */
    public int write(byte[] to) {
      head(to, size(), TOD_DATA);
      to[12] = VERSION;
      to[13] = (byte) port;
      to[20] = (byte) bindIndex;
      to[21] = (byte) (portAddress >> 8);
      to[23] = (byte) portAddress;
      Bytes.put16(to, 24, total);
      to[26] = (byte) block;
      to[27] = (byte) uids.size();
      for (int i = 0; i < uids.size(); i++) {
        uids.get(i).write(to, TOD_HEAD + i * Uid.SIZE);
      }
      return size();
    }
  }

  /** A whole table as packets. */
  public static List<TodData> table(int portAddress, int port, int bindIndex, List<Uid> all) {
    List<TodData> parts = new ArrayList<>();
    for (int from = 0; from == 0 || from < all.size(); from += MOST_UIDS) {
      List<Uid> part = all.subList(from, Math.min(all.size(), from + MOST_UIDS));
      parts.add(new TodData(portAddress, port, bindIndex, all.size(), from / MOST_UIDS, part));
    }
    return parts;
  }

  /**
   * Writes a message; its start code is not sent.
   *
   * @return its size (bytes)
   */
  public static int writeRdm(byte[] to, int portAddress, Rdm message) {
    head(to, HEAD, MESSAGE);
    to[12] = VERSION;
    to[21] = (byte) (portAddress >> 8);
    to[23] = (byte) portAddress;
    byte[] whole = new byte[message.size()];
    message.write(whole);
    System.arraycopy(whole, 1, to, HEAD, whole.length - 1);
    return HEAD + whole.length - 1;
  }

  private static Refusal refuse(byte[] packet, int length, int opcode, int least) {
    if (length < 12) {
      return Refusal.TOO_SHORT;
    } else if (!Bytes.same(packet, ArtNet.IDENTIFIER)) {
      return Refusal.IDENTIFIER;
    } else if (ArtNet.opcode(packet) != opcode) {
      return Refusal.OPCODE;
    } else if (length < least) {
      return Refusal.TOO_SHORT;
    }
    return Bytes.u16(packet, 10) < 14 ? Refusal.VERSION : null;
  }

  public static Refusal refuseTodRequest(byte[] packet, int length) {
    Refusal why = refuse(packet, length, TOD_REQUEST, HEAD);
    if (why != null) {
      return why;
    }
    int count = Bytes.u8(packet, 23);
    return count > MOST_ADDRESSES || HEAD + count > length ? Refusal.COUNT : null;
  }

  public static Refusal refuseTodControl(byte[] packet, int length) {
    return refuse(packet, length, TOD_CONTROL, HEAD);
  }

  public static Refusal refuseTodData(byte[] packet, int length) {
    Refusal why = refuse(packet, length, TOD_DATA, TOD_HEAD);
    if (why != null) {
      return why;
    }
    int count = Bytes.u8(packet, 27);
    return count > MOST_UIDS || TOD_HEAD + count * Uid.SIZE > length ? Refusal.COUNT : null;
  }

  public static Refusal refuseRdm(byte[] packet, int length) {
    Refusal why = refuse(packet, length, MESSAGE, HEAD + 25);
    if (why != null) {
      return why;
    }
    byte[] message = message(packet, length);
    return Rdm.refuse(message, message.length);
  }

  /** With the start code that is not sent. */
  private static byte[] message(byte[] packet, int length) {
    byte[] message = new byte[length - HEAD + 1];
    message[0] = (byte) Rdm.START_CODE;
    System.arraycopy(packet, HEAD, message, 1, length - HEAD);
    return message;
  }

  // what stands in a packet that is not refused

  /** Port-Addresses whose tables are asked for. */
  public static int[] asked(byte[] packet) {
    int[] asked = new int[Bytes.u8(packet, 23)];
    for (int i = 0; i < asked.length; i++) {
      asked[i] = Bytes.u8(packet, 21) << 8 | Bytes.u8(packet, HEAD + i);
    }
    return asked;
  }

  /** Of ArtTodControl and ArtRdm. */
  public static int portAddress(byte[] packet) {
    return Bytes.u8(packet, 21) << 8 | Bytes.u8(packet, 23);
  }

  public static int command(byte[] packet) {
    return Bytes.u8(packet, 22);
  }

  public static TodData readTodData(byte[] packet) {
    Uid[] uids = new Uid[Bytes.u8(packet, 27)];
    for (int i = 0; i < uids.length; i++) {
      uids[i] = Uid.at(packet, TOD_HEAD + i * Uid.SIZE);
    }
    return new TodData(
        portAddress(packet),
        Bytes.u8(packet, 13),
        Bytes.u8(packet, 20),
        Bytes.u16(packet, 24),
        Bytes.u8(packet, 26),
        Arrays.asList(uids));
  }

  public static Rdm readRdm(byte[] packet, int length) {
    return Rdm.read(message(packet, length));
  }
}
