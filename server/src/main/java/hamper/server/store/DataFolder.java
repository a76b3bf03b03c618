package hamper.server.store;

import java.io.IOException;
import java.nio.channels.FileChannel;
import java.nio.channels.FileLock;
import java.nio.channels.OverlappingFileLockException;
import java.nio.file.FileAlreadyExistsException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.util.Set;
import java.util.stream.Stream;

/**
 * The folder that keeps everything, taken by one program at a time. Layout: {@code hamper.mv.db} is
 * the database, {@code copies} its daily copies, {@code recovered} what a file was before it was
 * repaired, {@code photos} what the crew took, {@code door} what phones trust.
 */
final class DataFolder implements AutoCloseable {
  static final String COPIES = "copies";
  static final String DATABASE = "hamper.mv.db";

  private static final String LOCK = "hamper.lock";
  private static final Set<String> OURS =
      Set.of(
          LOCK,
          DATABASE,
          "hamper.trace.db",
          DatabaseFile.NEXT,
          DatabaseFile.PACKED,
          DatabaseFile.MARK,
          COPIES,
          "recovered",
          "photos",
          "door",
          "demo");

  private final Path path;
  private final FileChannel lock;

  private DataFolder(Path path, FileChannel lock) {
    this.path = path;
    this.lock = lock;
  }

  /**
   * Makes the folder where it is missing, and takes it.
   *
   * @throws StoreException where it cannot be written, or another program has it
   */
  static DataFolder take(Path folder) {
    return StoreTrouble.told(folder, () -> taken(folder));
  }

  private static DataFolder taken(Path folder) throws IOException {
    try {
      OwnerOnly.makeFolder(folder);
    } catch (FileAlreadyExistsException e) {
      throw new StoreException(folder + ": it is a file; name a folder with --data");
    }
    FileChannel channel =
        FileChannel.open(
            folder.resolve(LOCK),
            Set.of(StandardOpenOption.CREATE, StandardOpenOption.WRITE),
            OwnerOnly.forFile());
    try {
      FileLock held = channel.tryLock();
      if (held == null) {
        throw new OverlappingFileLockException();
      }
      DataFolder taken = new DataFolder(folder, channel);
      taken.narrow();
      // what was begun and never finished
      Files.deleteIfExists(folder.resolve(DatabaseFile.NEXT));
      Files.deleteIfExists(folder.resolve(DatabaseFile.PACKED));
      return taken;
    } catch (OverlappingFileLockException e) {
      channel.close();
      throw new StoreException(StoreTrouble.sentence(folder, e), e);
    } catch (IOException e) {
      channel.close();
      throw e;
    }
  }

  /** A folder that holds other things too is somebody else's to close to others. */
  private void narrow() throws IOException {
    try (Stream<Path> entries = Files.list(path)) {
      if (entries.allMatch(entry -> OURS.contains(entry.getFileName().toString()))) {
        OwnerOnly.narrow(path);
      }
    }
  }

  Path path() {
    return path;
  }

  Path database() {
    return path.resolve(DATABASE);
  }

  Path copies() {
    return path.resolve(COPIES);
  }

  Path recovered() {
    return path.resolve("recovered");
  }

  @Override
  public void close() {
    StoreTrouble.told(
        path,
        () -> {
          lock.close();
          return null;
        });
  }
}
