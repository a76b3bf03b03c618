package hamper.server.output;

import hamper.wire.ArtNet;
import java.io.Closeable;
import java.io.IOException;
import java.net.BindException;
import java.net.InetSocketAddress;
import java.net.NetworkInterface;
import java.net.StandardProtocolFamily;
import java.net.StandardSocketOptions;
import java.nio.ByteBuffer;
import java.nio.channels.DatagramChannel;
import java.util.HashMap;
import java.util.HashSet;
import java.util.Map;
import java.util.Set;

/**
 * The sockets that packets leave by. A receiver has one of its own, connected to it, which the
 * system sends by quicker (docs/performance.md); where there are very many receivers, and on
 * Art-Net, whose packets come from its own port, they share one.
 */
final class Sockets implements Closeable {
  private static final int SEND_BUFFER = 4 << 20;

  /** A program may have a thousand files open, and has others. */
  private static final int MOST_CONNECTED = 400;

  private final int groupTtl;
  private final Map<Routes.Hop, DatagramChannel> connected = new HashMap<>();
  private final Map<InetSocketAddress, DatagramChannel> shared = new HashMap<>();
  private final Set<String> names = new HashSet<>();

  /** A way out with its socket. */
  static final class Exit {
    private final DatagramChannel channel;
    private final InetSocketAddress to;
    private final boolean connected;

    private Exit(DatagramChannel channel, InetSocketAddress to, boolean connected) {
      this.channel = channel;
      this.to = to;
      this.connected = connected;
    }

    InetSocketAddress to() {
      return to;
    }

    void send(ByteBuffer bytes) throws IOException {
      if (connected) {
        channel.write(bytes);
      } else {
        channel.send(bytes, to);
      }
    }
  }

  /**
   * @param groupTtl how many routers what goes to a group may pass, and one: 1 is none
   */
  Sockets(int groupTtl) {
    this.groupTtl = groupTtl;
  }

  /** The way out for a hop; its socket is opened where there is none yet. */
  synchronized Exit exit(Routes.Hop hop) throws IOException {
    // Art-Net has its port on both sides. Source: Art-Net 4, "Ethernet packets"
    boolean artNet = hop.to().getPort() == ArtNet.PORT;
    boolean own = !artNet && (connected.containsKey(hop) || connected.size() < MOST_CONNECTED);
    if (own) {
      DatagramChannel channel = connected.get(hop);
      if (channel == null) {
        channel = open(new InetSocketAddress(hop.from(), 0));
        channel.connect(hop.to());
        connected.put(hop, channel);
      }
      return new Exit(channel, hop.to(), true);
    }
    InetSocketAddress from = new InetSocketAddress(hop.from(), artNet ? ArtNet.PORT : 0);
    DatagramChannel channel = shared.get(from);
    if (channel == null) {
      channel = open(from);
      shared.put(from, channel);
    }
    return new Exit(channel, hop.to(), false);
  }

  private DatagramChannel open(InetSocketAddress from) throws IOException {
    DatagramChannel channel = DatagramChannel.open(StandardProtocolFamily.INET);
    channel.setOption(StandardSocketOptions.SO_SNDBUF, SEND_BUFFER);
    channel.setOption(StandardSocketOptions.SO_BROADCAST, true);
    // whoever looks at the network meanwhile has the same port of Art-Net, and hears the answers
    channel.setOption(StandardSocketOptions.SO_REUSEADDR, from.getPort() != 0);
    channel.setOption(StandardSocketOptions.IP_MULTICAST_TTL, groupTtl);
    if (!from.getAddress().isLoopbackAddress()) {
      channel.setOption(
          StandardSocketOptions.IP_MULTICAST_IF,
          NetworkInterface.getByInetAddress(from.getAddress()));
    }
    try {
      channel.bind(from);
    } catch (BindException e) {
      // another program of this computer has it, and keeps what is answered to it
      channel.bind(new InetSocketAddress(from.getAddress(), 0));
    }
    names.add(name(channel));
    return channel;
  }

  /** What others see as sender, such as "127.0.0.1:40123"; also of sockets that are closed. */
  synchronized Set<String> names() {
    return Set.copyOf(names);
  }

  private static String name(DatagramChannel channel) {
    InetSocketAddress here = (InetSocketAddress) channel.socket().getLocalSocketAddress();
    return here.getAddress().getHostAddress() + ":" + here.getPort();
  }

  @Override
  public synchronized void close() throws IOException {
    for (DatagramChannel channel : connected.values()) {
      channel.close();
    }
    for (DatagramChannel channel : shared.values()) {
      channel.close();
    }
  }
}
