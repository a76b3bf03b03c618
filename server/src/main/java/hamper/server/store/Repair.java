package hamper.server.store;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.List;
import org.h2.mvstore.MVStore;
import org.h2.mvstore.MVStoreException;

/**
 * Makes a whole file of one that an earlier engine left open, or that is damaged. There are two
 * ways: the engine follows the newest name of a chunk that it finds, which may be behind what was
 * written; or its recovery mode looks at every block, which may take half a chunk for a whole one
 * and leave tables empty. Both are tried, on copies, and all rows of each are read; the newer one
 * is taken (docs/decisions/9).
 */
final class Repair {
  private static final String ENDING = ".mv.db";

  /** What a file is worth from which nothing can be read. */
  private static final long NOTHING = -1;

  private Repair() {}

  /** A way to make a whole file of one that is tried. */
  private interface Way {
    void make(String tried, String whole) throws IOException;
  }

  private static final List<Way> WAYS =
      List.of(
          Repair::copy,
          (tried, whole) -> MVStore.compact(tried, whole, false, null),
          (tried, whole) -> {
            recover(tried);
            copy(tried, whole);
          },
          (tried, whole) -> {
            recover(tried);
            MVStore.compact(tried, whole, false, null);
          });

  private static void copy(String tried, String whole) throws IOException {
    Files.copy(Path.of(tried), Path.of(whole));
  }

  private static void recover(String file) {
    new MVStore.Builder().fileName(file).recoveryMode().open().close();
  }

  /**
   * Puts a whole file in the place of the database; as it was, it is kept.
   *
   * @throws StoreException where neither way leads to one
   */
  static void run(DataFolder folder) throws IOException {
    DatabaseFile.keep(folder);
    Path best = folder.path().resolve(DatabaseFile.NEXT);
    long worth = NOTHING;
    for (Way way : WAYS) {
      Path tried = folder.path().toAbsolutePath().resolve("hamper.tried" + ENDING);
      Path whole = folder.path().toAbsolutePath().resolve("hamper.whole" + ENDING);
      try {
        Files.deleteIfExists(tried);
        Files.deleteIfExists(whole);
        Files.copy(folder.database(), tried);
        long found = worthOf(tried, whole, way);
        if (found > worth) {
          worth = found;
          DatabaseFile.takePlace(whole, best);
        }
      } finally {
        Files.deleteIfExists(tried);
        Files.deleteIfExists(whole);
      }
    }
    if (worth == NOTHING) {
      throw DatabaseFile.damaged(folder);
    }
    DatabaseFile.takePlace(best, folder.database());
  }

  /** Whether a file that was closed opens and has its tables; it is only looked at. */
  static boolean isWhole(Path file) {
    String url = url(file) + ";ACCESS_MODE_DATA=r";
    try (Connection connection = DriverManager.getConnection(url, OpenDatabase.USER, "");
        Statement statement = connection.createStatement();
        ResultSet found =
            statement.executeQuery(
                "select 1 from information_schema.tables where table_name = 'DISPLAY'")) {
      return found.next();
    } catch (SQLException e) {
      // what is wrong with somebody else, and not with the file, is told when it is opened
      return StoreTrouble.of(e) == StoreTrouble.IN_USE;
    }
  }

  /** The versions of all displays together: the later the state, the larger. */
  private static long worthOf(Path tried, Path file, Way way) throws IOException {
    try {
      way.make(tried.toString(), file.toString());
    } catch (MVStoreException e) {
      return NOTHING;
    }
    for (String user : List.of(OpenDatabase.USER, OpenDatabase.NAMELESS)) {
      try {
        // what opens once may be refused after a clean end: only what opens twice is whole
        worthOf(file, user);
        return worthOf(file, user);
      } catch (SQLException e) {
        // with the other user, or not at all
      }
    }
    return NOTHING;
  }

  private static long worthOf(Path file, String user) throws SQLException {
    try (Connection connection = DriverManager.getConnection(url(file), user, "");
        Statement statement = connection.createStatement()) {
      try (ResultSet rows = statement.executeQuery("script")) {
        while (rows.next()) {
          // every row is read
        }
      }
      try (ResultSet sum =
          statement.executeQuery("select coalesce(sum(version), 0) from display")) {
        sum.next();
        return sum.getLong(1);
      } finally {
        statement.execute("shutdown");
      }
    }
  }

  private static String url(Path file) {
    String name = file.toString().substring(0, file.toString().length() - ENDING.length());
    return EngineSetting.PRODUCTION.url(Path.of(name)) + ";IFEXISTS=TRUE";
  }
}
