package hamper.paper;

import hamper.display.HungLeg;
import hamper.display.HungRun;
import hamper.display.Plan;
import hamper.display.Tag;
import hamper.paper.Block.Cell;
import hamper.paper.Block.Column;
import hamper.paper.Block.Table;
import hamper.progress.Progress;
import hamper.progress.Progress.StringAt;
import hamper.progress.StringFact.Condition;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * The list for January: what is taken down, zone by zone and in the order of the wire, with room to
 * write what it is good for and where it is put; and what of it follows for spring and next year.
 */
final class TakeDownSheet {
  private static final List<Column> COLUMNS =
      List.of(
          Column.of("Tag"),
          Column.of("String"),
          Column.of("Unplug from"),
          Column.of("Trouble"),
          Column.of("Good for"),
          Column.of("Put where"));

  private TakeDownSheet() {}

  static Sheet of(Plan plan, Progress progress) {
    Map<String, StringAt> strings = progress.byPiece();
    Map<Tag.On, String> tags = plan.display().workshop().byThing();
    Map<String, List<List<Cell>>> zones = new LinkedHashMap<>();
    plan.display().zones().forEach(zone -> zones.put(zone.name(), new ArrayList<>()));
    for (String piece : inWireOrder(plan, progress)) {
      StringAt one = strings.get(piece);
      if (one != null) {
        zones
            .computeIfAbsent(
                one.zone().isEmpty() ? "No zone" : one.zone(), key -> new ArrayList<>())
            .add(row(one, tags.getOrDefault(Tag.On.string(piece), "")));
      }
    }
    List<Block> blocks = new ArrayList<>();
    zones.forEach(
        (zone, rows) -> {
          if (!rows.isEmpty()) {
            blocks.add(new Table(zone, COLUMNS, rows, ""));
          }
        });
    blocks.add(kept("To repair in spring", progress, tags, Condition.REPAIR));
    blocks.add(kept("Scrap, to be bought anew", progress, tags, Condition.SCRAP));
    blocks.add(kept("Take out next year", progress, tags, Condition.GOOD));
    return Sheet.of(
        Sheet.Kind.TAKE_DOWN,
        "Take-down list",
        "By zone, from each port along the wire. Write beside each string: good, repair or scrap,"
            + " and where it is put.",
        blocks);
  }

  private static List<Cell> row(StringAt one, String tag) {
    return List.of(
        Cell.of(tag),
        Cell.of(one.title()),
        Cell.of(one.written()),
        Cell.of(one.trouble().map(trouble -> trouble.reason()).orElse("")),
        Cell.of(one.stored().map(stored -> stored.condition().title()).orElse("")),
        Cell.of(one.stored().map(stored -> stored.place()).orElse("")));
  }

  /** Strings along their wires, and then those that hang nowhere. */
  private static Set<String> inWireOrder(Plan plan, Progress progress) {
    Set<String> order = new LinkedHashSet<>();
    for (HungRun run : (Iterable<HungRun>) plan.pixelRuns()::iterator) {
      for (HungLeg leg : run.legs()) {
        order.add(leg.at().piece().id());
      }
    }
    progress.strings().forEach(one -> order.add(one.piece()));
    return order;
  }

  private static Block kept(
      String title, Progress progress, Map<Tag.On, String> tags, Condition condition) {
    List<List<Cell>> rows = new ArrayList<>();
    for (StringAt one : progress.strings()) {
      one.stored()
          .filter(stored -> stored.condition() == condition)
          .ifPresent(
              stored ->
                  rows.add(
                      List.of(
                          Cell.of(tags.getOrDefault(Tag.On.string(one.piece()), "")),
                          Cell.of(one.title()),
                          Cell.of(one.zone()),
                          Cell.of(stored.place()))));
    }
    return new Table(
        title,
        List.of(Column.of("Tag"), Column.of("String"), Column.of("Zone"), Column.of("Lies in")),
        rows,
        "Nothing has been put away so.");
  }
}
