package hamper.server.network;

import hamper.listen.Datagrams;
import java.io.Closeable;
import java.io.IOException;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.net.NetworkInterface;
import java.net.StandardProtocolFamily;
import java.net.StandardSocketOptions;
import java.nio.ByteBuffer;
import java.nio.channels.ClosedSelectorException;
import java.nio.channels.DatagramChannel;
import java.nio.channels.SelectionKey;
import java.nio.channels.Selector;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.TimeUnit;
import java.util.function.BooleanSupplier;

/**
 * Sockets that hear what comes to this computer: to an address of its own, to groups that it joins,
 * to everybody. Each knows whom what it hears was sent to, since the system does not tell.
 */
final class Ears implements Closeable {
  private static final int RECEIVE_BUFFER = 4 << 20;

  /** A socket joins no more groups than that: the system's limit. */
  private static final int GROUPS_A_SOCKET = 20;

  private static final int AT_ONCE = 256;
  private static final long FIRST_GROUP = 224L << 24;

  /** Whom a packet was sent to. */
  private interface Receiver {
    long of(byte[] packet, int length);
  }

  private final Selector selector;
  private final List<DatagramChannel> channels = new ArrayList<>();
  private final Map<DatagramChannel, Integer> joined = new HashMap<>();
  private final Map<DatagramChannel, Receiver> receivers = new HashMap<>();
  private final ByteBuffer buffer = ByteBuffer.allocate(65_536);

  Ears() throws IOException {
    selector = Selector.open();
  }

  private DatagramChannel open(InetSocketAddress at, Receiver receiver) throws IOException {
    DatagramChannel channel = DatagramChannel.open(StandardProtocolFamily.INET);
    try {
      channel.setOption(StandardSocketOptions.SO_RCVBUF, RECEIVE_BUFFER);
      channel.setOption(StandardSocketOptions.SO_REUSEADDR, true);
      channel.setOption(StandardSocketOptions.SO_BROADCAST, true);
      channel.bind(at);
      channel.configureBlocking(false);
      channel.register(selector, SelectionKey.OP_READ);
    } catch (IOException e) {
      channel.close();
      throw e;
    }
    channels.add(channel);
    receivers.put(channel, receiver);
    return channel;
  }

  /**
   * Hears what is sent to an address of this computer.
   *
   * @param port 0: any that is free
   * @throws IOException where another program keeps the port to itself
   */
  DatagramChannel at(InetAddress own, int port) throws IOException {
    long to = bits(own);
    return open(new InetSocketAddress(own, port), (packet, length) -> to);
  }

  /** Hears what is sent to everybody in a subnet. */
  DatagramChannel everybody(InetAddress broadcast, int port) throws IOException {
    long to = bits(broadcast);
    return open(new InetSocketAddress(broadcast, port), (packet, length) -> to);
  }

  /** Which group a packet goes to, by what stands in it. */
  interface GroupOf {
    /**
     * @return 0: none that anybody joins
     */
    long of(byte[] packet, int length);
  }

  /** Joins a group; what is heard of it went to the group that its packets name. */
  void join(InetAddress group, int port, NetworkInterface by, GroupOf groupOf) throws IOException {
    DatagramChannel with = null;
    for (Map.Entry<DatagramChannel, Integer> one : joined.entrySet()) {
      with = one.getValue() < GROUPS_A_SOCKET ? one.getKey() : with;
    }
    if (with == null) {
      with = open(new InetSocketAddress(port), groupOf::of);
    }
    with.join(group, by);
    joined.merge(with, 1, Integer::sum);
  }

  /** Gives away what arrives, until a moment of the system's clock. */
  void hear(long untilNanos, Datagrams to) throws IOException {
    hearUntil(untilNanos, () -> false, to);
  }

  /** The same, or until something was heard. */
  void hearUntil(long untilNanos, BooleanSupplier enough, Datagrams to) throws IOException {
    long left = untilNanos - System.nanoTime();
    while (left > 0 && !enough.getAsBoolean() && !Thread.currentThread().isInterrupted()) {
      selector.select(Math.max(1, TimeUnit.NANOSECONDS.toMillis(left)));
      try {
        for (SelectionKey key : selector.selectedKeys()) {
          drain((DatagramChannel) key.channel(), to);
        }
        selector.selectedKeys().clear();
      } catch (ClosedSelectorException e) {
        return;
      }
      left = untilNanos - System.nanoTime();
    }
  }

  private void drain(DatagramChannel channel, Datagrams to) throws IOException {
    for (int i = 0; i < AT_ONCE; i++) {
      buffer.clear();
      InetSocketAddress sender = (InetSocketAddress) channel.receive(buffer);
      if (sender == null) {
        return;
      }
      long receiver = receivers.get(channel).of(buffer.array(), buffer.position());
      InetSocketAddress here = (InetSocketAddress) channel.getLocalAddress();
      to.take(
          TimeUnit.NANOSECONDS.toMicros(System.nanoTime()),
          bits(sender.getAddress()),
          sender.getPort(),
          receiver,
          here.getPort(),
          buffer.array(),
          buffer.position());
    }
  }

  static long bits(InetAddress address) {
    long bits = 0;
    for (byte one : address.getAddress()) {
      bits = bits << 8 | one & 255;
    }
    return bits;
  }

  /** Whether an address is a group. */
  static boolean isGroup(long address) {
    return address >= FIRST_GROUP && address < 240L << 24;
  }

  @Override
  public void close() throws IOException {
    for (DatagramChannel channel : channels) {
      channel.close();
    }
    selector.close();
  }
}
