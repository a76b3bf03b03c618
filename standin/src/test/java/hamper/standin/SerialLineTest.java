package hamper.standin;

import static org.assertj.core.api.Assertions.assertThat;

import hamper.wire.SerialUnits;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.net.InetAddress;
import java.net.Socket;
import java.net.SocketTimeoutException;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** Packs answer to their number as docs/formats/serial-line.md says; two of one number collide. */
class SerialLineTest {
  private static SerialUnits.Unit unit(int number, String serial) {
    return new SerialUnits.Unit(number, 16, serial, "Brackwater", "Unit 16");
  }

  private static byte[] asked(Socket socket, int number) throws IOException {
    socket.getOutputStream().write(SerialUnits.question(number));
    ByteArrayOutputStream line = new ByteArrayOutputStream();
    try {
      for (int one = socket.getInputStream().read(); one > 0 && one != '\r'; ) {
        line.write(one);
        one = socket.getInputStream().read();
      }
    } catch (SocketTimeoutException e) {
      // a silence
    }
    return line.toByteArray();
  }

  @Test
  void theExampleOfThePageIsAnAnswer() {
    byte[] answer = SerialUnits.answer(unit(12, "BW-3309"));
    assertThat(new String(answer, StandardCharsets.US_ASCII))
        .isEqualTo("!12,16,BW-3309,Brackwater,Unit 16*39\r");
    assertThat(SerialUnits.asked("?12".getBytes(StandardCharsets.US_ASCII))).contains(12);
    assertThat(SerialUnits.asked("?012".getBytes(StandardCharsets.US_ASCII))).isEmpty();
  }

  @Test
  void eachNumberIsAnsweredByItsPackAndNobodyByNone() throws Exception {
    try (SerialLine line =
            SerialLine.of(List.of(unit(3, "A"), unit(7, "B1"), unit(7, "C2"), unit(9, "D")));
        Socket socket = new Socket(InetAddress.getByName("127.0.0.1"), line.port())) {
      socket.setSoTimeout(200);
      assertThat(SerialUnits.read(asked(socket, 3), 3)).contains(unit(3, "A"));
      assertThat(asked(socket, 4)).isEmpty();
      byte[] both = asked(socket, 7);
      assertThat(both).isNotEmpty();
      assertThat(SerialUnits.read(both, 7)).as("two at once").isEmpty();
      assertThat(SerialUnits.read(asked(socket, 9), 9)).contains(unit(9, "D"));
    }
  }

  @Test
  void whatIsChangedOnItsWayIsNoAnswer() {
    byte[] whole = SerialUnits.answer(unit(12, "BW-3309"));
    byte[] line = Arrays.copyOf(whole, whole.length - 1);
    assertThat(SerialUnits.read(line, 12)).isPresent();
    assertThat(SerialUnits.read(line, 13)).as("of another").isEmpty();
    for (int at = 0; at < line.length; at++) {
      for (int bit = 0; bit < 8; bit++) {
        byte[] changed = line.clone();
        changed[at] ^= (byte) (1 << bit);
        assertThat(SerialUnits.read(changed, 12)).isEqualTo(Optional.empty());
      }
    }
  }
}
