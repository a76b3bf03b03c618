package hamper.server.cli;

import hamper.display.Display;
import hamper.files.DisplayFile;
import hamper.server.store.DisplayStore;
import hamper.server.store.Engine;
import java.io.IOException;
import java.util.UUID;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Spec;

/** {@code hamper import}: adds a display file to the displays of a data folder. */
@Command(
    name = "import",
    mixinStandardHelpOptions = true,
    description = "Add a display file to the displays of a data folder. The server must not run.")
public final class ImportCommand implements Callable<Integer> {
  @Mixin private InputFile input;
  @Mixin private DataOption data;
  @Spec private CommandSpec spec;

  @Override
  public Integer call() throws IOException {
    DisplayFile.Contents contents = input.contents();
    Display display = contents.plan().display();
    String id = UUID.randomUUID().toString();
    try (Engine engine = data.open()) {
      new DisplayStore(engine).add(id, display, contents.milestones());
    }
    spec.commandLine().getOut().printf("%s  %s%n", id, display.name());
    spec.commandLine().getOut().flush();
    return 0;
  }
}
