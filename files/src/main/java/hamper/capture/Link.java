package hamper.capture;

import java.util.HashMap;
import java.util.Map;

/**
 * Kinds of link whose frames are read, by their number in the registry of link types
 * (tcpdump.org/linktypes.html).
 */
enum Link {
  /** Four bytes of address family, in the order of whoever captured. */
  NULL(0) {
    @Override
    int ip(byte[] frame, int length) {
      boolean ip4 = length >= 4 && (frame[0] == AF_INET || frame[3] == AF_INET);
      return ip4 ? 4 : NONE;
    }
  },
  ETHERNET(1) {
    @Override
    int ip(byte[] frame, int length) {
      int at = 12;
      while (length >= at + 2 && isTag(u16(frame, at))) {
        at += 4;
      }
      return length >= at + 2 && u16(frame, at) == IP4 ? at + 2 : NONE;
    }
  },
  RAW_BSD(12) {
    @Override
    int ip(byte[] frame, int length) {
      return 0;
    }
  },
  RAW_OPENBSD(14) {
    @Override
    int ip(byte[] frame, int length) {
      return 0;
    }
  },
  RAW(101) {
    @Override
    int ip(byte[] frame, int length) {
      return 0;
    }
  },
  LOOP(108) {
    @Override
    int ip(byte[] frame, int length) {
      return length >= 4 && frame[3] == AF_INET ? 4 : NONE;
    }
  },
  SLL(113) {
    @Override
    int ip(byte[] frame, int length) {
      return cooked(frame, length, 14, 1, 16);
    }
  },
  IPV4(228) {
    @Override
    int ip(byte[] frame, int length) {
      return 0;
    }
  },
  SLL2(276) {
    @Override
    int ip(byte[] frame, int length) {
      return cooked(frame, length, 0, 10, 20);
    }
  };

  /** Where there is no IPv4 in a frame. */
  static final int NONE = -1;

  private static final int AF_INET = 2;
  private static final int IP4 = 0x0800;
  private static final int OUTGOING = 4;
  private static final Map<Integer, Link> BY_NUMBER = new HashMap<>();

  static {
    for (Link one : values()) {
      BY_NUMBER.put(one.number, one);
    }
  }

  private final int number;

  Link(int number) {
    this.number = number;
  }

  /**
   * @return null where frames of that link are not read
   */
  static Link of(int number) {
    return BY_NUMBER.get(number);
  }

  /** Where the IPv4 header begins; {@link #NONE} where the frame carries something else. */
  abstract int ip(byte[] frame, int length);

  /** 802.1Q and 802.1ad, and what was used for the latter before. */
  private static boolean isTag(int type) {
    return type == 0x8100 || type == 0x88a8 || type == 0x9100;
  }

  /**
   * A capture of all adapters at once has what a computer sends to itself twice: as it leaves and
   * as it comes. It is read as it comes.
   */
  private static int cooked(byte[] frame, int length, int protocolAt, int kindAt, int head) {
    if (length < head || u16(frame, protocolAt) != IP4) {
      return NONE;
    }
    boolean outgoing = frame[kindAt] == OUTGOING;
    boolean toItself = length >= head + 20 && frame[head + 12] == 127 && frame[head + 16] == 127;
    return outgoing && toItself ? NONE : head;
  }

  static int u16(byte[] from, int at) {
    return (from[at] & 255) << 8 | from[at + 1] & 255;
  }
}
