package hamper.server.store;

import hamper.change.AddressAt;
import hamper.config.Configuration;
import hamper.files.ConfigurationFiles;
import hamper.files.Json;
import hamper.handover.HandoverFact;
import hamper.handover.HandoverFact.Kind;
import hamper.handover.HandoverFact.Means;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Timestamp;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.stream.Collectors;
import org.springframework.jdbc.core.simple.JdbcClient;
import tools.jackson.core.type.TypeReference;

/**
 * What was handed over, beside the displays: facts are added, and never changed or taken back. What
 * a method has answered survives the loss of power.
 */
public final class HandoverStore {
  /** A fact without the document and the addresses. */
  public record FactHead(HandoverFact fact, String fingerprint) {}

  /**
   * A list that somebody was handed.
   *
   * @param source the id of the source; empty: whoever makes the show
   * @param content as it was handed over, as JSON
   */
  public record ListFact(String source, Instant at, String by, int version, String content) {}

  private static final int MOST_HISTORY = 200;
  private static final TypeReference<List<AddressAt>> ADDRESSES = new TypeReference<>() {};

  private final Engine engine;
  private final JdbcClient db;
  private final SafeWrites writes;

  public HandoverStore(Engine engine) {
    this.engine = engine;
    this.db = JdbcClient.create(engine.source());
    this.writes = new SafeWrites(engine, db);
  }

  /** Adds a fact; with what is given, what was typed by hand is done with. */
  public void add(String display, HandoverFact fact) {
    writes.make(
        () -> {
          insert(display, fact);
          if (fact.kind() == Kind.GIVEN || fact.kind() == Kind.REPLACED) {
            db.sql("delete from typed where display_id = :display and controller_id = :controller")
                .param("display", display)
                .param("controller", fact.controller())
                .update();
          }
        });
  }

  private void insert(String display, HandoverFact fact) {
    db.sql(
            """
            insert into handover_fact (display_id, controller_id, at, by_name, kind, means, version,
              serial, revision, why, fingerprint, document, addresses)
            values (:display, :controller, :at, :by, :kind, :means, :version,
              :serial, :revision, :why, :fingerprint, :document, :addresses)
            """)
        .param("display", display)
        .param("controller", fact.controller())
        .param("at", Timestamp.from(fact.at()))
        .param("by", fact.by())
        .param("kind", fact.kind().name())
        .param("means", fact.means().name())
        .param("version", fact.version())
        .param("serial", fact.serial())
        .param("revision", fact.revision())
        .param("why", fact.why())
        .param("fingerprint", fact.told().map(ConfigurationFiles::fingerprint).orElse(""))
        .param("document", fact.told().map(ConfigurationFiles::json).orElse(null))
        .param("addresses", Json.MAPPER.writeValueAsString(fact.addresses()))
        .update();
  }

  /**
   * All that what is known of each device follows from: the last fact of every kind, in the order
   * in which they happened.
   */
  public List<HandoverFact> latest(String display) {
    return engine.read(
        () ->
            db.sql(
                    """
                    select * from handover_fact where id in (
                      select max(id) from handover_fact where display_id = :display
                      group by controller_id, kind) order by id
                    """)
                .param("display", display)
                .query((row, n) -> fact(row, true))
                .list());
  }

  /**
   * What happened to one device, the latest first.
   *
   * @param controller its id
   */
  public List<FactHead> history(String display, String controller) {
    return engine.read(
        () ->
            db.sql(
                    """
                    select * from handover_fact
                    where display_id = :display and controller_id = :controller
                    order by id desc limit :most
                    """)
                .param("display", display)
                .param("controller", controller)
                .param("most", MOST_HISTORY)
                .query((row, n) -> new FactHead(fact(row, false), row.getString("fingerprint")))
                .list());
  }

  /** Documents that a device was given before, the latest first. */
  public List<HandoverFact> given(String display, String controller) {
    return engine.read(
        () ->
            db.sql(
                    """
                    select * from handover_fact
                    where display_id = :display and controller_id = :controller
                      and kind in ('GIVEN', 'NOT_KEPT') order by id desc limit :most
                    """)
                .param("display", display)
                .param("controller", controller)
                .param("most", MOST_HISTORY)
                .query((row, n) -> fact(row, true))
                .list());
  }

  /** What happened with units that said their serial number, oldest first; without documents. */
  public List<HandoverFact> ofUnits(String display) {
    return engine.read(
        () ->
            db.sql(
                    """
                    select * from handover_fact where display_id = :display and serial <> ''
                    order by id
                    """)
                .param("display", display)
                .query((row, n) -> fact(row, false))
                .list());
  }

