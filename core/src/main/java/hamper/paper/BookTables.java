package hamper.paper;

import hamper.catalog.PortKind;
import hamper.display.Piece;
import hamper.display.PixelString;
import hamper.display.Plan;
import hamper.display.Prop;
import hamper.display.Supply;
import hamper.facts.ControllerFacts;
import hamper.facts.Facts;
import hamper.facts.RunFacts;
import hamper.load.FeedLoad;
import hamper.load.PortLoad;
import hamper.load.SiteLoads.SupplyLoad;
import hamper.paper.Block.Cell;
import hamper.paper.Block.Column;
import hamper.paper.Block.Table;
import hamper.progress.Progress;
import hamper.progress.Progress.StringAt;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;

/** All of a display as tables, for a spreadsheet; addresses have a table of their own elsewhere. */
public final class BookTables {
  private final Facts facts;
  private final Plan plan;

  private BookTables(Facts facts) {
    this.facts = facts;
    plan = facts.plan();
  }

  /**
   * Each with its title.
   *
   * @param version of the display; 0: a file has none
   * @param beside what is known besides the plan
   */
  public static List<Table> of(Facts facts, int version, Beside beside) {
    BookTables all = new BookTables(facts);
    List<Table> tables = new ArrayList<>();
    tables.add(all.outlets());
    tables.add(all.props());
    tables.add(all.loads());
    tables.add(all.feeds());
    tables.add(joined(SendSheets.sendList(facts)));
    tables.add(joined(SendSheets.showList(facts, version)));
    tables.add(joined(ShoppingSheet.of(facts.plan())));
    tables.add(joined(TagSheet.of(facts.plan())));
    tables.add(joined(UnitSheet.of(beside.units())));
    tables.add(all.strings(beside.progress()));
    return tables;
  }

  /** The tables of a sheet, one after another under one head; what each is called comes first. */
  private static Table joined(Sheet sheet) {
    List<Table> parts =
        sheet.blocks().stream().filter(Table.class::isInstance).map(Table.class::cast).toList();
    if (parts.size() == 1 && parts.get(0).title().isEmpty()) {
      Table only = parts.get(0);
      return new Table(sheet.title(), only.columns(), only.rows(), "");
    }
    List<Column> columns = new ArrayList<>(List.of(Column.of("Kind")));
    if (!parts.isEmpty()) {
      columns.addAll(parts.get(0).columns());
    }
    List<List<Cell>> rows = new ArrayList<>();
    for (Table part : parts) {
      for (List<Cell> row : part.rows()) {
        List<Cell> longer = new ArrayList<>(List.of(Cell.of(part.title())));
        longer.addAll(row);
        rows.add(longer);
      }
    }
    return new Table(sheet.title(), columns, rows, "");
  }

  private Table outlets() {
    List<List<Cell>> rows = new ArrayList<>();
    for (CrewSheet sheet : Crew.of(facts)) {
      for (CrewSheet.PortsOf group : sheet.groups()) {
        for (CrewSheet.PortRow port : group.ports()) {
          if (port.free()) {
            rows.add(
                List.of(
                    Cell.of(sheet.tag()),
                    Cell.of(port.written()),
                    Cell.of(group.title()),
                    Cell.of(""),
                    Cell.of("free"),
                    Cell.of(""),
                    Cell.of(""),
                    Cell.of(""),
                    Cell.of(""),
                    Cell.of("")));
          }
          int leg = 0;
          for (CrewSheet.LegRow row : port.legs()) {
            leg++;
            rows.add(
                List.of(
                    Cell.of(sheet.tag()),
                    Cell.of(port.written()),
                    Cell.of(group.title()),
                    Cell.of((long) leg),
                    Cell.of(row.title()),
                    Cell.of(row.tag()),
                    Cell.of((long) row.pixels()),
                    Cell.of((long) row.nullPixels()),
                    Cell.of(row.first()),
                    Cell.of(row.last())));
          }
        }
      }
    }
    return new Table(
        "Ports",
        List.of(
            Column.of("Controller"),
            Column.of("Port"),
            Column.of("Of"),
            Column.of("Leg"),
            Column.of("Piece"),
            Column.of("Tag"),
            Column.of("Pixels"),
            Column.of("Null pixels"),
            Column.of("First"),
            Column.of("Last")),
        rows,
        "");
  }

