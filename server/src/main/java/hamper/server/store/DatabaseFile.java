package hamper.server.store;

import java.io.IOException;
import java.io.InputStream;
import java.nio.channels.FileChannel;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.StandardOpenOption;
import java.sql.Connection;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.LocalDateTime;
import java.time.format.DateTimeFormatter;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.stream.Stream;
import javax.sql.DataSource;
import org.h2.jdbcx.JdbcConnectionPool;
import org.h2.mvstore.MVStore;
import org.h2.mvstore.MVStoreException;

/**
 * The database as a file, before the engine opens it: told from what is none, repaired where nobody
 * closed it, and packed where most of it is waste.
 */
final class DatabaseFile {
  /** A file that is being made, and takes the place of the database when it is whole. */
  static final String NEXT = "hamper.next.mv.db";

  static final String PACKED = "hamper.packed.mv.db";
  static final String MARK = "hamper.ordered";

  private static final int BLOCK = 4096;
  private static final String FORMAT = "H:2,";
  private static final String CLEAN = ",clean:1";

  /** Packing is not worth its time below (bytes), and not while so much of it is in use (%). */
  private static final long SMALL = 16L << 20;

  private static final int WELL_FILLED = 60;

  /** Files from before a repair that are kept, the newest. */
  private static final int KEPT = 3;

  private static final DateTimeFormatter STAMP = DateTimeFormatter.ofPattern("yyyyMMdd-HHmmss-SSS");

  private DatabaseFile() {}

  /**
   * Leaves a file that the engine opens as it is.
   *
   * @return the file as nobody closed it, where that was so and there was room to keep it
   * @throws StoreException where it is no database, or is damaged beyond repair
   */
  static Optional<Path> makeReady(DataFolder folder) {
    Path file = folder.database();
    return StoreTrouble.told(
        file,
        () -> {
          Optional<Path> kept = Optional.empty();
          boolean clean = isClean(header(file));
          boolean ours = isMarked(folder);
          if (!clean && ours) {
            // dead chunks that it still names may have been overwritten: what is alive is taken
            // over
            keepIfThereIsRoom(folder);
            pack(file);
          } else if (!clean || ours && !Repair.isWhole(file)) {
            Repair.run(folder);
          } else if (isWaste(Files.size(file), 0) && isWaste(Files.size(file), filled(file))) {
            pack(file);
          }
          OwnerOnly.narrow(file);
          return kept;
        });
  }

  /** Whether the file is written by an engine that keeps the order (docs/decisions/9). */
  static boolean isMarked(DataFolder folder) {
    return Files.exists(folder.path().resolve(MARK));
  }

  /** Says so from now on. */
  static void mark(DataFolder folder) throws IOException {
    if (!isMarked(folder)) {
      Files.createFile(folder.path().resolve(MARK), OwnerOnly.forFile());
      force(folder.path());
    }
  }

  /** Both header blocks; each says the same unless writing was cut short. */
  private static String header(Path file) throws IOException {
    byte[] head;
    try (var in = Files.newInputStream(file)) {
      head = in.readNBytes(2 * BLOCK);
    }
    if (head.length == 0) {
      throw new StoreException(
          "%s: it is empty (0 bytes), so what was in it has been lost outside of Hamper; %s, or move it away to begin anew"
              .formatted(file, howToRestore(file.getParent())));
    }
    String text = new String(head, StandardCharsets.ISO_8859_1);
    if (!text.startsWith(FORMAT) && !text.startsWith(FORMAT, BLOCK)) {
      throw foreign(file);
    }
    return text;
  }

  static StoreException missing(DataFolder folder) {
    return new StoreException(
        "%s: it is missing, though displays were kept here; %s, or remove %s to begin anew"
            .formatted(
                folder.database(), howToRestore(folder.path()), folder.path().resolve(MARK)));
  }

  static StoreException foreign(Path file) {
    return new StoreException(
        "%s: it is not a database of Hamper; move it away, or name another folder with --data"
            .formatted(file));
  }

  private static boolean isClean(String header) {
    String first = header.lines().findFirst().orElse("");
    return first.contains(CLEAN) && header.length() > BLOCK && header.startsWith(first, BLOCK);
  }

  /** What to say where nothing helps. */
  static StoreException damaged(DataFolder folder) {
    return new StoreException(
        "%s: it is damaged and cannot be read; as it was, it is kept in %s; %s"
            .formatted(folder.database(), folder.recovered(), howToRestore(folder.path())));
  }

  private static String howToRestore(Path folder) {
    return "bring a daily copy back with: hamper restore --data " + folder;
  }

