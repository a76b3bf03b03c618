package hamper.server.yard;

import hamper.address.IpAddress;
import hamper.facts.Facts;
import hamper.files.CatalogueFiles;
import hamper.files.DisplayFile;
import hamper.samples.PlayedAir;
import hamper.wire.E131;
import java.io.IOException;
import java.net.DatagramPacket;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.net.MulticastSocket;
import java.net.NetworkInterface;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.HashMap;
import java.util.Map;

/**
 * A show computer that sends a display as it is planned, but for what goes wrong: universes 1 to 3
 * come from a second sender too, of equal, lower and higher priority; 4 is missing; 5 is wider than
 * planned; 900 was planned by nobody. Ends at a word.
 */
public final class AirMain {
  /** Whoever else sends. */
  static final String SECOND = "198.51.100.6";

  static final int MISSING = 4;
  static final int WIDER = 5;
  static final int STRAY = 900;

  private final Map<Long, MulticastSocket> sockets = new HashMap<>();
  private final NetworkInterface adapter;

  private AirMain(NetworkInterface adapter) {
    this.adapter = adapter;
  }

  /**
   * @param args the display file, the adapter
   */
  public static void main(String[] args) throws Exception {
    byte[] file = Files.readAllBytes(Path.of(args[0]));
    Facts facts = Facts.of(DisplayFile.read(file, CatalogueFiles.shipped()));
    AirMain air = new AirMain(NetworkInterface.getByName(args[1]));
    PlayedAir played = new PlayedAir(facts);
    System.out.println("sending");
    // a minute at most, whoever forgets to end it
    for (int i = 0; i < 2_400 && System.in.available() == 0; i++) {
      played.play(1, air::take);
      if (i % 40 == 0) {
        air.announce();
      }
      Thread.sleep(25);
    }
  }

  private void take(
      long micros, long from, int fromPort, long to, int toPort, byte[] bytes, int length) {
    boolean data = toPort == E131.PORT && !E131.isExtended(bytes, length);
    int universe = data ? E131.universe(bytes) : 0;
    if (universe == MISSING) {
      return;
    } else if (universe == WIDER) {
      byte[] wide = wide(bytes);
      send(from, to, toPort, wide, wide.length);
      return;
    }
    send(from, to, toPort, bytes, length);
    if (universe >= 1 && universe <= 3) {
      byte[] other = Arrays.copyOf(bytes, length);
      other[22] = 77; // a CID of its own
      other[44] = 'B';
      other[108] = (byte) (universe == 1 ? 100 : universe == 2 ? 20 : 150);
      send(new IpAddress(SECOND).bits(), to, toPort, other, length);
      if (universe == 3) {
        other[113] = (byte) (STRAY >> 8);
        other[114] = (byte) (STRAY & 255);
        send(new IpAddress(SECOND).bits(), group(STRAY), toPort, other, length);
      }
    }
  }

  private static byte[] wide(byte[] bytes) {
    byte[] cid = new byte[16];
    E131.cid(bytes, cid);
    byte[] wide = new byte[E131.dataSize(512)];
    var stream = new E131.Stream(cid, E131.name(bytes), WIDER, 100, 0);
    E131.writeData(wide, stream, E131.sequence(bytes), 0, 0, 512);
    return wide;
  }

  /** The second sender says what it sends. */
  private void announce() {
    byte[] cid = new byte[16];
    cid[0] = 77;
    int[] universes = {1, 2, 3, STRAY};
    byte[] page = new byte[E131.discoverySize(universes.length)];
    E131.writeDiscovery(page, cid, "Besk", universes, 0, 0);
    send(
        new IpAddress(SECOND).bits(), group(E131.DISCOVERY_UNIVERSE), E131.PORT, page, page.length);
  }

  private static long group(int universe) {
    return 239L << 24 | 255 << 16 | universe;
  }

  private void send(long from, long to, int port, byte[] bytes, int length) {
    try {
      MulticastSocket socket = sockets.get(from);
      if (socket == null) {
        InetAddress own = InetAddress.getByName(IpAddress.ofBits(from).text());
        socket = new MulticastSocket(new InetSocketAddress(own, 0));
        socket.setNetworkInterface(adapter);
        socket.setBroadcast(true);
        sockets.put(from, socket);
      }
      InetAddress at = InetAddress.getByName(IpAddress.ofBits(to).text());
      socket.send(new DatagramPacket(bytes, length, at, port));
    } catch (IOException e) {
      // nobody is there
    }
  }
}
