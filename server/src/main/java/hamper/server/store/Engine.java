package hamper.server.store;

import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.SQLException;
import java.util.concurrent.locks.ReentrantReadWriteLock;
import java.util.function.Supplier;
import javax.sql.DataSource;
import org.springframework.dao.DataAccessException;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.dao.EmptyResultDataAccessException;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.jdbc.datasource.AbstractDataSource;
import org.springframework.transaction.TransactionException;

/**
 * The open database of a data folder. After a failure of the disk or of the engine nothing that is
 * in memory of it is trusted: it is closed, and opened again from the file at the next attempt, for
 * as long as it takes.
 */
public final class Engine implements AutoCloseable {
  private final DataFolder folder;
  private final EngineSetting setting;
  private final DataSource source = new Source();

  /** Held by whatever works with the database, so that it is not closed meanwhile. */
  private final ReentrantReadWriteLock inUse = new ReentrantReadWriteLock(true);

  /** Missing while it is closed. */
  private OpenDatabase database;

  /** How often it has been opened: a failure of an earlier time does not close a later one. */
  private int times;

  private boolean ended;

  private Engine(DataFolder folder, EngineSetting setting) {
    this.folder = folder;
    this.setting = setting;
  }

  /** Whether a folder has a database. */
  public static boolean isIn(Path folder) {
    return Files.exists(folder.resolve(DataFolder.DATABASE));
  }

  /**
   * Opens the database of a folder; makes both where they are missing.
   *
   * @throws StoreException in one sentence, where that cannot be
   */
  public static Engine open(Path folder) {
    return open(folder, EngineSetting.PRODUCTION);
  }

  /**
   * As {@link #open(Path)}, for tests.
   *
   * @throws StoreException in one sentence, where that cannot be
   */
  public static Engine open(Path folder, EngineSetting setting) {
    DataFolder taken = DataFolder.take(folder);
    try {
      Engine engine = new Engine(taken, setting);
      engine.ready();
      return engine;
    } catch (RuntimeException e) {
      taken.close();
      throw e;
    }
  }

  DataFolder folder() {
    return folder;
  }

  /** The data folder. */
  public Path path() {
    return folder.path();
  }

  /** Connections to whatever database is open at the time. */
  DataSource source() {
    return source;
  }

  /**
   * Does something that changes nothing; once more where the database was closed under it, be it
   * that something else failed.
   *
   * @throws StorageFailedException where the disk or the engine fails
   */
  <T> T read(Supplier<T> work) {
    try {
      return guarded(StorageFailedException.Outcome.NOT_STORED, work);
    } catch (StorageFailedException e) {
      return guarded(StorageFailedException.Outcome.NOT_STORED, work);
    }
  }

  /**
   * Does something that stores.
   *
   * @throws StorageFailedException where the disk or the engine fails; what became of the change is
   *     unknown where it had begun
   */
  void write(Runnable work) {
    guarded(
        StorageFailedException.Outcome.UNKNOWN,
        () -> {
          work.run();
          return null;
        });
  }

  private <T> T guarded(StorageFailedException.Outcome outcome, Supplier<T> work) {
    int time = 0;
    StorageFailedException failure;
    inUse.readLock().lock();
    try {
      time = awake();
      return work.get();
    } catch (EmptyResultDataAccessException | DataIntegrityViolationException e) {
      throw e; // no failure of the engine: nothing is there, or nothing was taken
    } catch (DataAccessException | TransactionException e) {
      failure = failed(outcome, e);
    } catch (StorageFailedException e) {
      failure = e; // of something within this
    } finally {
      inUse.readLock().unlock();
    }
    if (inUse.getReadHoldCount() == 0) {
      abandon(time);
    }
    throw failure;
  }

  private int awake() {
    try {
      return ready();
    } catch (StoreException e) {
      throw new StorageFailedException(
          StorageFailedException.Outcome.NOT_STORED, e.getMessage(), e);
    }
  }

  private StorageFailedException failed(StorageFailedException.Outcome outcome, Exception e) {
    return new StorageFailedException(outcome, StoreTrouble.sentence(folder.database(), e), e);
  }

  /** Opens it where it is not open; answers how often it has been opened. */
  private synchronized int ready() {
    if (ended) {
      throw new StoreException(folder.path() + ": Hamper is ending");
    }
    if (database == null) {
      database = new Opening(folder, setting).open(times > 0);
      times++;
    }
    return times;
  }

  /**
   * Closes what has failed; nothing more is begun with it. What others had begun with it by then
   * comes to its end first: some of it does not fail, and a database that is closed under it is not
   * soon opened again.
   */
  private void abandon(int time) {
    inUse.writeLock().lock();
    try {
      endIfStill(time);
    } finally {
      inUse.writeLock().unlock();
    }
  }

  private synchronized void endIfStill(int time) {
    if (time == times && database != null) {
      end(OpenDatabase.End.AT_ONCE);
    }
  }

  /** Where most of a large file is waste, closes it to have it packed; edits wait meanwhile. */
  public void pack() {
    if (!DatabaseFile.isWaste(fileSize(), filled())) {
      return;
    }
    inUse.writeLock().lock();
    try {
      reopen();
    } finally {
      inUse.writeLock().unlock();
    }
  }

  private synchronized void reopen() {
    if (database != null) {
      end(OpenDatabase.End.CLEAN);
    }
    ready();
  }

  private long fileSize() {
    return StoreTrouble.told(folder.database(), () -> Files.size(folder.database()));
  }

  private int filled() {
    return read(
        () ->
            JdbcClient.create(source)
                .sql(
                    """
                    select cast(setting_value as int) from information_schema.settings
                    where setting_name in ('info.FILL_RATE', 'info.CHUNKS_FILL_RATE')
                    """)
                .query(Integer.class)
                .list()
                .stream()
                .reduce(100, (all, part) -> all * part / 100));
  }

  /** What is being stored is stored first. */
  @Override
  public void close() {
    inUse.writeLock().lock();
    try {
      shut();
    } finally {
      inUse.writeLock().unlock();
    }
  }

  private synchronized void shut() {
    if (database != null) {
      end(OpenDatabase.End.CLEAN);
    }
    ended = true;
    folder.close();
  }

  private void end(OpenDatabase.End how) {
    database.end(how);
    database = null;
  }

  private final class Source extends AbstractDataSource {
    @Override
    public Connection getConnection() throws SQLException {
      OpenDatabase open;
      synchronized (Engine.this) {
        open = database;
      }
      if (open == null) {
        throw new SQLException("The database is closed", "08003");
      }
      return open.pool().getConnection();
    }

    @Override
    public Connection getConnection(String user, String password) throws SQLException {
      return getConnection();
    }
  }
}
