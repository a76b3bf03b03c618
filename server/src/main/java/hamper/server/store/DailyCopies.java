package hamper.server.store;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.SQLException;
import java.time.Clock;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.h2.jdbcx.JdbcConnectionPool;
import org.springframework.dao.DataAccessException;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.jdbc.datasource.SingleConnectionDataSource;

/**
 * A copy of everything for each day, as a script of SQL: writing it reads every row. Each is read
 * back before it counts.
 */
public final class DailyCopies {
  /** Copies that are kept, the newest. */
  static final int KEPT = 14;

  private static final String ENDING = ".sql.gz";
  private static final Pattern NAME = Pattern.compile("\\d{4}-\\d{2}-\\d{2}");

  private final Engine engine;
  private final Clock clock;

  public DailyCopies(Engine engine, Clock clock) {
    this.engine = engine;
    this.clock = clock;
  }

  /** Writes today's copy where there is none yet; answers whether it did. */
  public boolean takeIfDue() {
    Path file = fileOf(engine.folder(), LocalDate.now(clock).toString());
    if (Files.exists(file)) {
      return false;
    }
    take(file);
    return true;
  }

  /**
   * Writes a copy, reads it back, and puts it in its place; edits go on meanwhile.
   *
   * @throws StoreException where it cannot be written or reads differently
   */
  private void take(Path file) {
    Path begun = file.resolveSibling("begun");
    StoreTrouble.told(
        file,
        () -> {
          OwnerOnly.makeFolder(file.getParent());
          try {
            Files.deleteIfExists(begun);
            Map<String, Long> rows = engine.read(() -> write(begun));
            check(begun, rows);
            DatabaseFile.takePlace(begun, file);
            prune(file.getParent());
          } finally {
            Files.deleteIfExists(begun);
          }
          return null;
        });
  }

  /** Everything as it is at one moment; answers the number of rows of each table. */
  private Map<String, Long> write(Path file) {
    try (Connection connection = engine.source().getConnection()) {
      JdbcClient db = JdbcClient.create(new SingleConnectionDataSource(connection, true));
      db.sql("set session characteristics as transaction isolation level snapshot").update();
      connection.setAutoCommit(false);
      try {
        Map<String, Long> rows = rows(db);
        db.sql("script nopasswords to '%s' compression gzip".formatted(quoted(file)))
            .query()
            .listOfRows();
        return rows;
      } finally {
        connection.rollback();
        connection.setAutoCommit(true);
        db.sql("set session characteristics as transaction isolation level read committed")
            .update();
      }
    } catch (SQLException | DataAccessException e) {
      // it is the copy that cannot be written: edits go on
      throw new StoreException(StoreTrouble.sentence(file, e), e);
    }
  }

  private static Map<String, Long> rows(JdbcClient db) {
    List<String> tables =
        db.sql(
                """
                select table_name from information_schema.tables
                where table_schema = 'PUBLIC' order by table_name
                """)
            .query(String.class)
            .list();
    Map<String, Long> rows = new LinkedHashMap<>();
    for (String table : tables) {
      long count = db.sql("select count(*) from \"" + table + "\"").query(Long.class).single();
      rows.put(table, count);
    }
    return rows;
  }

  private static void check(Path file, Map<String, Long> expected) {
    JdbcConnectionPool memory = JdbcConnectionPool.create("jdbc:h2:mem:", "sa", "");
    try (Connection connection = memory.getConnection()) {
      JdbcClient db = JdbcClient.create(new SingleConnectionDataSource(connection, true));
      read(db, file);
      Map<String, Long> found = rows(db);
      if (!found.equals(expected)) {
        throw new StoreException(
            "%s: reading it back gives other rows (%s) than were written (%s)"
                .formatted(file, found, expected));
      }
    } catch (SQLException e) {
      throw new StoreException(StoreTrouble.sentence(file, e), e);
    } finally {
      memory.dispose();
    }
  }

  private static void read(JdbcClient db, Path file) {
    db.sql("runscript from '%s' compression gzip".formatted(quoted(file))).update();
  }

  private static String quoted(Path file) {
    return file.toAbsolutePath().toString().replace("'", "''");
  }

  private static void prune(Path copies) throws IOException {
    List<String> names = namesIn(copies);
    for (String old : names.subList(Math.min(KEPT, names.size()), names.size())) {
      Files.delete(copies.resolve(old + ENDING));
    }
  }

  /** The days of which a folder has a copy, the newest first. */
  public static List<String> names(Path folder) {
    return StoreTrouble.told(folder, () -> namesIn(folder.resolve(DataFolder.COPIES)));
  }

  private static List<String> namesIn(Path copies) throws IOException {
    if (!Files.isDirectory(copies)) {
      return List.of();
    }
    try (Stream<Path> files = Files.list(copies)) {
      return files
          .map(file -> file.getFileName().toString())
          .filter(name -> name.endsWith(ENDING))
          .map(name -> name.substring(0, name.length() - ENDING.length()))
          .filter(name -> NAME.matcher(name).matches())
          .sorted(Comparator.reverseOrder())
          .toList();
    }
  }

  /**
   * Puts a copy in the place of the database; what is there, if anything, is kept in the folder
   * {@code recovered}. The folder must not be in use.
   *
   * @param name one of {@link #names}
   * @throws StoreException where there is no such copy, or it cannot be read
   */
  public static void restore(Path folder, String name) {
    List<String> names = names(folder);
    if (!names.contains(name)) {
      throw new StoreException(
          "%s: there is no copy called \"%s\"; there %s"
              .formatted(
                  folder, name, names.isEmpty() ? "are none" : "are " + String.join(", ", names)));
    }
    DataFolder taken = DataFolder.take(folder);
    try {
      Path copy = fileOf(taken, name);
      StoreTrouble.told(
          copy,
          () -> {
            if (Files.exists(taken.database())) {
              DatabaseFile.keep(taken);
            }
            DatabaseFile.replace(
                taken,
                EngineSetting.PRODUCTION,
                Optional.empty(),
                source -> read(JdbcClient.create(source), copy));
            return null;
          });
    } catch (DataAccessException e) {
      throw new StoreException(
          "%s: the copy cannot be read, and nothing was changed; the copies are %s"
              .formatted(fileOf(taken, name), String.join(", ", names)),
          e);
    } finally {
      taken.close();
    }
  }

  private static Path fileOf(DataFolder folder, String name) {
    return folder.copies().resolve(name + ENDING);
  }
}