  private Table props() {
    List<List<Cell>> rows = new ArrayList<>();
    for (Prop prop : plan.display().props()) {
      int pixels = prop.pieces().stream().mapToInt(SummarySheet::pixelsOf).sum();
      long strings = prop.pieces().stream().filter(PixelString.class::isInstance).count();
      rows.add(
          List.of(
              Cell.of(prop.name()),
              Cell.of(plan.zoneName(prop.zone())),
              Cell.of((long) prop.pieces().size()),
              Cell.of(strings),
              Cell.of((long) pixels),
              Cell.of(hung(prop))));
    }
    return new Table(
        "Props",
        List.of(
            Column.of("Prop"),
            Column.of("Zone"),
            Column.of("Pieces"),
            Column.of("Strings"),
            Column.of("Pixels"),
            Column.of("On")),
        rows,
        "");
  }

  private String hung(Prop prop) {
    return prop.pieces().stream()
        .map(Piece::id)
        .flatMap(id -> plan.leg(id).stream())
        .map(leg -> plan.written(leg.port()))
        .distinct()
        .collect(Collectors.joining(", "));
  }

  private Table strings(Progress progress) {
    List<List<Cell>> rows = new ArrayList<>();
    for (StringAt one : progress.strings()) {
      rows.add(
          List.of(
              Cell.of(one.title()),
              Cell.of(one.zone()),
              Cell.of(one.written()),
              Cell.of(one.stage().title()),
              Cell.of(one.by()),
              Cell.of(one.trouble().map(trouble -> trouble.told()).orElse("")),
              Cell.of(one.stored().map(stored -> stored.told()).orElse(""))));
    }
    return new Table(
        "Where each string is",
        List.of(
            Column.of("String"),
            Column.of("Zone"),
            Column.of("Port"),
            Column.of("Stage"),
            Column.of("Said by"),
            Column.of("Trouble"),
            Column.of("Put away")),
        rows,
        "");
  }

  private Table loads() {
    List<List<Cell>> rows = new ArrayList<>();
    for (PortLoad load : facts.loads()) {
      rows.add(
          List.of(
              Cell.of(plan.written(load.port())),
              Cell.of((long) load.pixels()),
              Cell.of((long) load.nullPixels()),
              Cell.of((long) load.limit()),
              Cell.of(load.framesPerSecond()),
              Cell.of(load.amps()),
              Cell.of(load.fullAmps()),
              load.fuseAmps().map(Cell::entered).orElse(Cell.of(""))));
    }
    for (SupplyLoad load : facts.site().supplies()) {
      rows.add(
          List.of(
              Cell.of(load.supply().name()),
              Cell.of(""),
              Cell.of(""),
              Cell.of(""),
              Cell.of(""),
              Cell.of(load.amps()),
              Cell.of(load.fullAmps()),
              Cell.entered(load.supply().amps())));
    }
    return new Table(
        "Loads",
        List.of(
            Column.of("Port or supply"),
            Column.of("Pixels"),
            Column.of("Null pixels"),
            Column.of("Limit"),
            new Column("Frames", "1/s"),
            new Column("Planned", "A"),
            new Column("At 100 %", "A"),
            new Column("Fuse or rating", "A")),
        rows,
        "");
  }

  private Table feeds() {
    List<List<Cell>> rows = new ArrayList<>();
    for (ControllerFacts own : facts.controllers()) {
      for (RunFacts run : own.runs()) {
        if (run.port().kind() == PortKind.PIXEL) {
          run.power().stream()
              .flatMap(power -> power.feeds())
              .forEach(feed -> rows.add(feed(run, feed)));
        }
      }
    }
    return new Table(
        "Feeds",
        List.of(
            Column.of("Port"),
            Column.of("At"),
            Column.of("Before place"),
            Column.of("Supply"),
            new Column("Gives", "V"),
            Column.of("Wire"),
            new Column("Lead", "m"),
            new Column("Fuse", "A"),
            new Column("Planned", "A"),
            new Column("At 100 %", "A")),
        rows,
        "");
  }

  private List<Cell> feed(RunFacts run, FeedLoad feed) {
    Optional<String> piece = feed.at().map(at -> plan.existingPiece(at.piece()).title());
    return List.of(
        Cell.of(plan.written(run.port())),
        Cell.of(piece.orElse("the socket")),
        Cell.of((long) feed.position()),
        Cell.of(feed.supply().map(Supply::name).orElse("")),
        Cell.entered(feed.volts()),
        Cell.of(feed.gauge().text()),
        Cell.entered(feed.lead().metres()),
        feed.fuseAmps().map(Cell::entered).orElse(Cell.of("")),
        Cell.of(feed.amps()),
        Cell.of(feed.fullAmps()));
  }
}
