package hamper.server.store;

import hamper.catalog.Gauge;
import hamper.display.Controller;
import hamper.display.Feed;
import hamper.display.Leg;
import hamper.display.MainsCircuit;
import hamper.display.PoweredInput;
import hamper.display.Run;
import hamper.display.Supply;
import java.util.ArrayList;
import java.util.List;

/** What of where power comes from stands in which table. */
final class PowerTables {
  static final Table MAINS =
      new Table(
          "mains_circuit",
          1,
          List.of("id", "place", "name", "volts", "amps", "other_watts"),
          PowerTables::mains);

  static final Table SUPPLIES =
      new Table(
          "supply",
          1,
          List.of(
              "id", "place", "name", "zone_id", "volts", "amps", "mains_id", "efficiency_percent"),
          PowerTables::supplies);

  static final Table INPUTS =
      new Table(
          "powered_input",
          3,
          List.of("controller_id", "bank", "input", "supply_id"),
          PowerTables::inputs);

  static final Table FEEDS =
      new Table(
          "feed",
          2,
          List.of(
              "piece_id", "place", "supply_id", "position", "lead_metres", "gauge", "fuse_amps"),
          PowerTables::feeds);

  private PowerTables() {}

  private static List<Object[]> mains(Parts parts) {
    List<Object[]> rows = new ArrayList<>();
    for (MainsCircuit one : parts.display().power().mains()) {
      rows.add(
          DisplayTables.row(
              one.id(), rows.size(), one.name(), one.volts(), one.amps(), one.otherWatts()));
    }
    return rows;
  }

  private static List<Object[]> supplies(Parts parts) {
    List<Object[]> rows = new ArrayList<>();
    for (Supply one : parts.display().power().supplies()) {
      rows.add(
          DisplayTables.row(
              one.id(),
              rows.size(),
              one.name(),
              one.zone(),
              one.volts(),
              one.amps(),
              one.mains(),
              one.efficiencyPercent()));
    }
    return rows;
  }

  private static List<Object[]> inputs(Parts parts) {
    List<Object[]> rows = new ArrayList<>();
    for (Parts.Placed<Controller> at : parts.controllers()) {
      Controller controller = at.part();
      for (PoweredInput one : controller.powered()) {
        rows.add(
            DisplayTables.row(controller.id(), one.bank().orElse(0), one.input(), one.supply()));
      }
    }
    return rows;
  }

  private static List<Object[]> feeds(Parts parts) {
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
    return DisplayTables.row(
        piece,
        place,
        feed.supply(),
        feed.position(),
        feed.leadMetres(),
        feed.gauge().map(Gauge::text),
        feed.fuseAmps());
  }
}
