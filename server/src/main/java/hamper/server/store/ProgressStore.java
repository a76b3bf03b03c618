package hamper.server.store;

import hamper.progress.Stage;
import hamper.progress.StringFact;
import hamper.progress.StringFact.Condition;
import hamper.progress.StringFact.Noted;
import hamper.progress.StringFact.Reached;
import hamper.progress.StringFact.Settled;
import hamper.progress.StringFact.Stored;
import hamper.progress.StringFact.Trouble;
import hamper.progress.StringFact.Urgency;
import hamper.progress.StringFact.What;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Timestamp;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.springframework.jdbc.core.simple.JdbcClient;

/**
 * What happened to each string, beside the displays: facts are added, and never changed or taken
 * back. What a method has answered survives the loss of power.
 */
public final class ProgressStore {
  private static final int MOST_HISTORY = 200;

  private final Engine engine;
  private final JdbcClient db;
  private final SafeWrites writes;

  public ProgressStore(Engine engine) {
    this.engine = engine;
    this.db = JdbcClient.create(engine.source());
    this.writes = new SafeWrites(engine, db);
  }

  /**
   * A fact under the name that was given to it where it was said, by which it is known again when
   * it is sent once more.
   *
   * @param id empty where it is said once only
   */
  public record Said(Optional<String> id, StringFact fact) {}

  /** All of them, or none. */
  public void add(String display, List<StringFact> facts) {
    addSaid(display, facts.stream().map(fact -> new Said(Optional.empty(), fact)).toList());
  }

  /** All of them, or none. */
  public void addSaid(String display, List<Said> said) {
    writes.make(() -> said.forEach(one -> insert(display, one)));
  }

  /** Which of these were said already. */
  public Set<String> known(String display, Collection<String> ids) {
    if (ids.isEmpty()) {
      return Set.of();
    }
    return engine.read(
        () ->
            Set.copyOf(
                db.sql(
                        """
                        select said_id from string_fact
                        where display_id = :display and said_id in (:ids)
                        """)
                    .param("display", display)
                    .param("ids", ids)
                    .query(String.class)
                    .list()));
  }

  private void insert(String display, Said said) {
    StringFact fact = said.fact();
    What what = fact.what();
    Optional<Noted> noted = as(Noted.class, what);
    Optional<Reached> reached = as(Reached.class, what);
    Optional<Trouble> trouble = as(Trouble.class, what);
    Optional<Stored> stored = as(Stored.class, what);
    db.sql(
            """
            insert into string_fact (display_id, piece_id, at, by_name, kind, stage, socket, reason,
              urgency, owner, photo, fit, place, said_id)
            values (:display, :piece, :at, :by, :kind, :stage, :socket, :reason,
              :urgency, :owner, :photo, :fit, :place, :said)
            """)
        .param("display", display)
        .param("piece", fact.piece())
        .param("at", Timestamp.from(fact.at()))
        .param("by", fact.by())
        .param("kind", what.getClass().getSimpleName().toUpperCase(java.util.Locale.ROOT))
        .param("stage", reached.map(one -> one.stage().name()).orElse(null))
        .param("socket", reached.flatMap(Reached::socket).orElse(null))
        .param("reason", trouble.map(Trouble::reason).or(() -> noted.map(Noted::text)).orElse(null))
        .param("urgency", trouble.map(one -> one.urgency().name()).orElse(null))
        .param("owner", trouble.map(Trouble::owner).orElse(null))
        .param(
            "photo",
            trouble.flatMap(Trouble::photo).or(() -> noted.flatMap(Noted::photo)).orElse(null))
        .param("fit", stored.map(one -> one.condition().name()).orElse(null))
        .param("place", stored.map(Stored::place).orElse(null))
        .param("said", said.id().orElse(null))
        .update();
  }

  private static <T extends What> Optional<T> as(Class<T> kind, What what) {
    return kind.isInstance(what) ? Optional.of(kind.cast(what)) : Optional.empty();
  }

  /** Of a display, oldest first by when they were said, not by when they came. */
  public List<StringFact> facts(String display) {
    return engine.read(
        () ->
            db.sql("select * from string_fact where display_id = :display order by at, id")
                .param("display", display)
                .query((row, n) -> fact(row))
                .list());
  }

  /** What happened to one string, the latest first. */
  public List<StringFact> history(String display, String piece) {
    return engine.read(
        () ->
            db.sql(
                    """
                    select * from string_fact where display_id = :display and piece_id = :piece
                    order by at desc, id desc limit :most
                    """)
                .param("display", display)
                .param("piece", piece)
                .param("most", MOST_HISTORY)
                .query((row, n) -> fact(row))
                .list());
  }

  private static StringFact fact(ResultSet row) throws SQLException {
    return new StringFact(
        row.getString("piece_id"),
        row.getTimestamp("at").toInstant(),
        row.getString("by_name"),
        what(row));
  }

  private static What what(ResultSet row) throws SQLException {
    return switch (row.getString("kind")) {
      case "REACHED" ->
          new Reached(
              Stage.valueOf(row.getString("stage")), Optional.ofNullable(row.getString("socket")));
      case "TROUBLE" ->
          new Trouble(
              row.getString("reason"),
              Urgency.valueOf(row.getString("urgency")),
              row.getString("owner"),
              Optional.ofNullable(row.getString("photo")));
      case "SETTLED" -> new Settled();
      case "NOTED" ->
          new Noted(row.getString("reason"), Optional.ofNullable(row.getString("photo")));
      case "STORED" -> new Stored(Condition.valueOf(row.getString("fit")), row.getString("place"));
      default -> throw new SQLException("a fact of kind " + row.getString("kind"));
    };
  }
}
