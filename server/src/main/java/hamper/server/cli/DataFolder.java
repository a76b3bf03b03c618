package hamper.server.cli;

import hamper.server.store.DisplayStore;
import hamper.server.store.StoreFile;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import picocli.CommandLine.Option;

/** The data folder that a command works on without the server. */
final class DataFolder {
  @Option(
      names = "--data",
      paramLabel = "DIR",
      defaultValue = "data",
      description = "the data folder (default: ${DEFAULT-VALUE})")
  private Path folder;

  DisplayStore open() throws IOException {
    Files.createDirectories(folder);
    try {
      return StoreFile.open(folder);
    } catch (RuntimeException e) {
      throw StoreFile.saysInUse(e) ? inUse(folder) : e;
    }
  }

  static Trouble inUse(Path folder) {
    return new Trouble(
        "The data folder %s is in use by another Hamper; stop it, or name another with --data"
            .formatted(folder));
  }
}
