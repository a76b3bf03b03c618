package hamper.server.store;

import java.nio.file.Path;
import java.util.Arrays;
import javax.sql.DataSource;
import org.flywaydb.core.Flyway;
import org.flywaydb.core.api.MigrationInfo;
import org.springframework.jdbc.core.simple.JdbcClient;

/** The tables of a database, and the steps that lead to today's. */
final class Schema {
  private static final String HISTORY = "flyway_schema_history";

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
    var steps = flyway(source).info();
    String newest =
        Arrays.stream(steps.all())
            .filter(step -> step.getState().name().startsWith("FUTURE"))
            .map(step -> step.getVersion().getVersion())
            .reduce("", (first, second) -> second);
    if (!newest.isEmpty()) {
      MigrationInfo known =
          Arrays.stream(steps.all()).filter(Schema::isKnown).reduce((a, b) -> b).get();
      throw new StoreException(
          "%s: it was used by a newer Hamper (its tables are at version %s, this one knows %s); use the newer one, or name another folder with --data"
              .formatted(file, newest, known.getVersion()));
    }
    return steps.pending().length > 0;
  }

  private static boolean isKnown(MigrationInfo step) {
    return !step.getState().name().startsWith("FUTURE");
  }

  /** Takes all steps that are missing. */
  static void migrate(DataSource source) {
    flyway(source).migrate();
  }

  private static Flyway flyway(DataSource source) {
    return Flyway.configure().dataSource(source).load();
  }
}
