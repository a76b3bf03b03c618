package hamper.server.store.tables;

import hamper.catalog.Gauge;
import hamper.display.Controller;
import hamper.display.Feed;
import hamper.display.Leg;
import hamper.display.Run;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.List;

/** Feeds along the strings of legs. */
final class FeedTable {
  static final Table TABLE =
      new Table(
          "feed",
          2,
          List.of(
              "piece_id",
              "place",
              "supply_id",
              "position",
              "lead_metres",
              "gauge",
              "fuse_amps",
              "tag"),
          FeedTable::rows);

  private FeedTable() {}

  private static List<Object[]> rows(Parts parts) {
    List<Object[]> rows = new ArrayList<>();
    for (Parts.Placed<Controller> at : parts.controllers()) {
      Controller controller = at.part();
      for (Run run : controller.runs()) {
        for (Leg leg : run.legs()) {
          for (int i = 0; i < leg.feeds().size(); i++) {
            rows.add(feed(leg.piece(), i, leg.feeds().get(i)));
          }
        }
      }
    }
    return rows;
  }

  private static Object[] feed(String piece, int place, Feed feed) {
    return Table.row(
        piece,
        place,
        feed.supply(),
        feed.position(),
        feed.leadMetres(),
        feed.gauge().map(Gauge::text),
        feed.fuseAmps(),
        feed.tag());
  }

  static Feed read(Row row) throws SQLException {
    return new Feed(
        row.string("supply_id"),
        row.integer("position"),
        row.decimal("lead_metres"),
        row.text("gauge").map(Gauge::new),
        row.decimal("fuse_amps"),
        row.text("tag"));
  }
}
