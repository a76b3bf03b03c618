package hamper.wire;

import java.nio.charset.StandardCharsets;

/** Numbers and texts at their place in a packet. */
final class Bytes {
  private Bytes() {}

  static int u8(byte[] from, int at) {
    return from[at] & 255;
  }

  /** High byte first. */
  static int u16(byte[] from, int at) {
    return u8(from, at) << 8 | u8(from, at + 1);
  }

  /** Low byte first. */
  static int u16Low(byte[] from, int at) {
    return u8(from, at + 1) << 8 | u8(from, at);
  }

  /** High byte first. */
  static long u32(byte[] from, int at) {
    return (long) u16(from, at) << 16 | u16(from, at + 2);
  }

  static void put16(byte[] to, int at, int value) {
    to[at] = (byte) (value >> 8);
    to[at + 1] = (byte) value;
  }

  static void put16Low(byte[] to, int at, int value) {
    to[at] = (byte) value;
    to[at + 1] = (byte) (value >> 8);
  }

  static void put32(byte[] to, int at, long value) {
    put16(to, at, (int) (value >> 16));
    put16(to, at + 2, (int) value);
  }

  static void zero(byte[] to, int at, int count) {
    for (int i = at; i < at + count; i++) {
      to[i] = 0;
    }
  }

  static boolean same(byte[] packet, byte[] expected) {
    for (int i = 0; i < expected.length; i++) {
      if (packet[i] != expected[i]) {
        return false;
      }
    }
    return true;
  }

  /** A text with its NUL in a field; cut where it is too long, between two characters. */
  static void text(byte[] to, int at, int field, byte[] utf8) {
    int fits = fitting(utf8, field - 1);
    System.arraycopy(utf8, 0, to, at, fits);
    zero(to, at + fits, field - fits);
  }

  /** How many bytes of a text fit without cutting a character. */
  static int fitting(byte[] utf8, int most) {
    if (utf8.length <= most) {
      return utf8.length;
    }
    int end = most;
    while (end > 0 && (utf8[end] & 0xC0) == 0x80) {
      end--;
    }
    return end;
  }

  /** Up to its NUL. */
  static String textAt(byte[] from, int at, int field) {
    return new String(from, at, textLength(from, at, field), StandardCharsets.UTF_8);
  }

  static int textLength(byte[] from, int at, int field) {
    int end = 0;
    while (end < field && from[at + end] != 0) {
      end++;
    }
    return end;
  }

  /** Whether a field holds a NUL, and UTF-8 before it. */
  static boolean isText(byte[] from, int at, int field) {
    int length = textLength(from, at, field);
    return length < field && isUtf8(from, at, at + length);
  }

  private static boolean isUtf8(byte[] from, int start, int end) {
    int i = start;
    while (i < end) {
      int more = following(u8(from, i));
      if (more < 0 || i + more >= end && more > 0) {
        return false;
      }
      int code = more == 0 ? u8(from, i) : u8(from, i) & (0x3F >> more);
      for (int k = 1; k <= more; k++) {
        if ((from[i + k] & 0xC0) != 0x80) {
          return false;
        }
        code = code << 6 | from[i + k] & 0x3F;
      }
      boolean surrogate = code >= 0xD800 && code <= 0xDFFF;
      if (code < LEAST[more] || code > 0x10FFFF || surrogate) {
        return false;
      }
      i += 1 + more;
    }
    return true;
  }

  /** The least code point of each length: a longer way to write one is not UTF-8. */
  private static final int[] LEAST = {0, 0x80, 0x800, 0x10000};

  /** Bytes that follow a first byte; −1 where it begins nothing. */
  private static int following(int first) {
    if (first < 0x80) {
      return 0;
    } else if (first >= 0xC2 && first < 0xE0) {
      return 1;
    } else if (first >= 0xE0 && first < 0xF0) {
      return 2;
    }
    return first >= 0xF0 && first < 0xF5 ? 3 : -1;
  }
}
