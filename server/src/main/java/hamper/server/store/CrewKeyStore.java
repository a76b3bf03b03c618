package hamper.server.store;

import hamper.server.store.CrewKey.Right;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Timestamp;
import java.time.Instant;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import org.springframework.jdbc.core.simple.JdbcClient;

/** Keys of the crew door, by a hash of each. */
public final class CrewKeyStore {
  private final Engine engine;
  private final JdbcClient db;
  private final SafeWrites writes;

  public CrewKeyStore(Engine engine) {
    this.engine = engine;
    this.db = JdbcClient.create(engine.source());
    this.writes = new SafeWrites(engine, db);
  }

  /**
   * @param hash of the key, 64 hexadecimal digits
   */
  public void add(CrewKey key, String hash) {
    writes.make(
        () ->
            db.sql(
                    """
                    insert into crew_key (id, display_id, name, hash, may, made, until)
                    values (:id, :display, :name, :hash, :may, :made, :until)
                    """)
                .param("id", key.id())
                .param("display", key.display())
                .param("name", key.name())
                .param("hash", hash)
                .param(
                    "may",
                    key.may().stream().map(Right::name).sorted().collect(Collectors.joining(",")))
                .param("made", Timestamp.from(key.made()))
                .param("until", Timestamp.from(key.until()))
                .update());
  }

  /** Those of a display, the latest first. */
  public List<CrewKey> of(String display) {
    return engine.read(
        () ->
            db.sql("select * from crew_key where display_id = :display order by made desc, id")
                .param("display", display)
                .query((row, n) -> key(row))
                .list());
  }

  public Optional<CrewKey> byHash(String hash) {
    return engine.read(
        () ->
            db.sql("select * from crew_key where hash = :hash")
                .param("hash", hash)
                .query((row, n) -> key(row))
                .optional());
  }

  /** From then on it lets nobody in; one that was withdrawn stays so. */
  public void withdraw(String display, String id, Instant at) {
    writes.make(
        () ->
            db.sql(
                    """
                    update crew_key set withdrawn = :at
                    where display_id = :display and id = :id and withdrawn is null
                    """)
                .param("at", Timestamp.from(at))
                .param("display", display)
                .param("id", id)
                .update());
  }

  private static CrewKey key(ResultSet row) throws SQLException {
    return new CrewKey(
        row.getString("id"),
        row.getString("display_id"),
        row.getString("name"),
        Arrays.stream(row.getString("may").split(","))
            .filter(right -> !right.isEmpty())
            .map(Right::valueOf)
            .collect(Collectors.toUnmodifiableSet()),
        row.getTimestamp("made").toInstant(),
        row.getTimestamp("until").toInstant(),
        Optional.ofNullable(row.getTimestamp("withdrawn")).map(Timestamp::toInstant));
  }
}
