package hamper.server.store;

import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.jdbc.datasource.DataSourceTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;

/** Transactions that are on the disk before anybody is told that they are safe. */
final class SafeWrites {
  private final Engine engine;
  private final JdbcClient db;
  private final TransactionTemplate transaction;

  SafeWrites(Engine engine, JdbcClient db) {
    this.engine = engine;
    this.db = db;
    this.transaction = new TransactionTemplate(new DataSourceTransactionManager(engine.source()));
  }

  /** All of it, or none. */
  void make(Runnable changes) {
    engine.write(
        () -> {
          transaction.executeWithoutResult(status -> changes.run());
          db.sql("checkpoint sync").update();
        });
  }
}
