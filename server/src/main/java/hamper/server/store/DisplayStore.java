package hamper.server.store;

import hamper.display.Display;
import hamper.edit.Edit;
import hamper.edit.Restore;
import hamper.files.Json;
import java.util.List;
import javax.sql.DataSource;
import org.springframework.boot.sql.init.dependency.DependsOnDatabaseInitialization;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import org.springframework.transaction.support.TransactionTemplate;

/** Displays and their edit logs in H2. What a method has answered survives the loss of power. */
@Repository
@DependsOnDatabaseInitialization
public class DisplayStore {
  /** A display as it stands. */
  public record Stored(String id, int version, Display display) {}

  private final JdbcClient db;
  private final TransactionTemplate transaction;
  private final DisplayWriter writer;

  public DisplayStore(DataSource source, TransactionTemplate transaction) {
    this.db = JdbcClient.create(source);
    this.transaction = transaction;
    this.writer = new DisplayWriter(new JdbcTemplate(source));
  }

  /** The ids of all displays, by name. */
  public List<String> ids() {
    return db.sql("select id from display order by name, id").query(String.class).list();
  }

  public Stored read(String id) {
    int version =
        db.sql("select version from display where id = :id")
            .param("id", id)
            .query(Integer.class)
            .single();
    return new Stored(id, version, DisplayReader.read(db, id));
  }

  /** Adds a display, at version 1. */
  public void add(String id, Display display) {
    transaction.executeWithoutResult(
        status -> {
          writeDisplay(
              "insert into display (version, name, first_universe, universe_stride,"
                  + " frames_per_second, id) values (?, ?, ?, ?, ?, ?)",
              id,
              1,
              display);
          writer.write(id, Display.empty(display.name()), display);
        });
    sync();
  }

  /** Writes what an edit changed, and its line in the log, in one transaction. */
  public void save(String id, Display before, Display after, LogEntry entry) {
    transaction.executeWithoutResult(
        status -> {
          writeDisplay(
              "update display set version = ?, name = ?, first_universe = ?, universe_stride = ?,"
                  + " frames_per_second = ? where id = ?",
              id,
              entry.version(),
              after);
          writer.write(id, before, after);
          db.sql(
                  """
                  insert into edit_log (display_id, version, at, kind, label, edit, inverse)
                  values (:id, :version, current_timestamp, :kind, :label, :edit, :inverse)
                  """)
              .param("id", id)
              .param("version", entry.version())
              .param("kind", entry.kind().name())
              .param("label", entry.label())
              .param("edit", Json.MAPPER.writerFor(Edit.class).writeValueAsString(entry.edit()))
              .param("inverse", Json.MAPPER.writeValueAsString(entry.inverse()))
              .update();
        });
    sync();
  }

  /** The log's lines without their contents, oldest first. */
  public List<LogEntry.Head> log(String id) {
    return db.sql(
            "select version, kind, label from edit_log where display_id = :id order by version")
        .param("id", id)
        .query(
            (row, n) ->
                new LogEntry.Head(
                    row.getInt("version"),
                    LogEntry.Kind.valueOf(row.getString("kind")),
                    row.getString("label")))
        .list();
  }

  /** What takes one line of the log back. */
  public Restore inverse(String id, int version) {
    String json =
        db.sql("select inverse from edit_log where display_id = :id and version = :version")
            .param("id", id)
            .param("version", version)
            .query(String.class)
            .single();
    return Json.MAPPER.readValue(json, Restore.class);
  }

  private void writeDisplay(String sql, String id, int version, Display display) {
    db.sql(sql)
        .params(
            version,
            display.name(),
            display.settings().firstUniverse(),
            display.settings().universeStride(),
            display.settings().framesPerSecond(),
            id)
        .update();
  }

  /** Forces what was committed onto the disk before anybody is told that it is safe. */
  private void sync() {
    db.sql("checkpoint sync").update();
  }
}
