package hamper.server.cli;

import hamper.files.BadFileException;
import hamper.value.RefusedException;
import java.io.IOException;
import picocli.CommandLine;

/** Says what went wrong in one sentence, without a stack. */
public final class Trouble extends RuntimeException {
  public Trouble(String message) {
    super(message);
  }

  /** For picocli: exit code 2 for everything that cannot be used. */
  public static int handle(Exception e, CommandLine command, CommandLine.ParseResult ignored)
      throws Exception {
    if (e instanceof Trouble
        || e instanceof BadFileException
        || e instanceof RefusedException
        || e instanceof IOException) {
      command.getErr().println(e.getMessage());
      return command.getCommandSpec().exitCodeOnInvalidInput();
    }
    throw e;
  }
}
