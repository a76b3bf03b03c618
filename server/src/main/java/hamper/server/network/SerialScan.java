package hamper.server.network;

import com.fazecast.jSerialComm.SerialPort;
import com.fazecast.jSerialComm.SerialPortTimeoutException;
import hamper.value.Foreign;
import hamper.who.LineDevice;
import hamper.wire.SerialUnits;
import java.io.ByteArrayOutputStream;
import java.io.Closeable;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.net.Socket;
import java.net.SocketTimeoutException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.function.IntConsumer;

/** Asks unit numbers of a serial line one after another. docs/formats/serial-line.md. */
final class SerialScan implements Closeable {
  /** A stand-in runs beside other work: it is waited longer for it than for a line (ms). */
  private static final int STAND_IN_MILLIS = 60;

  private static final int MOST_TEXT = 40;

  private final InputStream in;
  private final OutputStream out;
  private final Closeable port;

  private SerialScan(InputStream in, OutputStream out, Closeable port) {
    this.in = in;
    this.out = out;
    this.port = port;
  }

  /** The line that a TCP port of this computer stands for. */
  static SerialScan standIn(int port) throws IOException {
    Socket socket = new Socket();
    socket.connect(new InetSocketAddress(InetAddress.getByName("127.0.0.1"), port), 2_000);
    socket.setTcpNoDelay(true);
    socket.setSoTimeout(STAND_IN_MILLIS);
    return new SerialScan(socket.getInputStream(), socket.getOutputStream(), socket);
  }

  /** Serial ports of this computer, by the names that the system gives them. */
  static List<String> names() {
    return Arrays.stream(SerialPort.getCommPorts()).map(SerialPort::getSystemPortName).toList();
  }

  /**
   * @param name as in {@link #names}
   * @throws IOException where it cannot be opened
   */
  static SerialScan at(String name) throws IOException {
    SerialPort port =
        Arrays.stream(SerialPort.getCommPorts())
            .filter(one -> one.getSystemPortName().equals(name))
            .findFirst()
            .orElseThrow(() -> new IOException("this computer has no serial port " + name));
    port.setComPortParameters(SerialUnits.BAUD, 8, SerialPort.ONE_STOP_BIT, SerialPort.NO_PARITY);
    port.setComPortTimeouts(SerialPort.TIMEOUT_READ_BLOCKING, SerialUnits.ANSWER_MILLIS, 0);
    if (!port.openPort()) {
      throw new IOException("%s cannot be opened; another program may have it".formatted(name));
    }
    return new SerialScan(port.getInputStream(), port.getOutputStream(), port::closePort);
  }

  /**
   * Who has which of the numbers.
   *
   * @param percent told after each
   */
  List<LineDevice> all(int from, int to, IntConsumer percent) throws IOException {
    List<LineDevice> found = new ArrayList<>();
    for (int number = from; number <= to; number++) {
      if (Thread.currentThread().isInterrupted()) {
        throw new IOException("it was stopped");
      }
      unit(number).ifPresent(found::add);
      percent.accept(100 * (number - from + 1) / (to - from + 1));
    }
    return found;
  }

  private Optional<LineDevice> unit(int number) throws IOException {
    out.write(SerialUnits.question(number));
    out.flush();
    byte[] line = answer();
    if (line.length == 0) {
      return Optional.empty();
    }
    return Optional.of(
        SerialUnits.read(line, number)
            .map(
                unit ->
                    new LineDevice(
                        Foreign.line(unit.serial(), MOST_TEXT),
                        Foreign.line(unit.maker(), MOST_TEXT),
                        Foreign.line(unit.model(), MOST_TEXT),
                        number,
                        unit.circuits(),
                        Optional.empty(),
                        Optional.empty(),
                        false,
                        false))
            .orElseGet(
                () ->
                    new LineDevice(
                        "", "", "", number, 0, Optional.empty(), Optional.empty(), false, true)));
  }

  /** Up to its end, or to a silence; what collides may have no end. */
  private byte[] answer() throws IOException {
    ByteArrayOutputStream line = new ByteArrayOutputStream();
    try {
      int one = in.read();
      while (one >= 0 && one != SerialUnits.END && line.size() < SerialUnits.MOST_BYTES) {
        line.write(one);
        one = in.read();
      }
    } catch (SocketTimeoutException | SerialPortTimeoutException e) {
      // nobody says anything more
    }
    return line.toByteArray();
  }

  @Override
  public void close() throws IOException {
    port.close();
  }
}
