package hamper.capture;

import hamper.listen.Datagrams;

/** Takes the UDP datagram out of an IPv4 packet. */
final class Datagram {
  private static final int UDP = 17;
  private static final int UDP_HEADER = 8;
  private static final int LEAST_IP = 20;

  private final byte[] data = new byte[65_536];
  private long given;
  private long fragments;
  private long shortened;

  long given() {
    return given;
  }

  long fragments() {
    return fragments;
  }

  long shortened() {
    return shortened;
  }

  /**
   * @param ip where the packet begins in its frame
   * @param length of what was kept of the frame
   */
  void give(byte[] frame, int ip, int length, long micros, Datagrams to) {
    if (length < ip + LEAST_IP || (frame[ip] & 0xf0) != 0x40 || frame[ip + 9] != UDP) {
      return;
    }
    int header = (frame[ip] & 15) * 4;
    if (header < LEAST_IP) {
      return;
    }
    if ((Link.u16(frame, ip + 6) & 0x3fff) != 0) {
      fragments++;
      return;
    }
    int udp = ip + header;
    if (length < udp + UDP_HEADER) {
      shortened++;
      return;
    }
    int size = Link.u16(frame, udp + 4) - UDP_HEADER;
    if (size < 0 || udp + UDP_HEADER + size > length) {
      shortened++;
      return;
    }
    System.arraycopy(frame, udp + UDP_HEADER, data, 0, size);
    given++;
    to.take(
        micros,
        address(frame, ip + 12),
        Link.u16(frame, udp),
        address(frame, ip + 16),
        Link.u16(frame, udp + 2),
        data,
        size);
  }

  private static long address(byte[] frame, int at) {
    return (long) Link.u16(frame, at) << 16 | Link.u16(frame, at + 2);
  }
}
