package hamper.standin;

import hamper.wire.SerialUnits;
import java.io.BufferedInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.net.ServerSocket;
import java.net.Socket;
import java.util.List;

/**
 * A serial line with packs of dimmed circuits on it, at a TCP port of this computer: what is
 * written there is what the host writes to its line. docs/formats/serial-line.md.
 */
public final class SerialLine implements AutoCloseable {
  private final ServerSocket server;
  private volatile List<SerialUnits.Unit> units;

  private SerialLine(List<SerialUnits.Unit> units) throws IOException {
    this.units = List.copyOf(units);
    server = new ServerSocket();
    server.bind(new InetSocketAddress(InetAddress.getByName("127.0.0.1"), 0));
    Thread thread = new Thread(this::serve, "serial line");
    thread.setDaemon(true);
    thread.start();
  }

  public static SerialLine of(List<SerialUnits.Unit> units) throws IOException {
    return new SerialLine(units);
  }

  public int port() {
    return server.getLocalPort();
  }

  /** Hangs others on it. */
  public void hang(List<SerialUnits.Unit> others) {
    units = List.copyOf(others);
  }

  private void serve() {
    while (!server.isClosed()) {
      try (Socket socket = server.accept()) {
        socket.setTcpNoDelay(true);
        answer(socket);
      } catch (IOException e) {
        // whoever asked has gone; one line has one host
      }
    }
  }

  private void answer(Socket socket) throws IOException {
    InputStream in = new BufferedInputStream(socket.getInputStream());
    ByteArrayOutputStream line = new ByteArrayOutputStream();
    for (int one = in.read(); one >= 0; one = in.read()) {
      if (one != SerialUnits.END) {
        line.write(one);
        if (line.size() > SerialUnits.MOST_BYTES) {
          line.reset();
        }
        continue;
      }
      byte[] said = said(line.toByteArray());
      line.reset();
      socket.getOutputStream().write(said);
      socket.getOutputStream().flush();
    }
  }

  /** All that have the number answer at once; what collides is nobody's answer. */
  private byte[] said(byte[] question) {
    byte[] said = new byte[0];
    int number = SerialUnits.asked(question).orElse(0);
    for (SerialUnits.Unit unit : units) {
      if (unit.number() == number) {
        said = together(said, SerialUnits.answer(unit));
      }
    }
    return said;
  }

  private static byte[] together(byte[] a, byte[] b) {
    byte[] longer = a.length > b.length ? a.clone() : b.clone();
    for (int i = 0; i < Math.min(a.length, b.length); i++) {
      longer[i] = (byte) (a[i] & b[i]); // a line at rest is high: whoever pulls it low wins
    }
    return longer;
  }

  @Override
  public void close() throws IOException {
    server.close();
  }
}
