package hamper.advise;

import hamper.check.Finding;
import hamper.display.Cable;
import hamper.display.Controller;
import hamper.display.Feed;
import hamper.display.HungRun;
import hamper.display.Plan;
import hamper.display.PortRef;
import hamper.display.Run;
import hamper.display.Supply;
import hamper.display.Whereabouts;
import hamper.edit.AddFeeds;
import hamper.edit.Edit;
import hamper.edit.EditsBetween;
import hamper.edit.PutSupply;
import hamper.edit.Together;
import hamper.facts.Facts;
import hamper.load.FeedLoad;
import hamper.load.RunPower;
import hamper.load.RunPowers;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * Adds the fewest feeds: at joints, where a plug is opened anyway; soldered in between pixels where
 * joints do not do.
 */
final class FeedAdviser implements Adviser {
  /** Of a new feed's lead, where zones tell nothing (m). */
  private static final double LEAD_METRES = 2;

  @Override
  public Stream<Edit> think(Facts facts, Finding finding) {
    return finding
        .ports()
        .limit(1)
        .flatMap(
            port ->
                feeds(facts.plan(), port, finding.code().equals("feed-lost") ? ONE_LOST : WAYS));
  }

  @Override
  public int most() {
    return 2;
  }

  private record Way(FeedPlanner.Goal goal, boolean joints) {}

  private static final List<Way> WAYS =
      List.of(
          new Way(FeedPlanner.Goal.ALL, true),
          new Way(FeedPlanner.Goal.PLANNED, true),
          new Way(FeedPlanner.Goal.ALL, false));

  private static final List<Way> ONE_LOST =
      List.of(new Way(FeedPlanner.Goal.ONE_LOST, true), new Way(FeedPlanner.Goal.ONE_LOST, false));

  private static final List<Way> THOROUGH =
      List.of(
          new Way(FeedPlanner.Goal.ALL, true),
          new Way(FeedPlanner.Goal.ALL, false),
          new Way(FeedPlanner.Goal.PLANNED, true),
          new Way(FeedPlanner.Goal.PLANNED, false));

  /** The edit that sets a run right as far as feeds can, at joints if that will do. */
  static Optional<Together> best(Plan plan, PortRef port) {
    return feeds(plan, port, THOROUGH).findFirst();
  }

  /** Edits that add feeds to a run, the one with the easiest work first. */
  private static Stream<Together> feeds(Plan plan, PortRef port, List<Way> ways) {
    Controller controller = plan.existingController(port.controller());
    Optional<HungRun> run = plan.run(port).filter(HungRun::carriesPixels);
    if (run.isEmpty()) {
      return Stream.empty();
    }
    List<Edit> prepare = new ArrayList<>();
    Supply supply = supply(plan, controller, run.get(), prepare);
    Plan prepared = prepare.isEmpty() ? plan : new Together("-", prepare).applyTo(plan).plan();
    return ways.stream()
        .flatMap(way -> feeds(prepared, port, supply, way).stream())
        .map(edits -> together(plan, port, prepare, edits));
  }

  private static Optional<List<Edit>> feeds(Plan plan, PortRef port, Supply supply, Way way) {
    Controller controller = plan.existingController(port.controller());
    HungRun run = plan.run(port).orElseThrow();
    boolean known =
        Cable.metresBetween(
                plan, Whereabouts.zone(plan, supply), Whereabouts.zone(plan, controller))
            .filter(metres -> metres > 0)
            .isPresent();
    Feed pattern =
        new Feed(
            supply.id(),
            1,
            known ? Optional.empty() : Optional.of(LEAD_METRES),
            Optional.empty(),
            Optional.empty());
    List<FeedPlanner.Place> places =
        way.joints() ? FeedPlanner.joints(run) : FeedPlanner.between(run);
    return FeedPlanner.fewest(plan, run, pattern, way.goal(), places)
        .map(changed -> edits(run.run(), changed));
  }

  private static List<Edit> edits(Run before, Run after) {
    List<Edit> edits = new ArrayList<>();
    for (int i = 0; i < before.legs().size(); i++) {
      edits.addAll(EditsBetween.feeds(before.legs().get(i), after.legs().get(i)));
    }
    return edits;
  }

  private static Together together(Plan plan, PortRef port, List<Edit> prepare, List<Edit> edits) {
    int count =
        edits.stream()
            .mapToInt(edit -> edit instanceof AddFeeds added ? added.feeds().size() : -1)
            .sum();
    String title =
        "Add %s to %s".formatted(count == 1 ? "a feed" : count + " feeds", plan.written(port));
    return new Together(title, Stream.concat(prepare.stream(), edits.stream()).toList());
  }

  /** The supply that feeds the run already; else one for the controller, old or new. */
  private static Supply supply(Plan plan, Controller controller, HungRun run, List<Edit> prepare) {
    RunPower power = RunPowers.of(plan, run);
    Optional<Supply> own = power.ownFeed().flatMap(feed -> feed.supply());
    if (own.isPresent()) {
      return own.get();
    }
    double volts = run.legs().get(0).at().pixels().volts();
    Supply chosen =
        power
            .feeds()
            .flatMap(feed -> feed.supply().stream())
            .findFirst()
            .or(() -> ofController(plan, controller, volts))
            .orElseGet(
                () -> {
                  Supply made = NewSupply.forController(plan, controller, volts);
                  prepare.add(new PutSupply(made));
                  return made;
                });
    Controller powered = controller;
    for (FeedLoad feed : power.feeds().toList()) {
      if (feed.supply().isEmpty() && feed.input().isPresent()) {
        powered = powered.withSupply(feed.input().get(), chosen.id());
      }
    }
    prepare.addAll(EditsBetween.of(controller, powered));
    return chosen;
  }

  /** One that feeds another input of the controller. */
  private static Optional<Supply> ofController(Plan plan, Controller controller, double volts) {
    return controller.powered().stream()
        .map(one -> plan.existingSupply(one.supply()))
        .filter(supply -> supply.volts() == volts)
        .findFirst();
  }
}
