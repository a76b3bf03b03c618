package hamper.server.store;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.util.Optional;

/** What the crew door keeps in the data folder, for nobody but its owner to read. */
public final class DoorFiles {
  private final Path folder;

  public DoorFiles(Engine engine) {
    folder = engine.path().resolve("door");
  }

  /** A file of the door; empty before it was kept. */
  public Optional<byte[]> find(String name) throws IOException {
    Path file = folder.resolve(name);
    return Files.isRegularFile(file) ? Optional.of(Files.readAllBytes(file)) : Optional.empty();
  }

  /** Keeps it whole, or not at all. */
  public void keep(String name, byte[] bytes) throws IOException {
    OwnerOnly.makeFolder(folder);
    Path next = folder.resolve(name + ".next");
    Files.deleteIfExists(next);
    Files.createFile(next, OwnerOnly.forFile());
    Files.write(next, bytes);
    Files.move(
        next,
        folder.resolve(name),
        StandardCopyOption.ATOMIC_MOVE,
        StandardCopyOption.REPLACE_EXISTING);
  }
}