  /** Where units lie, by serial number. */
  public Map<String, String> unitPlaces(String display) {
    Map<String, String> places = new TreeMap<>();
    engine.read(
        () -> {
          db.sql("select serial, place from unit_place where display_id = :display")
              .param("display", display)
              .query(
                  row -> {
                    places.put(row.getString("serial"), row.getString("place"));
                  });
          return places;
        });
    return places;
  }

  /** Says where a unit lies; empty: nobody knows. */
  public void putUnit(String display, String serial, String place) {
    writes.make(
        () -> {
          db.sql("delete from unit_place where display_id = :display and serial = :serial")
              .param("display", display)
              .param("serial", serial)
              .update();
          if (!place.isEmpty()) {
            db.sql(
                    """
                    insert into unit_place (display_id, serial, place)
                    values (:display, :serial, :place)
                    """)
                .param("display", display)
                .param("serial", serial)
                .param("place", place)
                .update();
          }
        });
  }

  private static HandoverFact fact(ResultSet row, boolean whole) throws SQLException {
    Optional<Configuration> told = Optional.empty();
    List<AddressAt> addresses = List.of();
    if (whole) {
      String document = row.getString("document");
      told =
          Optional.ofNullable(document)
              .map(text -> ConfigurationFiles.configuration(ConfigurationFiles.bytes(text)));
      addresses = Json.MAPPER.readValue(row.getString("addresses"), ADDRESSES);
    }
    return new HandoverFact(
        row.getString("controller_id"),
        row.getTimestamp("at").toInstant(),
        row.getString("by_name"),
        Kind.valueOf(row.getString("kind")),
        Means.valueOf(row.getString("means")),
        row.getInt("version"),
        row.getString("serial"),
        row.getString("revision"),
        row.getString("why"),
        told,
        addresses);
  }

  /** Somebody was handed a list. */
  public void add(String display, ListFact fact) {
    writes.make(
        () ->
            db.sql(
                    """
                    insert into list_fact (display_id, source_id, at, by_name, version, content)
                    values (:display, :source, :at, :by, :version, :content)
                    """)
                .param("display", display)
                .param("source", fact.source())
                .param("at", Timestamp.from(fact.at()))
                .param("by", fact.by())
                .param("version", fact.version())
                .param("content", fact.content())
                .update());
  }

  /** The last list of each source that was handed over, and of whoever makes the show. */
  public List<ListFact> lists(String display) {
    return engine.read(
        () ->
            db.sql(
                    """
                    select * from list_fact where id in (
                      select max(id) from list_fact where display_id = :display group by source_id)
                    order by id
                    """)
                .param("display", display)
                .query(
                    (row, n) ->
                        new ListFact(
                            row.getString("source_id"),
                            row.getTimestamp("at").toInstant(),
                            row.getString("by_name"),
                            row.getInt("version"),
                            row.getString("content")))
                .list());
  }

  /**
   * Values that were typed into a device so far, by the key of their cell.
   *
   * @param controller its id
   */
  public Map<String, String> typed(String display, String controller) {
    return engine.read(
        () ->
            db
                .sql(
                    """
                    select cell, typed_value from typed
                    where display_id = :display and controller_id = :controller
                    """)
                .param("display", display)
                .param("controller", controller)
                .query((row, n) -> Map.entry(row.getString(1), row.getString(2)))
                .list()
                .stream()
                .collect(Collectors.toMap(Map.Entry::getKey, Map.Entry::getValue)));
  }

  /**
   * Notes which values were typed, in place of what was noted of these cells before.
   *
   * @param values by cell; those without a value are not typed any more
   */
  public void type(String display, String controller, Map<String, Optional<String>> values) {
    writes.make(
        () ->
            values.forEach(
                (cell, value) -> {
                  db.sql(
                          """
                          delete from typed where display_id = :display
                            and controller_id = :controller and cell = :cell
                          """)
                      .param("display", display)
                      .param("controller", controller)
                      .param("cell", cell)
                      .update();
                  Optional.ofNullable(value)
                      .flatMap(text -> text)
                      .ifPresent(
                          text ->
                              db.sql(
                                      """
                                  insert into typed (display_id, controller_id, cell, typed_value)
                                  values (:display, :controller, :cell, :value)
                                  """)
                                  .param("display", display)
                                  .param("controller", controller)
                                  .param("cell", cell)
                                  .param("value", text)
                                  .update());
                }));
  }
}
