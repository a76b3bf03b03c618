package hamper.server.network;

import hamper.server.output.Asking;
import hamper.standin.Place;
import java.io.IOException;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.nio.channels.SelectionKey;
import java.nio.channels.Selector;
import java.nio.channels.SocketChannel;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.TimeUnit;

/** Which doors of many let somebody in; all are tried at once. */
final class OpenDoors {

  private OpenDoors() {}

  /**
   * @param millis that are waited at most (ms)
   */
  static List<Place> of(Asking asking, Asking.From from, long millis) throws IOException {
    List<Place> open = new ArrayList<>();
    List<SocketChannel> channels = new ArrayList<>();
    try (Selector selector = Selector.open()) {
      int waiting = 0;
      for (Place place : from.doors()) {
        SocketChannel channel = SocketChannel.open();
        channels.add(channel);
        channel.configureBlocking(false);
        try {
          if (knock(asking, from, place, channel)) {
            open.add(place);
          } else {
            channel.register(selector, SelectionKey.OP_CONNECT, place);
            waiting++;
          }
        } catch (IOException e) {
          // nobody can be there
        }
      }
      long until = System.nanoTime() + TimeUnit.MILLISECONDS.toNanos(millis);
      while (waiting > 0 && until - System.nanoTime() > 0) {
        selector.select(Math.max(1, TimeUnit.NANOSECONDS.toMillis(until - System.nanoTime())));
        for (SelectionKey key : selector.selectedKeys()) {
          waiting--;
          if (isOpen(key)) {
            open.add((Place) key.attachment());
          }
          key.cancel();
        }
        selector.selectedKeys().clear();
      }
    } finally {
      for (SocketChannel channel : channels) {
        channel.close();
      }
    }
    return open;
  }

  private static boolean knock(Asking asking, Asking.From from, Place place, SocketChannel channel)
      throws IOException {
    channel.bind(new InetSocketAddress(from.own(), 0));
    return channel.connect(asking.to(InetAddress.getByName(place.address()), place.door()));
  }

  private static boolean isOpen(SelectionKey key) {
    try {
      return ((SocketChannel) key.channel()).finishConnect();
    } catch (IOException e) {
      return false;
    }
  }
}