  /** A copy of the file as it is. */
  static Path keep(DataFolder folder) throws IOException {
    OwnerOnly.makeFolder(folder.recovered());
    Path copy =
        folder.recovered().resolve("hamper-" + STAMP.format(LocalDateTime.now()) + ".mv.db");
    try {
      Files.copy(folder.database(), copy);
      OwnerOnly.narrow(copy);
      force(copy);
    } catch (IOException e) {
      Files.deleteIfExists(copy);
      throw e;
    }
    prune(folder.recovered());
    return copy;
  }

  /** The engine can be trusted with a file of its own; a full disk does not keep it from it. */
  private static Optional<Path> keepIfThereIsRoom(DataFolder folder) throws IOException {
    try {
      return Optional.of(keep(folder));
    } catch (IOException e) {
      if (StoreTrouble.of(e) != StoreTrouble.FULL) {
        throw e;
      }
      return Optional.empty();
    }
  }

  private static void prune(Path recovered) throws IOException {
    List<Path> copies;
    try (Stream<Path> files = Files.list(recovered)) {
      copies = files.sorted(Comparator.comparing(Path::getFileName).reversed()).toList();
    }
    for (Path old : copies.subList(Math.min(KEPT, copies.size()), copies.size())) {
      Files.delete(old);
    }
  }

  /** Writes what is alive of a file into a new one, which takes its place. */
  private static void pack(Path file) throws IOException {
    Path packed = file.resolveSibling(PACKED);
    try {
      MVStore.compact(file.toString(), packed.toString(), false, null);
      if (Repair.isWhole(packed)) {
        takePlace(packed, file);
      }
    } catch (MVStoreException | IOException e) {
      // where there is no room, or it is damaged, the engine says so when it opens the file
    } finally {
      Files.deleteIfExists(packed);
    }
  }

  /**
   * Whether packing is worth its time.
   *
   * @param size of the file (bytes)
   * @param filled how much of it is in use (%)
   */
  static boolean isWaste(long size, int filled) {
    return size >= SMALL && filled < WELL_FILLED;
  }

  /** How much of a file is in use (%). */
  private static int filled(Path file) {
    try (MVStore store =
        new MVStore.Builder().fileName(file.toAbsolutePath().toString()).readOnly().open()) {
      var files = store.getFileStore();
      return files.getFillRate() * files.getChunksFillRate() / 100;
    } catch (MVStoreException e) {
      // the engine will say what is wrong when it opens the file
      return 100;
    }
  }

  /**
   * Makes the database anew in a file beside it, which then takes its place: whatever happens on
   * the way, one of both is whole.
   *
   * @param begin what it begins as, if not empty
   * @param work on its tables
   */
  static void replace(
      DataFolder folder, EngineSetting setting, Optional<Path> begin, Consumer<DataSource> work)
      throws IOException {
    Path next = folder.path().resolve(NEXT);
    Files.deleteIfExists(next);
    if (begin.isPresent()) {
      Files.copy(begin.get(), next);
    }
    JdbcConnectionPool pool =
        JdbcConnectionPool.create(
            setting.draftUrl(folder.path().resolve(NEXT.replace(".mv.db", ""))),
            OpenDatabase.USER,
            "");
    try (Connection connection = pool.getConnection();
        Statement statement = connection.createStatement()) {
      work.accept(pool);
      statement.execute("checkpoint sync"); // fails where the disk is full; closing may not
      statement.execute("shutdown");
    } catch (SQLException e) {
      throw new StoreException(StoreTrouble.sentence(next, e), e);
    } finally {
      pool.dispose();
    }
    takePlace(next, folder.database());
  }

  /** Puts a file as it is where no database is yet. */
  static void begin(DataFolder folder, InputStream ready) throws IOException {
    Path next = folder.path().resolve(NEXT);
    Files.copy(ready, next, StandardCopyOption.REPLACE_EXISTING);
    takePlace(next, folder.database());
  }

  /** Puts a finished file in the place of another, or where none was, at once and for good. */
  static void takePlace(Path finished, Path place) throws IOException {
    OwnerOnly.narrow(finished);
    force(finished);
    Files.move(
        finished, place, StandardCopyOption.ATOMIC_MOVE, StandardCopyOption.REPLACE_EXISTING);
    force(place.toAbsolutePath().getParent());
  }

  /** Forces a file, or the names in a folder where systems know that, onto the disk. */
  private static void force(Path path) throws IOException {
    if (Files.isDirectory(path) && !OwnerOnly.POSIX) {
      return;
    }
    StandardOpenOption how =
        Files.isDirectory(path) ? StandardOpenOption.READ : StandardOpenOption.WRITE;
    try (FileChannel channel = FileChannel.open(path, how)) {
      channel.force(true);
    }
  }
}
