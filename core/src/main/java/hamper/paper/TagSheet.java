package hamper.paper;

import hamper.catalog.Banks;
import hamper.display.Controller;
import hamper.display.Feed;
import hamper.display.HungLeg;
import hamper.display.HungRun;
import hamper.display.Leg;
import hamper.display.Plan;
import hamper.display.Tag;
import hamper.display.Tagged;
import hamper.paper.Block.Cell;
import hamper.paper.Block.Column;
import hamper.paper.Block.Table;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Tags of strings and cables, with what they are on and where it is plugged in now. */
public final class TagSheet {
  /**
   * A tag as it stands on labels.
   *
   * @param what it is on
   * @param from where its near end is plugged in now, such as K1-7; empty where nowhere
   * @param to what is at its far end; empty for a string
   * @param gone whether the thing has left the plan
   */
  public record Row(Tag tag, String what, String from, String to, boolean gone) {}

  private TagSheet() {}

  /** Of each tag, in the order in which they were given. */
  public static List<Row> rows(Plan plan) {
    Map<Tag.On, String> things = Tagged.things(plan);
    Map<String, String> plugged = new HashMap<>();
    for (HungRun run : (Iterable<HungRun>) plan.runs()::iterator) {
      String before = run.written();
      for (HungLeg leg : run.legs()) {
        String box = run.boxes() ? " box " + Banks.letter(leg.box()) : "";
        plugged.put(leg.at().piece().id(), leg.index() == 0 ? before + box : "after " + before);
        before = leg.at().title();
      }
    }
    List<Row> rows = new ArrayList<>();
    List<Tag> all = new ArrayList<>(plan.display().workshop().tags());
    Tagged.leads(plan).forEach((on, text) -> all.add(Tag.of(text, on, Tagged.nameOf(plan, on))));
    for (Tag tag : all) {
      String now = things.get(tag.on());
      rows.add(
          switch (tag.kind()) {
            case STRING -> row(tag, now, plugged.getOrDefault(tag.of(), ""), Optional.empty());
            case CABLE ->
                row(
                    tag,
                    now,
                    plugged.getOrDefault(tag.of(), ""),
                    plan.piece(tag.of()).map(at -> at.title()));
            case LEAD -> lead(plan, tag);
            case BANK ->
                row(
                    tag,
                    now,
                    plan.controller(tag.of()).map(Controller::tag).orElse("")
                        + " bank "
                        + tag.bank().orElse(0),
                    tag.box().map(box -> "box " + Banks.letter(box)));
          });
    }
    return rows;
  }

  private static Row lead(Plan plan, Tag tag) {
    Leg leg = plan.leg(tag.of()).orElseThrow().leg();
    Feed feed = leg.feeds().get(tag.bank().orElseThrow() - 1);
    String to = "%s, pixel %d".formatted(plan.existingPiece(tag.of()).title(), feed.position());
    return new Row(tag, tag.name(), plan.existingSupply(feed.supply()).name(), to, false);
  }

  private static Row row(Tag tag, String now, String from, Optional<String> to) {
    return new Row(tag, now == null ? tag.name() : now, from, to.orElse(""), now == null);
  }

  static Sheet of(Plan plan) {
    List<List<Cell>> rows = new ArrayList<>();
    for (Row row : rows(plan)) {
      rows.add(
          List.of(
              Cell.of(row.tag().text()),
              Cell.of(row.what()),
              Cell.of(row.gone() ? "gone from the plan" : row.from()),
              Cell.of(row.to())));
    }
    return Sheet.of(
        Sheet.Kind.TAGS,
        "Tags",
        "A tag belongs to its string or cable and stays when that moves; where it is plugged in now"
            + " stands beside it.",
        List.of(
            new Table(
                "",
                List.of(
                    Column.of("Tag"),
                    Column.of("On"),
                    Column.of("Plugged into"),
                    Column.of("Leads to")),
                rows,
                "Nothing has a tag yet.")));
  }
}
