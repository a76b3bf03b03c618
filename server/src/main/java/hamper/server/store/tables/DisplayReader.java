package hamper.server.store.tables;

import hamper.display.Display;
import hamper.display.DisplaySettings;
import hamper.display.Feed;
import hamper.display.Leg;
import hamper.display.Piece;
import hamper.display.Run;
import hamper.display.Section;
import hamper.display.ShowHours;
import hamper.display.SitePower;
import hamper.display.Tag;
import hamper.display.Workshop;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;

/** Reads a display back from its tables: children first, grouped by what they belong to. */
public final class DisplayReader {
  private interface Mapper<T> {
    T map(Row row) throws SQLException;
  }

  private final JdbcClient db;
  private final String id;

  private DisplayReader(JdbcClient db, String id) {
    this.db = db;
    this.id = id;
  }

  /** A display that is there. */
  public static Display read(JdbcClient db, String id) {
    return new DisplayReader(db, id).read();
  }

  private Display read() {
    Map<String, List<Section>> sections =
        grouped(SectionTable.TABLE, "place", "piece_id", SectionTable::read);
    Map<String, List<Piece>> pieces =
        grouped(PieceTable.TABLE, "place", "prop_id", row -> PieceTable.read(row, sections));
    Map<String, List<Feed>> feeds = grouped(FeedTable.TABLE, "place", "piece_id", FeedTable::read);
    Map<String, List<Leg>> legs =
        grouped(
            LegTable.TABLE,
            "controller_id, kind, port, place",
            LegTable::laneOf,
            row -> LegTable.read(row, feeds));
    Map<String, List<Run>> runs =
        ofControllers(RunTable.TABLE, "kind, port", row -> RunTable.read(row, legs));
    ControllerTable.Belongings belongings =
        new ControllerTable.Belongings(
            ofControllers(InputTable.TABLE, "place", InputTable::read),
            ofControllers(AdapterTable.TABLE, "place", AdapterTable::read),
            ofControllers(CableTable.TABLE, "place", CableTable::read),
            ofControllers(PoweredInputTable.TABLE, "bank, input", PoweredInputTable::read),
            runs);
    SitePower power =
        new SitePower(
            list(SupplyTable.TABLE, SupplyTable::read), list(MainsTable.TABLE, MainsTable::read));
    Head head =
        db.sql("select * from display where id = :id")
            .param("id", id)
            .query((row, n) -> Head.of(new Row(row)))
            .single();
    return new Display(
        head.name(),
        head.settings(),
        list(OwnModelTable.TABLE, OwnModelTable::read),
        list(OwnPixelTypeTable.TABLE, OwnPixelTypeTable::read),
        list(SubnetTable.TABLE, SubnetTable::read),
        list(ZoneTable.TABLE, ZoneTable::read),
        list(PropTable.TABLE, row -> PropTable.read(row, pieces)),
        list(ControllerTable.TABLE, row -> ControllerTable.read(row, belongings)),
        power,
        list(EnclosureTable.TABLE, EnclosureTable::read),
        list(LinkTable.TABLE, LinkTable::read),
        list(AcceptedTable.TABLE, AcceptedTable::read),
        head.workshop(
            list(StockTable.TABLE, StockTable::read), list(TagTable.TABLE, TagTable::read)));
  }

  /** What of a display stands in no list. */
  private record Head(String name, DisplaySettings settings, Workshop bare) {
    static Head of(Row row) throws SQLException {
      return new Head(
          row.string("name"),
          new DisplaySettings(
              row.integer("first_universe"),
              row.integer("universe_stride"),
              row.integer("frames_per_second"),
              row.flag("keeps_still"),
              showHours(row)),
          new Workshop(
              row.number("spares_percent"),
              row.number("allowance_percent"),
              List.of(),
              row.integer("last_tag"),
              List.of()));
    }

    Workshop workshop(List<Workshop.Stock> stock, List<Tag> tags) {
      return new Workshop(
          bare.sparesPercent(), bare.allowancePercent(), stock, bare.lastTag(), tags);
    }

    private static Optional<ShowHours> showHours(Row row) throws SQLException {
      Optional<String> from = row.text("show_from");
      return from.isEmpty()
          ? Optional.empty()
          : Optional.of(new ShowHours(from.get(), row.string("show_to")));
    }
  }

  private <T> List<T> list(Table table, Mapper<T> mapper) {
    return db.sql("select * from " + table.name() + " where display_id = :id order by place")
        .param("id", id)
        .query((row, n) -> mapper.map(new Row(row)))
        .list();
  }

  private <T> Map<String, List<T>> ofControllers(Table table, String order, Mapper<T> mapper) {
    return grouped(table, order, "controller_id", mapper);
  }

  /**
   * @param order inside a group
   * @param key the column that says which group a row is of
   */
  private <T> Map<String, List<T>> grouped(
      Table table, String order, String key, Mapper<T> mapper) {
    return grouped(table, key + ", " + order, row -> row.string(key), mapper);
  }

  private <T> Map<String, List<T>> grouped(
      Table table, String order, Mapper<String> key, Mapper<T> mapper) {
    Map<String, List<T>> groups = new HashMap<>();
    db.sql("select * from " + table.name() + " where display_id = :id order by " + order)
        .param("id", id)
        .query(
            found -> {
              Row row = new Row(found);
              groups.computeIfAbsent(key.map(row), group -> new ArrayList<>()).add(mapper.map(row));
            });
    return groups;
  }
}
