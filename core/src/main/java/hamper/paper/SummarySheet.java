package hamper.paper;

import hamper.address.IpAddress;
import hamper.check.Checks;
import hamper.check.Severity;
import hamper.display.Controller;
import hamper.display.Piece;
import hamper.display.PixelString;
import hamper.display.Plan;
import hamper.display.Subnet;
import hamper.display.Wall;
import hamper.facts.ControllerFacts;
import hamper.facts.Facts;
import hamper.load.MainsLoad;
import hamper.load.SiteLoads.SupplyLoad;
import hamper.paper.Block.Cell;
import hamper.paper.Block.Column;
import hamper.paper.Block.Table;
import hamper.paper.Block.Words;
import hamper.paper.CrewSheet.Labelled;
import hamper.value.Decimals;
import java.util.ArrayList;
import java.util.List;

/** A display on one sheet: totals, network, controllers, power, and what is wrong or accepted. */
final class SummarySheet {
  private final Facts facts;
  private final Plan plan;

  private SummarySheet(Facts facts) {
    this.facts = facts;
    plan = facts.plan();
  }

  static Sheet of(Facts facts) {
    SummarySheet made = new SummarySheet(facts);
    List<Block> blocks = new ArrayList<>();
    blocks.add(made.totals());
    blocks.add(made.network());
    blocks.add(made.controllers());
    blocks.add(made.supplies());
    blocks.add(made.mains());
    blocks.add(made.open());
    blocks.add(made.accepted());
    return Sheet.of(Sheet.Kind.SUMMARY, "Summary", "", blocks);
  }

  private Block totals() {
    int strings = 0;
    int pixels = 0;
    for (var prop : plan.display().props()) {
      for (Piece piece : prop.pieces()) {
        strings += piece instanceof PixelString ? 1 : 0;
        pixels += pixelsOf(piece);
      }
    }
    long channels = facts.resolution().blocks().stream().mapToLong(one -> one.channels()).sum();
    double watts = facts.site().mains().stream().mapToDouble(MainsLoad::watts).sum();
    List<Labelled> all = new ArrayList<>();
    all.add(new Labelled("Props", "" + plan.display().props().size()));
    all.add(
        new Labelled(
            "Strings",
            "%s; %s pixels in all, walls among them"
                .formatted(Block.grouped(strings), Block.grouped(pixels))));
    all.add(new Labelled("Channels", Block.grouped(channels)));
    all.add(new Labelled("Show", plan.display().settings().framesPerSecond() + " frames a second"));
    if (!facts.site().mains().isEmpty()) {
      all.add(new Labelled("From the mains", Decimals.brief(watts) + " W at planned brightness"));
    }
    return new Block.Facts(all);
  }

  static int pixelsOf(Piece piece) {
    if (piece instanceof PixelString string) {
      return string.pixels();
    }
    return piece instanceof Wall wall ? wall.pixels() : 0;
  }

  private Block network() {
    List<List<Cell>> rows = new ArrayList<>();
    for (Subnet one : plan.display().subnets()) {
      long inside =
          plan.display().controllers().stream()
              .flatMap(controller -> controller.address().stream())
              .filter(one::contains)
              .count();
      rows.add(
          List.of(
              Cell.of(one.name()),
              Cell.of("%s/%d".formatted(one.network().text(), one.prefix())),
              Cell.of(inside)));
    }
    return new Table(
        "Network",
        List.of(Column.of("Subnet"), Column.of("Network"), Column.of("Controllers")),
        rows,
        "No subnets are planned.");
  }

  private Block controllers() {
    List<List<Cell>> rows = new ArrayList<>();
    for (ControllerFacts own : facts.controllers()) {
      Controller one = own.controller();
      int pixels =
          own.runs().stream()
              .flatMap(run -> run.run().legs().stream())
              .mapToInt(leg -> pixelsOf(leg.at().piece()))
              .sum();
      rows.add(
          List.of(
              Cell.of(one.tag()),
              Cell.of(one.name()),
              Cell.of(plan.modelOf(one).title()),
              Cell.of(one.address().map(IpAddress::text).orElse("")),
              Cell.of(one.protocol().title()),
              Cell.of(pixels)));
    }
    return new Table(
        "Controllers",
        List.of(
            Column.of("Tag"),
            Column.of("Name"),
            Column.of("Model"),
            Column.of("Address"),
            Column.of("Takes"),
            Column.of("Pixels")),
        rows,
        "No controllers yet.");
  }

  private Block supplies() {
    List<List<Cell>> rows = new ArrayList<>();
    for (SupplyLoad one : facts.site().supplies()) {
      rows.add(
          List.of(
              Cell.of(one.supply().name()),
              Cell.entered(one.supply().volts()),
              Cell.entered(one.supply().amps()),
              Cell.of(one.amps()),
              Cell.of(one.fullAmps())));
    }
    return new Table(
        "Supplies",
        List.of(
            Column.of("Supply"),
            new Column("Gives", "V"),
            new Column("Rating", "A"),
            new Column("Planned", "A"),
            new Column("At 100 %", "A")),
        rows,
        "No supplies are planned.");
  }

  private Block mains() {
    List<List<Cell>> rows = new ArrayList<>();
    for (MainsLoad one : facts.site().mains()) {
      rows.add(
          List.of(
              Cell.of(one.mains().name()),
              Cell.entered(one.mains().amps()),
              Cell.of(one.mains().watts()),
              Cell.of(one.watts()),
              Cell.of(one.fullWatts())));
    }
    return new Table(
        "Mains circuits",
        List.of(
            Column.of("Circuit"),
            new Column("Breaker", "A"),
            new Column("Gives", "W"),
            new Column("Planned", "W"),
            new Column("At 100 %", "W")),
        rows,
        "No mains circuits are planned.");
  }

  private Block open() {
    return new Words(
        "Faults and risks",
        Checks.told(facts).open().stream()
            .filter(one -> one.severity() != Severity.HINT)
            .map(one -> (one.severity() == Severity.FAULT ? "▲ fault: " : "risk: ") + one.message())
            .toList());
  }

  private Block accepted() {
    return new Words(
        "Accepted",
        plan.display().accepted().stream()
            .map(one -> "%s Because: %s".formatted(one.message(), one.reason()))
            .toList());
  }
}
