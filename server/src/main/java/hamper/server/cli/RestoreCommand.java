package hamper.server.cli;

import hamper.server.store.DailyCopies;
import java.io.PrintWriter;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

/** {@code hamper restore}: brings a daily copy back. */
@Command(
    name = "restore",
    mixinStandardHelpOptions = true,
    description =
        "Bring the displays of a data folder back as they were on a day; without a day, list the"
            + " copies there are. The server must not run. What is replaced is kept.")
public final class RestoreCommand implements Callable<Integer> {
  @Parameters(arity = "0..1", paramLabel = "DAY", description = "such as 2026-11-25")
  private Optional<String> day;

  @Mixin private DataOption data;
  @Spec private CommandSpec spec;

  @Override
  public Integer call() {
    PrintWriter out = spec.commandLine().getOut();
    if (day.isPresent()) {
      DailyCopies.restore(data.existing(), day.get());
      out.printf("%s is as it was in the copy of %s%n", data.folder(), day.get());
    } else {
      List<String> names = DailyCopies.names(data.existing());
      names.forEach(out::println);
      if (names.isEmpty()) {
        out.println("There is no copy yet; the server makes one each day that it runs.");
      }
    }
    out.flush();
    return 0;
  }
}
