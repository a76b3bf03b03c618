package hamper.wire;

import java.util.Locale;

/**
 * The identity of a device on a DMX line: 16 bits of its maker, 32 of its own. Source: ANSI E1.20,
 * "UID".
 *
 * @param bits 48 of them
 */
public record Uid(long bits) implements Comparable<Uid> {
  /** Everybody on the line. */
  public static final Uid ALL = new Uid(0xFFFF_FFFF_FFFFL);

  static final int SIZE = 6;

  private static final long MOST = 0xFFFF_FFFF_FFFFL;

  public Uid {
    if (bits < 0 || bits > MOST) {
      throw new IllegalArgumentException("A UID has 48 bits, not " + Long.toHexString(bits));
    }
  }

  /**
   * @param text as it is written, such as "4854:0000A1B2"
   * @throws IllegalArgumentException where it is none
   */
  public static Uid of(String text) {
    if (text == null || !text.matches("[0-9A-Fa-f]{4}:[0-9A-Fa-f]{8}")) {
      throw new IllegalArgumentException(
          "uid is \"%s\"; it has four and eight hexadecimal digits, such as 4854:0000A1B2"
              .formatted(text));
    }
    return new Uid(Long.parseLong(text.replace(":", ""), 16));
  }

  static Uid at(byte[] from, int at) {
    return new Uid((long) Bytes.u16(from, at) << 32 | Bytes.u32(from, at + 2));
  }

  void write(byte[] to, int at) {
    Bytes.put16(to, at, (int) (bits >> 32));
    Bytes.put32(to, at + 2, bits & 0xFFFF_FFFFL);
  }

  @Override
  public int compareTo(Uid other) {
    return Long.compare(bits, other.bits);
  }

  @Override
  public String toString() {
    return String.format(Locale.ROOT, "%04X:%08X", bits >> 32, bits & 0xFFFF_FFFFL);
  }
}
