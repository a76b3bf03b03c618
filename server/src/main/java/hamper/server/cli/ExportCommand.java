package hamper.server.cli;

import hamper.files.CatalogueFiles;
import hamper.files.DisplayFile;
import hamper.server.store.DisplayStore;
import hamper.server.store.DisplayStore.Listed;
import hamper.server.store.Engine;
import hamper.server.store.MilestoneStore;
import java.io.IOException;
import java.io.PrintWriter;
import java.nio.charset.StandardCharsets;
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

  @Mixin private DataOption data;
  @Spec private CommandSpec spec;

  @Override
  public Integer call() throws IOException {
    try (Engine engine = data.openExisting()) {
      DisplayStore store = new DisplayStore(engine);
      PrintWriter told = spec.commandLine().getOut();
      if (name.isEmpty()) {
        store.list().forEach(one -> told.printf("%s  %s%n", one.id(), one.name()));
      } else {
        String id = only(store.list()).id();
        byte[] bytes =
            DisplayFile.write(
                store.read(id).display(),
                new MilestoneStore(engine, CatalogueFiles.shipped()).all(id));
        if (out.isPresent()) {
          OutputFile.write(out.get(), bytes);
        } else {
          told.print(new String(bytes, StandardCharsets.UTF_8));
        }
      }
      told.flush();
      return 0;
    }
  }

  private Listed only(List<Listed> displays) {
    List<Listed> meant =
        displays.stream()
            .filter(one -> one.id().equals(name.get()) || one.name().equals(name.get()))
            .toList();
    if (meant.size() != 1) {
      throw new Trouble(
          "%d displays are called \"%s\"; hamper export without a name lists them with their ids"
              .formatted(meant.size(), name.get()));
    }
    return meant.get(0);
  }
}
