package hamper.server;

import hamper.server.cli.Hamper;
import java.io.ByteArrayOutputStream;
import java.io.PrintStream;
import java.nio.charset.StandardCharsets;

/** What a command of the command line answered, and what it said. */
record Ran(int code, String out, String err) {
  /** Run in this process. */
  static Ran of(String... args) {
    PrintStream out = System.out;
    PrintStream err = System.err;
    ByteArrayOutputStream toldOut = new ByteArrayOutputStream();
    ByteArrayOutputStream toldErr = new ByteArrayOutputStream();
    try {
      System.setOut(new PrintStream(toldOut, true, StandardCharsets.UTF_8));
      System.setErr(new PrintStream(toldErr, true, StandardCharsets.UTF_8));
      int code = Hamper.run(args);
      return new Ran(
          code, toldOut.toString(StandardCharsets.UTF_8), toldErr.toString(StandardCharsets.UTF_8));
    } finally {
      System.setOut(out);
      System.setErr(err);
    }
  }
}
