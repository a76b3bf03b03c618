package hamper.server.store;

import java.nio.file.Path;
import org.flywaydb.core.Flyway;
import org.h2.jdbcx.JdbcDataSource;
import org.springframework.jdbc.datasource.DataSourceTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;

/** The database of a data folder: where it lies, and how it is opened without the server. */
public final class StoreFile {
  private StoreFile() {}

  /** The write delay is off: what was committed is in the file. */
  public static String url(Path data) {
    return "jdbc:h2:file:%s;WRITE_DELAY=0;DB_CLOSE_ON_EXIT=FALSE"
        .formatted(data.toAbsolutePath().resolve("hamper"));
  }

  /** Opens the store of a folder and brings its schema up to date. */
  public static DisplayStore open(Path data) {
    JdbcDataSource source = new JdbcDataSource();
    source.setURL(url(data));
    source.setUser("sa");
    Flyway.configure().dataSource(source).load().migrate();
    return new DisplayStore(
        source, new TransactionTemplate(new DataSourceTransactionManager(source)));
  }

  /** Whether an error says that another program has the file open. */
  public static boolean saysInUse(Throwable e) {
    for (Throwable cause = e; cause != null; cause = cause.getCause()) {
      if (String.valueOf(cause.getMessage()).contains("may be already in use")) {
        return true;
      }
    }
    return false;
  }
}
