package hamper.server.store;

import hamper.catalog.Catalog;
import hamper.files.DisplayFile;
import hamper.handover.Milestone;
import java.nio.charset.StandardCharsets;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Timestamp;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;

/** Named, frozen states of displays, each kept as a display file. */
public final class MilestoneStore {
  /** Most that a display has. */
  public static final int MOST = 50;

  /** A milestone in a list. */
  public record MilestoneHead(String id, String name, Instant at, String by, int version) {}

  private final Engine engine;
  private final Catalog catalog;
  private final JdbcClient db;
  private final SafeWrites writes;

  /**
   * @param catalog that models and pixel types are looked up in
   */
  public MilestoneStore(Engine engine, Catalog catalog) {
    this.engine = engine;
    this.catalog = catalog;
    this.db = JdbcClient.create(engine.source());
    this.writes = new SafeWrites(engine, db);
  }

  /** Of a display, oldest first. */
  public List<MilestoneHead> list(String display) {
    return engine.read(
        () ->
            db.sql(
                    """
                    select id, name, at, by_name, version from milestone
                    where display_id = :display order by at, id
                    """)
                .param("display", display)
                .query((row, n) -> head(row))
                .list());
  }

  private static MilestoneHead head(ResultSet row) throws SQLException {
    return new MilestoneHead(
        row.getString("id"),
        row.getString("name"),
        row.getTimestamp("at").toInstant(),
        row.getString("by_name"),
        row.getInt("version"));
  }

  /** All of a display with what they froze, oldest first. */
  public List<Milestone> all(String display) {
    return list(display).stream().flatMap(one -> find(display, one.id()).stream()).toList();
  }

  /** One of them. */
  public Optional<Milestone> find(String display, String id) {
    return engine.read(
        () ->
            db.sql("select * from milestone where display_id = :display and id = :id")
                .param("display", display)
                .param("id", id)
                .query(
                    (row, n) -> {
                      MilestoneHead head = head(row);
                      byte[] file = row.getString("content").getBytes(StandardCharsets.UTF_8);
                      return new Milestone(
                          head.id(),
                          head.name(),
                          head.at(),
                          head.by(),
                          head.version(),
                          DisplayFile.read(file, catalog).display());
                    })
                .optional());
  }

  public void add(String display, List<Milestone> milestones) {
    writes.make(() -> milestones.forEach(one -> insert(db, display, one)));
  }

  /** In the transaction of whoever adds it. */
  static void insert(JdbcClient db, String display, Milestone milestone) {
    db.sql(
            """
            insert into milestone (display_id, id, name, at, by_name, version, content)
            values (:display, :id, :name, :at, :by, :version, :content)
            """)
        .param("display", display)
        .param("id", milestone.id())
        .param("name", milestone.name())
        .param("at", Timestamp.from(milestone.at()))
        .param("by", milestone.by())
        .param("version", milestone.version())
        .param(
            "content", new String(DisplayFile.write(milestone.display()), StandardCharsets.UTF_8))
        .update();
  }

  /** Forgets one for good. */
  public void remove(String display, String id) {
    writes.make(
        () ->
            db.sql("delete from milestone where display_id = :display and id = :id")
                .param("display", display)
                .param("id", id)
                .update());
  }
}
