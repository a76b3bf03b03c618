package hamper.listen;

/** Somebody who is told of UDP datagrams, one after another; nothing of one is kept by itself. */
@FunctionalInterface
public interface Datagrams {
  /**
   * @param micros when it was heard (µs since the epoch of whoever heard it)
   * @param from IPv4 address of the sender, as a number
   * @param to IPv4 address that it was sent to, as a number
   * @param bytes its data, from the first byte on; used again for the next
   * @param length how many of them
   */
  void take(long micros, long from, int fromPort, long to, int toPort, byte[] bytes, int length);
}
