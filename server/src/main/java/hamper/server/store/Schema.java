package hamper.server.store;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import javax.sql.DataSource;
import org.flywaydb.core.Flyway;
import org.springframework.core.io.support.PathMatchingResourcePatternResolver;
import org.springframework.jdbc.core.simple.JdbcClient;

/**
 * The tables of a database, and the steps that lead to today's. What takes the steps is loaded only
 * where there are some to take: most starts have none.
 */
final class Schema {
  private static final String HISTORY = "flyway_schema_history";
  private static final String STEPS = "classpath:db/migration/V*__*.sql";
  private static final Pattern VERSION = Pattern.compile("V(\\d+)__.*");

  private Schema() {}

  /** Whether a database holds displays, of whatever version. */
  static boolean isHampers(DataSource source) {
    return JdbcClient.create(source)
        .sql("select table_name from information_schema.tables where table_schema = 'PUBLIC'")
        .query(String.class)
        .list()
        .contains(HISTORY);
  }

  /**
   * Whether there are steps that a database has not taken yet.
   *
   * @param file that it lies in, for the sentence
   * @throws StoreException where it is newer than this program
   */
  static boolean isBehind(DataSource source, Path file) {
    int taken =
        JdbcClient.create(source)
            .sql("select max(cast(\"version\" as int)) from \"%s\"".formatted(HISTORY))
            .query(Integer.class)
            .single();
    int known = newest();
    if (taken > known) {
      throw new StoreException(
          "%s: it was used by a newer Hamper (its tables are at version %d, this one knows %d); use the newer one, or name another folder with --data"
              .formatted(file, taken, known));
    }
    return taken < known;
  }

  /** The version that all steps lead to. */
  private static int newest() {
    try {
      return Arrays.stream(new PathMatchingResourcePatternResolver().getResources(STEPS))
          .map(step -> VERSION.matcher(String.valueOf(step.getFilename())))
          .filter(Matcher::matches)
          .mapToInt(step -> Integer.parseInt(step.group(1)))
          .max()
          .orElseThrow();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /** Takes all steps that are missing. */
  static void migrate(DataSource source) {
    Flyway.configure().dataSource(source).load().migrate();
  }
}
