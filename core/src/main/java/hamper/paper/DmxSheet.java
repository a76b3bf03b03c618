package hamper.paper;

import hamper.catalog.Plug;
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
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** DMX lines: what is set at each fixture, in the order of the cable, and how a line is wired. */
final class DmxSheet {
  private static final String CHAIN =
      "From fixture to fixture, never split. In the last one 120 Ω between data − and data +.";

  private DmxSheet() {}

  /** Empty where nothing hangs on any DMX line. */
  static Optional<Sheet> of(Facts facts) {
    List<Block> blocks = new ArrayList<>();
    for (ControllerFacts own : facts.controllers()) {
      for (RunFacts run : own.runs()) {
        if (run.port().kind() == PortKind.DMX && !run.run().legs().isEmpty()) {
          blocks.add(line(facts, own, run));
          blocks.add(new Words("", List.of(cable(facts, run))));
        }
      }
    }
    if (blocks.isEmpty()) {
      return Optional.empty();
    }
    blocks.add(new Words("Every line", List.of(CHAIN)));
    return Optional.of(
        Sheet.of(Sheet.Kind.DMX, "DMX lines", "In the order of the cable, from the port.", blocks));
  }

  /** How the first cable is wired, as the model tells its plug. */
  private static String cable(Facts facts, RunFacts run) {
    Optional<Plug> plug =
        facts.plan().modelOf(run.run().controller()).ports().stream()
            .filter(group -> group.kind() == PortKind.DMX)
            .flatMap(group -> group.plug().stream())
            .findFirst();
    return plug.map(one -> "Leaves by a %s. Cable %s.".formatted(one.title(), one.cable()))
        .orElse(
            "Nobody told by what plug the line leaves the device. "
                + Stream.of(Plug.values())
                    .map(one -> "A %s: %s.".formatted(one.title(), one.cable()))
                    .collect(Collectors.joining(" ")));
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
              Cell.of(facts.plan().zoneName(leg.at().prop().zone())),
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
}
