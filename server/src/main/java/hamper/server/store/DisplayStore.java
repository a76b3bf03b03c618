package hamper.server.store;

import hamper.display.Display;
import hamper.display.ShowHours;
import hamper.edit.Edit;
import hamper.edit.Restore;
import hamper.files.Json;
import hamper.handover.Milestone;
import hamper.server.store.tables.DisplayReader;
import hamper.server.store.tables.DisplayWriter;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Timestamp;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.jdbc.core.simple.JdbcClient;

/**
 * Displays and their edit logs in H2. What a method has answered survives the loss of power; where
 * the disk or the engine fails, each throws {@link StorageFailedException}.
 */
public final class DisplayStore {
  /** A display as it stands. */
  public record Stored(String id, int version, Display display) {}

  /**
   * A display in a list.
   *
   * @param props how many
   * @param controllers how many
   * @param changed when it was made or last changed
   * @param removed when it was removed, where it was
   */
  public record Listed(
      String id,
      String name,
      int version,
      int props,
      int controllers,
      Instant changed,
      Optional<Instant> removed) {}

  /** So long a removed display can be brought back. */
  public static final Duration KEPT = Duration.ofDays(30);

  private static final String LIST =
      """
      select id, name, version, changed_at, removed_at,
        (select count(*) from prop where display_id = display.id) as props,
        (select count(*) from controller where display_id = display.id) as controllers
      from display
      """;

  private final Engine engine;
  private final JdbcClient db;
  private final SafeWrites writes;
  private final DisplayWriter writer;

  public DisplayStore(Engine engine) {
    this.engine = engine;
    this.db = JdbcClient.create(engine.source());
    this.writes = new SafeWrites(engine, db);
    this.writer = new DisplayWriter(new JdbcTemplate(engine.source()));
  }

  /** All displays, by name. */
  public List<Listed> list() {
    return engine.read(
        () ->
            db.sql(LIST + " where removed_at is null order by name, id")
                .query(DisplayStore::listed)
                .list());
  }

  /** Those that were removed and can be brought back, the latest first. */
  public List<Listed> removed() {
    return engine.read(
        () ->
            db.sql(LIST + " where removed_at is not null order by removed_at desc, id")
                .query(DisplayStore::listed)
                .list());
  }

  /** Takes a display out of the list, or puts it back. */
  public void setRemoved(String id, boolean removed) {
    writes.make(
        () ->
            db.sql("update display set removed_at = :at where id = :id")
                .param("at", removed ? Timestamp.from(Instant.now()) : null)
                .param("id", id)
                .update());
  }

  /**
   * Forgets displays that were removed before a moment, for good.
   *
   * @return how many
   */
  public int forget(Instant before) {
    int old =
        engine.read(
            () ->
                db.sql("select count(*) from display where removed_at < :before")
                    .param("before", Timestamp.from(before))
                    .query(Integer.class)
                    .single());
    if (old > 0) {
      writes.make(
          () ->
              db.sql("delete from display where removed_at < :before")
                  .param("before", Timestamp.from(before))
                  .update());
    }
    return old;
  }

  /** One of them. */
  public Optional<Listed> find(String id) {
    return engine.read(
        () ->
            db.sql(LIST + " where removed_at is null and id = :id")
                .param("id", id)
                .query(DisplayStore::listed)
                .optional());
  }

  private static Listed listed(ResultSet row, int n) throws SQLException {
    return new Listed(
        row.getString("id"),
        row.getString("name"),
        row.getInt("version"),
        row.getInt("props"),
        row.getInt("controllers"),
        row.getTimestamp("changed_at").toInstant(),
        Optional.ofNullable(row.getTimestamp("removed_at")).map(Timestamp::toInstant));
  }

  /**
   * @throws UnreadableDisplayException where rows of it make no display
   */
  public Stored read(String id) {
    return engine.read(() -> readNow(id));
  }

  private Stored readNow(String id) {
    int version =
        db.sql("select version from display where id = :id")
            .param("id", id)
            .query(Integer.class)
            .single();
    return new Stored(id, version, DisplayReader.read(db, id));
  }

  /** Adds a display, at version 1. */
  public void add(String id, Display display) {
    add(id, display, List.of());
  }

  /** Adds a display with its milestones, at version 1. */
  public void add(String id, Display display, List<Milestone> milestones) {
    writes.make(
        () -> {
          writeDisplay(
              "insert into display (version, name, first_universe, universe_stride,"
                  + " frames_per_second, keeps_still, show_from, show_to,"
                  + " spares_percent, allowance_percent, last_tag, id)"
                  + " values (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?)",
              id,
              1,
              display);
          writer.write(id, Display.empty(display.name()), display);
          milestones.forEach(one -> MilestoneStore.insert(db, id, one));
        });
  }

  /** Writes what an edit changed, and its line in the log, in one transaction. */
  public void save(String id, Display before, Display after, LogEntry entry) {
    writes.make(
        () -> {
          writeDisplay(
              "update display set version = ?, name = ?, first_universe = ?, universe_stride = ?,"
                  + " frames_per_second = ?, keeps_still = ?, show_from = ?, show_to = ?,"
                  + " spares_percent = ?, allowance_percent = ?, last_tag = ?,"
                  + " changed_at = current_timestamp where id = ?",
              id,
              entry.version(),
              after);
          writer.write(id, before, after);
          db.sql(
                  """
                  insert into edit_log (display_id, version, at, by_name, kind, label, edit, inverse)
                  values (:id, :version, current_timestamp, :by, :kind, :label, :edit, :inverse)
                  """)
              .param("id", id)
              .param("version", entry.version())
              .param("by", entry.by())
              .param("kind", entry.kind().name())
              .param("label", entry.label())
              .param("edit", Json.MAPPER.writerFor(Edit.class).writeValueAsString(entry.edit()))
              .param("inverse", Json.MAPPER.writeValueAsString(entry.inverse()))
              .update();
        });
  }

  /** The log's lines without their contents, oldest first. */
  public List<LogEntry.Head> log(String id) {
    return log(id, 0);
  }

  /** Those that led to a version later than this one. */
  public List<LogEntry.Head> log(String id, int after) {
    return engine.read(
        () ->
            db.sql(
                    """
                    select version, at, by_name, kind, label from edit_log
                    where display_id = :id and version > :after order by version
                    """)
                .param("id", id)
                .param("after", after)
                .query(
                    (row, n) ->
                        new LogEntry.Head(
                            row.getInt("version"),
                            row.getTimestamp("at").toInstant(),
                            row.getString("by_name"),
                            LogEntry.Kind.valueOf(row.getString("kind")),
                            row.getString("label")))
                .list());
  }

  /** What takes one line of the log back. */
  public Restore inverse(String id, int version) {
    String json =
        engine.read(
            () ->
                db.sql("select inverse from edit_log where display_id = :id and version = :version")
                    .param("id", id)
                    .param("version", version)
                    .query(String.class)
                    .single());
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
            display.settings().keepsStill().orElse(null),
            display.settings().showHours().map(ShowHours::from).orElse(null),
            display.settings().showHours().map(ShowHours::to).orElse(null),
            display.workshop().sparesPercent().orElse(null),
            display.workshop().allowancePercent().orElse(null),
            display.workshop().lastTag(),
            id)
        .update();
  }
}
