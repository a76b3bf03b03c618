package hamper.server.output;

import hamper.wire.ArtNet;
import java.io.Closeable;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.BindException;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.net.NetworkInterface;
import java.net.StandardProtocolFamily;
import java.net.StandardSocketOptions;
import java.nio.channels.DatagramChannel;
import java.util.HashMap;
import java.util.HashSet;
import java.util.Map;
import java.util.Set;

/** The sockets that packets leave by: one an address of this computer, on Art-Net a second. */
final class Sockets implements Closeable {
  private static final int SEND_BUFFER = 4 << 20;

  private final int groupTtl;
  private final Map<InetSocketAddress, DatagramChannel> open = new HashMap<>();

  /**
   * @param groupTtl how many routers what goes to a group may pass, and one: 1 is none
   */
  Sockets(int groupTtl) {
    this.groupTtl = groupTtl;
  }

  /** The one for a hop; it is opened where there is none yet. */
  synchronized DatagramChannel of(Routes.Hop hop) throws IOException {
    // Art-Net has its port on both sides. Source: Art-Net 4, "Ethernet packets"
    int own = hop.to().getPort() == ArtNet.PORT ? ArtNet.PORT : 0;
    try {
      return open.computeIfAbsent(
          new InetSocketAddress(hop.from(), own), key -> open(key.getAddress(), own));
    } catch (UncheckedIOException e) {
      throw e.getCause();
    }
  }

  private DatagramChannel open(InetAddress from, int own) {
    try {
      DatagramChannel channel = DatagramChannel.open(StandardProtocolFamily.INET);
      channel.setOption(StandardSocketOptions.SO_SNDBUF, SEND_BUFFER);
      channel.setOption(StandardSocketOptions.SO_BROADCAST, true);
      channel.setOption(StandardSocketOptions.IP_MULTICAST_TTL, groupTtl);
      if (!from.isLoopbackAddress()) {
        channel.setOption(
            StandardSocketOptions.IP_MULTICAST_IF, NetworkInterface.getByInetAddress(from));
      }
      try {
        channel.bind(new InetSocketAddress(from, own));
      } catch (BindException e) {
        // another program of this computer has it, and keeps what is answered to it
        channel.bind(new InetSocketAddress(from, 0));
      }
      return channel;
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /** What others see as sender, such as "127.0.0.1:40123". */
  synchronized Set<String> names() {
    Set<String> all = new HashSet<>();
    open.forEach(
        (key, channel) ->
            all.add(
                "%s:%d"
                    .formatted(
                        key.getAddress().getHostAddress(), channel.socket().getLocalPort())));
    return all;
  }

  @Override
  public synchronized void close() throws IOException {
    for (DatagramChannel channel : open.values()) {
      channel.close();
    }
  }
}
