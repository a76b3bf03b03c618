package hamper.server.store;

import hamper.handover.SeenRight;
import java.sql.Timestamp;
import java.time.Instant;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;

/** What was seen in trials, beside each display: strings seen right, and the last check of all. */
public final class TrialStore {
  /**
   * A plan that was checked on stand-ins.
   *
   * @param version that was checked
   * @param refused controllers that did not take what they are told
   * @param pixels that were compared
   * @param wrong of them
   */
  public record PlanCheck(
      Instant at, int version, int controllers, int refused, long pixels, long wrong) {}

  private final Engine engine;
  private final JdbcClient db;
  private final SafeWrites writes;

  public TrialStore(Engine engine) {
    this.engine = engine;
    this.db = JdbcClient.create(engine.source());
    this.writes = new SafeWrites(engine, db);
  }

  public List<SeenRight> seen(String display) {
    return engine.read(
        () ->
            db.sql("select * from seen_right where display_id = :display order by piece_id")
                .param("display", display)
                .query(
                    (row, n) ->
                        new SeenRight(
                            row.getString("piece_id"),
                            row.getTimestamp("at").toInstant(),
                            row.getString("by_name"),
                            row.getString("fingerprint")))
                .list());
  }

  /** Marks strings, or takes marks off. */
  public void mark(String display, Collection<SeenRight> seen, Collection<String> unseen) {
    writes.make(
        () -> {
          seen.forEach(one -> forget(display, one.piece()));
          unseen.forEach(piece -> forget(display, piece));
          seen.forEach(one -> insert(display, one));
        });
  }

  private void forget(String display, String piece) {
    db.sql("delete from seen_right where display_id = :display and piece_id = :piece")
        .param("display", display)
        .param("piece", piece)
        .update();
  }

  private void insert(String display, SeenRight one) {
    db.sql(
            """
            insert into seen_right (display_id, piece_id, at, by_name, fingerprint)
            values (:display, :piece, :at, :by, :fingerprint)
            """)
        .param("display", display)
        .param("piece", one.piece())
        .param("at", Timestamp.from(one.at()))
        .param("by", one.by())
        .param("fingerprint", one.fingerprint())
        .update();
  }

  public Optional<PlanCheck> check(String display) {
    return engine.read(
        () ->
            db.sql("select * from plan_check where display_id = :display")
                .param("display", display)
                .query(
                    (row, n) ->
                        new PlanCheck(
                            row.getTimestamp("at").toInstant(),
                            row.getInt("version"),
                            row.getInt("controllers"),
                            row.getInt("refused"),
                            row.getLong("pixels"),
                            row.getLong("wrong")))
                .optional());
  }

  public void checked(String display, PlanCheck check) {
    writes.make(
        () -> {
          db.sql("delete from plan_check where display_id = :display")
              .param("display", display)
              .update();
          db.sql(
                  """
                  insert into plan_check
                    (display_id, at, version, controllers, refused, pixels, wrong)
                  values (:display, :at, :version, :controllers, :refused, :pixels, :wrong)
                  """)
              .param("display", display)
              .param("at", Timestamp.from(check.at()))
              .param("version", check.version())
              .param("controllers", check.controllers())
              .param("refused", check.refused())
              .param("pixels", check.pixels())
              .param("wrong", check.wrong())
              .update();
        });
  }
}
