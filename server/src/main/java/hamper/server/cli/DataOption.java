package hamper.server.cli;

import hamper.server.store.Engine;
import java.nio.file.Files;
import java.nio.file.Path;
import picocli.CommandLine.Option;

/** The data folder that a command works on without the server. */
final class DataOption {
  @Option(
      names = "--data",
      paramLabel = "DIR",
      defaultValue = "data",
      description = "the data folder (default: ${DEFAULT-VALUE})")
  private Path folder;

  Path folder() {
    return folder;
  }

  /** Opens it; makes it where it is missing. */
  Engine open() {
    return Engine.open(folder);
  }

  /** Opens it where something is in it. */
  Engine openExisting() {
    if (!Engine.isIn(existing())) {
      throw new Trouble(
          "%s: no displays are kept there; name another with --data".formatted(folder));
    }
    return open();
  }

  /**
   * @throws Trouble where there is none
   */
  Path existing() {
    if (!Files.isDirectory(folder)) {
      throw new Trouble(
          "%s: there is no such folder; name the one of your displays with --data"
              .formatted(folder));
    }
    return folder;
  }
}
