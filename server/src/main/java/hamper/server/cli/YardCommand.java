package hamper.server.cli;

import hamper.standin.Yard;
import java.io.IOException;
import java.nio.file.Path;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Parameters;

/** {@code hamper yard}: the process in which a running Hamper seats its stand-ins. */
@Command(
    name = "yard",
    hidden = true,
    mixinStandardHelpOptions = true,
    description = "Stand-ins that a running Hamper seats; started by it.")
public final class YardCommand implements Callable<Integer> {
  @Parameters(paramLabel = "FILE", description = "where it leaves word of itself")
  private Path word;

  @Override
  public Integer call() throws IOException, InterruptedException {
    try (Yard yard = Yard.open(word)) {
      yard.await();
    }
    return 0;
  }
}
