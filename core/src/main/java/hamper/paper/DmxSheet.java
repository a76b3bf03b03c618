package hamper.paper;

import hamper.catalog.PortKind;
import hamper.display.HungLeg;
import hamper.display.SlotPiece;
import hamper.facts.ControllerFacts;
import hamper.facts.Facts;
import hamper.facts.RunFacts;
import hamper.paper.Block.Cell;
import hamper.paper.Block.Column;
import hamper.paper.Block.Table;
import hamper.paper.Block.Words;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * DMX lines: what is set at each fixture, in the order of the cable, and how a line is wired.
 * Source of the wiring: ANSI E1.11 (plugs of five pins) and ANSI E1.27-2 (network plugs).
 */
final class DmxSheet {
  private static final List<String> WIRING =
      List.of(
          "Plug of five pins: 1 common, 2 data −, 3 data +; 4 and 5 are left free. Of three pins the"
              + " same, as far as they go. Each cable straight, pin to the same pin.",
          "Network plug: 1 data +, 2 data −, 7 and 8 common. To a plug of five pins: 1 to 3, 2 to 2,"
              + " 7 to 1.",
          "From fixture to fixture, never split. In the last one 120 Ω between data − and data +.");

  private DmxSheet() {}

  /** Empty where nothing hangs on any DMX line. */
  static Optional<Sheet> of(Facts facts) {
    List<Block> blocks = new ArrayList<>();
    for (ControllerFacts own : facts.controllers()) {
      for (RunFacts run : own.runs()) {
        if (run.port().kind() == PortKind.DMX && !run.run().legs().isEmpty()) {
          blocks.add(line(facts, own, run));
        }
      }
    }
    if (blocks.isEmpty()) {
      return Optional.empty();
    }
    blocks.add(new Words("Wiring", WIRING));
    return Optional.of(
        Sheet.of(Sheet.Kind.DMX, "DMX lines", "In the order of the cable, from the port.", blocks));
  }

  private static Block line(Facts facts, ControllerFacts own, RunFacts run) {
    List<List<Cell>> rows = new ArrayList<>();
    List<HungLeg> legs = run.run().legs();
    for (HungLeg leg : legs) {
      boolean last = leg.index() == legs.size() - 1;
      Optional<SlotPiece> slots =
          leg.at().piece() instanceof SlotPiece piece ? Optional.of(piece) : Optional.empty();
      rows.add(
          List.of(
              Cell.of(leg.index() + 1L),
              Cell.of(leg.at().title()),
              Cell.of(zone(facts, leg)),
              Cell.ofWhole(slots.map(SlotPiece::slot)),
              Cell.ofWhole(slots.map(SlotPiece::channels)),
              cable(facts, run, leg),
              Cell.of(last ? "120 Ω here" : "")));
    }
    String universe =
        Optional.ofNullable(own.block().dmxUniverses().get(run.port()))
            .map(number -> ", universe " + number)
            .orElse("");
    return new Table(
        facts.plan().written(run.port()) + universe,
        List.of(
            Column.of("No."),
            Column.of("Fixture"),
            Column.of("Zone"),
            Column.of("Set to slot"),
            Column.of("Slots"),
            new Column("Cable before", "m"),
            Column.of("Ends")),
        rows,
        "");
  }

  private static Cell cable(Facts facts, RunFacts run, HungLeg leg) {
    double metres = run.run().cableTo(leg, facts.plan()).metres();
    return metres > 0 ? Cell.of(metres) : Cell.of("");
  }

  private static String zone(Facts facts, HungLeg leg) {
    return leg.at()
        .prop()
        .zone()
        .flatMap(id -> facts.plan().zones().find(id))
        .map(zone -> zone.name())
        .orElse("");
  }
}
