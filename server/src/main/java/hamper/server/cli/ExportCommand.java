package hamper.server.cli;

import hamper.files.DisplayFile;
import hamper.server.store.DisplayStore;
import hamper.server.store.DisplayStore.Stored;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

/** {@code hamper export}: writes a display of a data folder as a display file. */
@Command(
    name = "export",
    mixinStandardHelpOptions = true,
    description =
        "Write a display of a data folder as a display file; without a name, list the displays."
            + " The server must not run.")
public final class ExportCommand implements Callable<Integer> {
  @Parameters(arity = "0..1", paramLabel = "NAME", description = "name or id of the display")
  private Optional<String> name;

  @Option(names = "--out", paramLabel = "FILE", description = "the file (default: standard output)")
  private Optional<Path> out;

  @Mixin private DataFolder data;
  @Spec private CommandSpec spec;

  @Override
  public Integer call() throws IOException {
    DisplayStore store = data.open();
    List<Stored> displays = store.ids().stream().map(store::read).toList();
    var told = spec.commandLine().getOut();
    if (name.isEmpty()) {
      displays.forEach(one -> told.printf("%s  %s%n", one.id(), one.display().name()));
      told.flush();
      return 0;
    }
    byte[] bytes = DisplayFile.write(only(displays).display());
    if (out.isPresent()) {
      Files.write(out.get(), bytes);
    } else {
      told.print(new String(bytes, StandardCharsets.UTF_8));
      told.flush();
    }
    return 0;
  }

  private Stored only(List<Stored> displays) {
    List<Stored> meant =
        displays.stream()
            .filter(one -> one.id().equals(name.get()) || one.display().name().equals(name.get()))
            .toList();
    if (meant.size() != 1) {
      throw new Trouble(
          "%d displays are called \"%s\"; hamper export without a name lists them with their ids"
              .formatted(meant.size(), name.get()));
    }
    return meant.get(0);
  }
}
