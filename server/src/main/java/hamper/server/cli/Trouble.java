package hamper.server.cli;

import hamper.files.BadFileException;
import hamper.server.live.UnreadableDisplayException;
import hamper.server.store.StorageFailedException;
import hamper.server.store.StoreException;
import hamper.server.store.StoreTrouble;
import hamper.value.RefusedException;
import java.io.IOException;
import java.nio.file.Path;
import java.util.Set;
import picocli.CommandLine;

/** Says what went wrong in one sentence, without a stack. */
public final class Trouble extends RuntimeException {
  private static final Set<Class<? extends Exception>> TOLD =
      Set.of(
          Trouble.class,
          BadFileException.class,
          RefusedException.class,
          StoreException.class,
          StorageFailedException.class,
          UnreadableDisplayException.class);

  public Trouble(String message) {
    super(message);
  }

  /** What the file system refused. */
  static Trouble of(Path place, IOException e) {
    return new Trouble(StoreTrouble.sentence(place, e));
  }

  /** For picocli: exit code 2 for everything that cannot be used, or went wrong by itself. */
  public static int handle(Exception e, CommandLine command, CommandLine.ParseResult ignored) {
    command.getErr().println(TOLD.contains(e.getClass()) ? e.getMessage() : unforeseen(e));
    return command.getCommandSpec().exitCodeOnInvalidInput();
  }

  /** A mistake of ours: exit code 1 would say that faults were found. */
  private static String unforeseen(Exception e) {
    return "Hamper failed, which is a mistake in the program; please report it with the file: " + e;
  }
}
