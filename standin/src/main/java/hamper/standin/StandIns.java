package hamper.standin;

import hamper.wire.ArtNet;
import hamper.wire.Ddp;
import hamper.wire.E131;
import java.io.IOException;
import java.net.BindException;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.net.StandardSocketOptions;
import java.nio.ByteBuffer;
import java.nio.channels.DatagramChannel;
import java.nio.channels.SelectionKey;
import java.nio.channels.Selector;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;

/**
 * Stand-ins for the devices of a display, each on a loopback address of its own with the standard
 * UDP ports. One thread receives for all.
 */
public final class StandIns implements AutoCloseable {
  /** The TCP port of each one's HTTP door. */
  public static final int DOOR = 8483;

  /** Second bytes of 127.x.0.0/16 that are tried, so that several displays stand side by side. */
  private static final int FIRST_BLOCK = 83;

  private static final int LAST_BLOCK = 122;
  private static final int RECEIVE_BUFFER = 4 << 20;
  private static final int DOOR_THREADS = 4;

  private final Map<String, Device> devices = new LinkedHashMap<>();
  private final List<GivingDoor> doors = new ArrayList<>();
  private final List<DatagramChannel> channels = new ArrayList<>();
  private final ExecutorService answering =
      Executors.newFixedThreadPool(DOOR_THREADS, StandIns::daemon);
  private final Selector selector;
  private final Thread receiving;
  private volatile boolean closed;

  /** What a packet is, by the port at which it arrived. */
  private interface Arrival {
    void take(byte[] packet, int length, String sender);
  }

  private StandIns() throws IOException {
    selector = Selector.open();
    receiving = new Thread(this::receive, "stand-ins");
    receiving.setDaemon(true);
  }

  private static Thread daemon(Runnable work) {
    Thread thread = new Thread(work, "stand-in door");
    thread.setDaemon(true);
    return thread;
  }

  /**
   * Starts one for each seat.
   *
   * @throws IOException where no block of loopback addresses is free
   */
  public static StandIns start(List<Seat> seats, Clock clock) throws IOException {
    IOException taken = null;
    for (int block = FIRST_BLOCK; block <= LAST_BLOCK; block++) {
      StandIns all = new StandIns();
      try {
        for (int i = 0; i < seats.size(); i++) {
          String address = "127.%d.%d.%d".formatted(block, i / 250, i % 250 + 1);
          all.seat(seats.get(i), address, clock);
        }
        all.doors.forEach(GivingDoor::open);
        all.receiving.start();
        return all;
      } catch (BindException e) {
        all.close();
        taken = e;
      } catch (IOException | RuntimeException e) {
        all.close();
        throw e;
      }
    }
    throw new IOException("All addresses from 127.83.0.1 to 127.122.0.1 are taken", taken);
  }

  private void seat(Seat seat, String address, Clock clock) throws IOException {
    Device device = new Device(seat, address, clock);
    InetAddress at = InetAddress.getByName(address);
    doors.add(new GivingDoor(device, new InetSocketAddress(at, DOOR), answering));
    listen(at, E131.PORT, device::e131);
    listen(at, ArtNet.PORT, device::artNet);
    listen(at, Ddp.PORT, device::ddp);
    devices.put(seat.controller(), device);
  }

  private void listen(InetAddress at, int udp, Arrival arrival) throws IOException {
    DatagramChannel channel = DatagramChannel.open();
    channels.add(channel);
    channel.setOption(StandardSocketOptions.SO_RCVBUF, RECEIVE_BUFFER);
    channel.bind(new InetSocketAddress(at, udp));
    channel.configureBlocking(false);
    channel.register(selector, SelectionKey.OP_READ, arrival);
  }

  /** Where each controller's stand-in listens: its loopback address, by the controller's id. */
  public Map<String, String> addresses() {
    Map<String, String> table = new LinkedHashMap<>();
    devices.forEach((controller, device) -> table.put(controller, device.address()));
    return table;
  }

  private void receive() {
    ByteBuffer buffer = ByteBuffer.allocate(65_536);
    while (!closed) {
      try {
        selector.select(
            key -> {
              try {
                drain((DatagramChannel) key.channel(), (Arrival) key.attachment(), buffer);
              } catch (IOException e) {
                // a channel that is being closed; the others go on
                key.cancel();
              }
            });
      } catch (IOException e) {
        return;
      }
    }
  }

  private static void drain(DatagramChannel channel, Arrival arrival, ByteBuffer buffer)
      throws IOException {
    for (int i = 0; i < 64; i++) {
      buffer.clear();
      InetSocketAddress sender = (InetSocketAddress) channel.receive(buffer);
      if (sender == null) {
        return;
      }
      arrival.take(buffer.array(), buffer.position(), sender.getAddress().getHostAddress());
    }
  }

  @Override
  public void close() {
    closed = true;
    selector.wakeup();
    doors.forEach(GivingDoor::close);
    for (DatagramChannel channel : channels) {
      try {
        channel.close();
      } catch (IOException e) {
        // nothing is left to do with it
      }
    }
    answering.shutdownNow();
    try {
      receiving.join(1000);
      selector.close();
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
    } catch (IOException e) {
      // nothing is left to do with it
    }
  }
}
