package hamper.server.store;

import java.sql.Connection;
import java.sql.SQLException;
import java.sql.Statement;
import org.h2.api.ErrorCode;
import org.h2.jdbcx.JdbcConnectionPool;

/**
 * A database that is open.
 *
 * @param pool of connections to it
 * @param anchor the connection that keeps it open between uses
 */
record OpenDatabase(JdbcConnectionPool pool, Connection anchor) {
  static final String USER = "sa";

  /** The first servers made their file with a user without a name, the command line with ours. */
  static final String NAMELESS = "";

  /** How a database is closed. */
  enum End {
    CLEAN("shutdown"),
    /** Nothing more is written. */
    AT_ONCE("shutdown immediately");

    private final String sql;

    End(String sql) {
      this.sql = sql;
    }
  }

  /** Opens a file, or makes it. */
  static OpenDatabase at(String url) throws SQLException {
    JdbcConnectionPool pool = JdbcConnectionPool.create(url, USER, "");
    try {
      return new OpenDatabase(pool, pool.getConnection());
    } catch (SQLException e) {
      pool.dispose();
      if (e.getErrorCode() != ErrorCode.WRONG_USER_OR_PASSWORD) {
        throw e;
      }
      addUser(url);
      return at(url);
    }
  }

  private static void addUser(String url) throws SQLException {
    JdbcConnectionPool nameless = JdbcConnectionPool.create(url, NAMELESS, "");
    try (Connection connection = nameless.getConnection();
        Statement statement = connection.createStatement()) {
      statement.execute("create user " + USER + " password '' admin");
      statement.execute(End.CLEAN.sql);
    } finally {
      nameless.dispose();
    }
  }

  void end(End how) {
    try (Statement statement = anchor.createStatement()) {
      statement.execute(how.sql);
    } catch (SQLException e) {
      // it has closed itself already
    }
    pool.dispose();
  }
}
