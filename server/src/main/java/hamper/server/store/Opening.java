package hamper.server.store;

import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.sql.SQLException;
import java.util.Optional;

/**
 * Opens the database of a folder in whatever state it was left: makes a missing one, repairs one
 * that does not open, brings an earlier one up to date.
 */
final class Opening {
  private final DataFolder folder;
  private final EngineSetting setting;

  /** Missing until it is open, and wherever it had to be closed again. */
  private OpenDatabase database;

  Opening(DataFolder folder, EngineSetting setting) {
    this.folder = folder;
    this.setting = setting;
  }

  /**
   * @param again whether it has been open before, so that its file must be there
   * @throws StoreException in one sentence, where it cannot be opened
   */
  OpenDatabase open(boolean again) {
    try {
      if (!Files.exists(folder.database())) {
        if (again || DatabaseFile.isMarked(folder)) {
          throw DatabaseFile.missing(folder);
        }
        begin();
      }
      connectOrRepair(DatabaseFile.makeReady(folder));
      DatabaseFile.mark(folder);
      if (Schema.isBehind(database.pool(), folder.database())) {
        end(OpenDatabase.End.CLEAN);
        upgrade();
        connect();
      }
      return database;
    } catch (SQLException | IOException | RuntimeException e) {
      if (database != null) {
        end(OpenDatabase.End.AT_ONCE);
      }
      throw e instanceof StoreException told
          ? told
          : new StoreException(StoreTrouble.sentence(folder.database(), e), e);
    }
  }

  private void begin() throws IOException {
    Optional<InputStream> ready = EmptyDatabase.open();
    if (ready.isPresent()) {
      try (InputStream empty = ready.get()) {
        DatabaseFile.begin(folder, empty);
      }
    } else {
      DatabaseFile.replace(folder, setting, Optional.empty(), Schema::migrate);
    }
  }

  /** Brings the tables of a copy up to date, which then takes the place. */
  private void upgrade() throws IOException {
    DatabaseFile.replace(folder, setting, Optional.of(DatabaseFile.keep(folder)), Schema::migrate);
  }

  /**
   * A file that cannot be opened is repaired.
   *
   * @param kept as it was before it was tried
   */
  private void connectOrRepair(Optional<Path> kept) throws SQLException, IOException {
    if (!isConnected()) {
      if (kept.isPresent()) {
        Files.copy(kept.get(), folder.database(), StandardCopyOption.REPLACE_EXISTING);
      }
      Repair.run(folder);
      connect();
    }
  }

  /** Whether the database opens and has not lost its tables. */
  private boolean isConnected() throws SQLException {
    try {
      connect();
    } catch (SQLException e) {
      if (StoreTrouble.of(e) == StoreTrouble.DAMAGED) {
        return false;
      }
      throw e;
    }
    if (Schema.isHampers(database.pool())) {
      return true;
    }
    end(OpenDatabase.End.AT_ONCE);
    if (DatabaseFile.isMarked(folder)) {
      return false;
    }
    throw DatabaseFile.foreign(folder.database());
  }

  private void connect() throws SQLException {
    database = OpenDatabase.at(setting.url(folder.path().resolve("hamper")));
  }

  private void end(OpenDatabase.End how) {
    database.end(how);
    database = null;
  }
}
