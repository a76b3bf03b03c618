package hamper.paper;

import hamper.address.IpAddress;
import hamper.display.Controller;
import hamper.display.Enclosure;
import hamper.display.Link;
import hamper.display.Plan;
import hamper.display.PortRef;
import hamper.display.Supply;
import hamper.facts.ControllerFacts;
import hamper.facts.Facts;
import hamper.facts.RunFacts;
import hamper.load.SiteLoads.SupplyLoad;
import hamper.paper.Block.Cell;
import hamper.paper.Block.Column;
import hamper.paper.Block.Table;
import hamper.paper.CrewSheet.Labelled;
import hamper.value.Decimals;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;

/** For the inside of an enclosure's door: what is in it, what feeds it, and what leaves it. */
final class LidSheets {
  private final Facts facts;
  private final Plan plan;

  private LidSheets(Facts facts) {
    this.facts = facts;
    plan = facts.plan();
  }

  static List<Sheet> of(Facts facts) {
    LidSheets all = new LidSheets(facts);
    return facts.plan().display().enclosures().stream().map(all::sheet).toList();
  }

  private Sheet sheet(Enclosure box) {
    List<Block> blocks = List.of(facts(box), devices(box), sockets(box), supplies(box), links(box));
    return new Sheet(
        "lid-" + box.id(), Sheet.Kind.LID, "Lid of " + box.name(), Optional.empty(), "", blocks);
  }

  private Block facts(Enclosure box) {
    List<Labelled> all = new ArrayList<>();
    box.zone()
        .flatMap(id -> plan.zones().find(id))
        .ifPresent(zone -> all.add(new Labelled("Zone", zone.name())));
    box.mains()
        .flatMap(id -> plan.mains().find(id))
        .ifPresent(
            mains ->
                all.add(
                    new Labelled(
                        "Mains circuit",
                        "%s, breaker %s A".formatted(mains.name(), Decimals.rated(mains.amps())))));
    if (!box.switches().isEmpty()) {
      all.add(
          new Labelled(
              "Network switches",
              box.switches().stream()
                  .map(ports -> ports + " ports")
                  .collect(Collectors.joining(", "))));
    }
    return new Block.Facts(all);
  }

  private List<ControllerFacts> in(Enclosure box) {
    return facts.controllers().stream()
        .filter(own -> own.controller().settings().enclosure().equals(Optional.of(box.id())))
        .toList();
  }

  private Block devices(Enclosure box) {
    List<List<Cell>> rows = new ArrayList<>();
    for (ControllerFacts own : in(box)) {
      Controller one = own.controller();
      rows.add(
          List.of(
              Cell.of(one.tag()),
              Cell.of(one.name()),
              Cell.of(plan.modelOf(one).title()),
              Cell.of(one.address().map(IpAddress::text).orElse("none")),
              Cell.of(universes(own))));
    }
    return new Table(
        "In it",
        List.of(
            Column.of("Tag"),
            Column.of("Name"),
            Column.of("Model"),
            Column.of("Address"),
            Column.of("Universes")),
        rows,
        "No controllers are in it.");
  }

  static String universes(ControllerFacts own) {
    int count = own.block().flowingUniverses();
    return own.block()
        .firstUniverse()
        .map(first -> count <= 1 ? "" + first : first + "–" + (first + count - 1))
        .orElse("");
  }

  private Block sockets(Enclosure box) {
    List<List<Cell>> rows = new ArrayList<>();
    for (ControllerFacts own : in(box)) {
      for (RunFacts run : own.runs()) {
        if (!run.run().legs().isEmpty()) {
          rows.add(socket(run));
        }
      }
    }
    return new Table(
        "Leaves it by",
        List.of(
            Column.of("Port"),
            Column.of("Leads to"),
            Column.of("Pixels"),
            new Column("Planned", "A")),
        rows,
        "Nothing is plugged in here.");
  }

  private List<Cell> socket(RunFacts run) {
    PortRef port = run.port();
    return List.of(
        Cell.of(plan.written(port)),
        Cell.of(
            run.run().legs().stream()
                .map(leg -> leg.at().title())
                .collect(Collectors.joining(" → "))),
        Cell.of(
            run.run().legs().stream()
                .mapToInt(leg -> SummarySheet.pixelsOf(leg.at().piece()))
                .sum()),
        run.load().map(load -> Cell.of(load.amps())).orElse(Cell.of("")));
  }

  private Block supplies(Enclosure box) {
    List<List<Cell>> rows = new ArrayList<>();
    for (SupplyLoad one : facts.site().supplies()) {
      Supply supply = one.supply();
      if (supply.enclosure().equals(Optional.of(box.id()))) {
        rows.add(
            List.of(
                Cell.of(supply.name()),
                Cell.entered(supply.volts()),
                Cell.entered(supply.amps()),
                Cell.of(one.amps()),
                Cell.of(fed(supply))));
      }
    }
    return new Table(
        "Supplies",
        List.of(
            Column.of("Supply"),
            new Column("Gives", "V"),
            new Column("Rating", "A"),
            new Column("Planned", "A"),
            Column.of("Feeds")),
        rows,
        "No supplies are in it.");
  }

  private String fed(Supply supply) {
    return plan.display().controllers().stream()
        .flatMap(
            one ->
                one.powered().stream()
                    .filter(input -> input.supply().equals(supply.id()))
                    .map(input -> one.tag() + " " + input.socket().title()))
        .collect(Collectors.joining(", "));
  }

  private Block links(Enclosure box) {
    List<List<Cell>> rows = new ArrayList<>();
    for (Link one : plan.display().links()) {
      if (one.touches(box.id())) {
        String other = one.from().equals(box.id()) ? one.to() : one.from();
        rows.add(
            List.of(
                Cell.of(one.name()),
                Cell.of(plan.enclosures().find(other).map(Enclosure::name).orElse("")),
                Cell.of(one.kind() == Link.Kind.COPPER ? "copper" : "fibre"),
                one.metres().map(Cell::entered).orElse(Cell.of(""))));
      }
    }
    return new Table(
        "Network cables",
        List.of(
            Column.of("Cable"), Column.of("Leads to"), Column.of("Of"), new Column("Length", "m")),
        rows,
        "No network cable leads to it.");
  }
}
