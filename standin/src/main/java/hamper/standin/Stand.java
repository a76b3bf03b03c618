package hamper.standin;

import hamper.wire.ArtNet;
import hamper.wire.E131;
import java.io.IOException;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.net.NetworkInterface;
import java.net.StandardProtocolFamily;
import java.net.StandardSocketOptions;
import java.nio.ByteBuffer;
import java.nio.channels.DatagramChannel;
import java.nio.channels.MembershipKey;
import java.nio.channels.SelectionKey;
import java.nio.channels.Selector;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.Executor;

/** A device with its sockets: the standard UDP ports of one address, and its HTTP door. */
final class Stand {
  private static final int RECEIVE_BUFFER = 4 << 20;

  /** A socket joins no more groups than that: the system's limit. */
  private static final int GROUPS_A_SOCKET = 20;

  /** What a packet is, by the socket at which it arrived. */
  interface Arrival {
    void take(byte[] packet, int length, InetSocketAddress sender);
  }

  private final Device device;
  private final GivingDoor door;
  private final Selector selector;
  private final List<DatagramChannel> channels = new ArrayList<>();

  /** Where groups and broadcasts are heard; none on loopback, where nothing is sent to either. */
  private final NetworkInterface outside;

  private final Map<Integer, MembershipKey> groups = new HashMap<>();
  private final List<DatagramChannel> groupSockets = new ArrayList<>();
  private final Place place;
  private final DatagramChannel artNet;
  private final DatagramChannel ddp;

  /**
   * @param wanted ports; 0: any that is free
   * @throws IOException where the address is taken; nothing is left open then
   */
  Stand(Device device, Place wanted, Selector selector, Executor answering) throws IOException {
    this.device = device;
    this.selector = selector;
    InetAddress at = InetAddress.getByName(device.address());
    outside = at.isLoopbackAddress() ? null : NetworkInterface.getByInetAddress(at);
    door = new GivingDoor(device, new InetSocketAddress(at, wanted.door()), answering);
    try {
      DatagramChannel e131 = listen(new InetSocketAddress(at, wanted.e131()), device::e131);
      artNet = listen(new InetSocketAddress(at, wanted.artNet()), this::artNet);
      ddp = listen(new InetSocketAddress(at, wanted.ddp()), this::ddp);
      place = new Place(device.address(), door.port(), portOf(e131), portOf(artNet), portOf(ddp));
      if (outside != null) {
        // what is for all arrives at no socket of a single address
        listen(new InetSocketAddress(broadcast(at), ArtNet.PORT), this::artNet);
      }
    } catch (IOException | RuntimeException e) {
      close();
      throw e;
    }
  }

  private static int portOf(DatagramChannel channel) {
    return channel.socket().getLocalPort();
  }

  /** Where it is, with the ports that it got. */
  Place place() {
    return place;
  }

  private InetAddress broadcast(InetAddress at) throws IOException {
    return outside.getInterfaceAddresses().stream()
        .filter(one -> one.getAddress().equals(at))
        .findFirst()
        .orElseThrow(() -> new IOException(at + " is no address of this computer"))
        .getBroadcast();
  }

  private DatagramChannel listen(InetSocketAddress at, Arrival arrival) throws IOException {
    DatagramChannel channel = DatagramChannel.open(StandardProtocolFamily.INET);
    channels.add(channel);
    channel.setOption(StandardSocketOptions.SO_RCVBUF, RECEIVE_BUFFER);
    // several stand-ins of one computer hear one broadcast
    channel.setOption(StandardSocketOptions.SO_REUSEADDR, outside != null);
    channel.bind(at);
    channel.configureBlocking(false);
    channel.register(selector.wakeup(), SelectionKey.OP_READ, arrival);
    return channel;
  }

  Device device() {
    return device;
  }

  void open() {
    device.listensTo(this::join);
    door.open();
  }

  private void artNet(byte[] packet, int length, InetSocketAddress sender) {
    List<byte[]> replies = device.artNet(packet, length, sender);
    // answered to the port of the protocol, from whichever port it was asked. Art-Net 4, ArtPoll
    InetSocketAddress to = new InetSocketAddress(sender.getAddress(), ArtNet.PORT);
    replies.forEach(reply -> send(artNet, reply, to));
  }

  private void ddp(byte[] packet, int length, InetSocketAddress sender) {
    device.ddp(packet, length, sender).forEach(reply -> send(ddp, reply, sender));
  }

  private static void send(DatagramChannel channel, byte[] reply, InetSocketAddress to) {
    try {
      channel.send(ByteBuffer.wrap(reply), to);
    } catch (IOException e) {
      // whoever asked has gone, or asks again
    }
  }

  /** Joins the groups of universes, and leaves those that it does not listen to any more. */
  private synchronized void join(Set<Integer> universes) {
    if (outside == null) {
      return;
    }
    for (Integer old : Set.copyOf(groups.keySet())) {
      if (!universes.contains(old)) {
        groups.remove(old).drop();
      }
    }
    try {
      for (Integer universe : universes) {
        if (!groups.containsKey(universe)) {
          InetAddress group =
              InetAddress.getByName("239.255.%d.%d".formatted(universe >> 8, universe & 255));
          groups.put(universe, groupSocket().join(group, outside));
        }
      }
    } catch (IOException e) {
      throw new IllegalStateException("The system takes no more groups: " + e.getMessage(), e);
    }
  }

  /** One with room for another group. */
  private DatagramChannel groupSocket() throws IOException {
    for (DatagramChannel channel : groupSockets) {
      long taken = groups.values().stream().filter(key -> key.channel() == channel).count();
      if (taken < GROUPS_A_SOCKET) {
        return channel;
      }
    }
    DatagramChannel channel = DatagramChannel.open(StandardProtocolFamily.INET);
    channels.add(channel);
    channel.setOption(StandardSocketOptions.SO_RCVBUF, RECEIVE_BUFFER);
    channel.setOption(StandardSocketOptions.SO_REUSEADDR, true);
    channel.bind(new InetSocketAddress(E131.PORT));
    channel.configureBlocking(false);
    channel.register(selector.wakeup(), SelectionKey.OP_READ, (Arrival) device::e131);
    groupSockets.add(channel);
    return channel;
  }

  void close() {
    door.close();
    for (DatagramChannel channel : channels) {
      try {
        channel.close();
      } catch (IOException e) {
        // nothing is left to do with it
      }
    }
  }
}
