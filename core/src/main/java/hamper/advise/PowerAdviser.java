package hamper.advise;

import static hamper.check.Subject.Kind.MAINS;
import static hamper.check.Subject.Kind.SUPPLY;

import hamper.catalog.Gauge;
import hamper.check.Finding;
import hamper.check.Subject;
import hamper.display.Conductor;
import hamper.display.Controller;
import hamper.display.Feed;
import hamper.display.Leg;
import hamper.display.LegAt;
import hamper.display.MainsCircuit;
import hamper.display.PixelString;
import hamper.display.Plan;
import hamper.display.Run;
import hamper.display.Supply;
import hamper.display.Whereabouts;
import hamper.edit.Edit;
import hamper.edit.EditsBetween;
import hamper.edit.PutSupply;
import hamper.edit.SetFeed;
import hamper.edit.SetLegs;
import hamper.edit.Together;
import hamper.facts.Facts;
import hamper.load.FeedLoad;
import hamper.load.Island;
import hamper.load.MainsLoad;
import hamper.load.RunPower;
import hamper.load.SiteLoads;
import hamper.value.RecordShape;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import java.util.stream.Stream;

/** Puts joints, fuses, leads and supplies right. */
final class PowerAdviser implements Adviser {
  @Override
  public Stream<Edit> think(Facts facts, Finding finding) {
    Subject main = finding.subjects().get(0);
    Plan plan = facts.plan();
    return switch (finding.code()) {
      case "data-cut" -> joined(plan, main, Conductor.DATA);
      case "common-negative" -> joined(plan, main, Conductor.NEGATIVE);
      case "no-feed" -> joined(plan, main, Conductor.POSITIVE);
      case "supplies-joined" -> Stream.concat(oneSupply(facts, main), cut(facts, main));
      case "supply-unknown" -> named(facts, main);
      case "supply-voltage" -> otherSupply(facts, main);
      case "fuse-wire" -> smallerFuse(plan, main, finding.allowed().number().orElseThrow());
      case "fuse-short" -> Stream.concat(blowingFuse(plan, main, finding), thickerLead(plan, main));
      case "ground-shift" -> thickerLead(plan, main);
      case "supply-load" -> larger(facts, main);
      case "mains-load", "leakage", "switch-on" -> otherMains(facts, main);
      case "two-mains" -> enclosureMains(plan, main);
      default -> Stream.empty();
    };
  }

  /** The conductor let through the joint. */
  private static Stream<Edit> joined(Plan plan, Subject main, Conductor conductor) {
    return leg(plan, main)
        .filter(leg -> leg.cut().contains(conductor))
        .map(
            leg ->
                SetLegs.between(
                    leg, leg.withCut(leg.cut().stream().filter(one -> one != conductor).toList())));
  }

  private static Stream<Leg> leg(Plan plan, Subject subject) {
    return subject.piece().flatMap(plan::leg).map(LegAt::leg).stream();
  }

  private static Stream<RunPower> power(Facts facts, Subject main) {
    return facts.power().stream().filter(run -> main.port().equals(Optional.of(run.port())));
  }

  /** Positive cut at the joint before the first string that another supply feeds. */
  private static Stream<Edit> cut(Facts facts, Subject main) {
    return leg(facts.plan(), main)
        .map(
            leg ->
                SetLegs.between(
                    leg,
                    leg.withCut(
                        Stream.concat(leg.cut().stream(), Stream.of(Conductor.POSITIVE))
                            .toList())));
  }

  /** All feeds of the run on the supply that comes first. */
  private static Stream<Edit> oneSupply(Facts facts, Subject main) {
    return power(facts, main)
        .flatMap(
            run ->
                run.feeds()
                    .flatMap(feed -> feed.supply().stream())
                    .limit(1)
                    .map(supply -> allOn(facts.plan(), run, supply)));
  }

  private static Edit allOn(Plan plan, RunPower power, Supply supply) {
    Controller controller = plan.existingController(power.port().controller());
    Run run = controller.run(power.port().kind(), power.port().port()).orElseThrow();
    List<Edit> edits = new ArrayList<>();
    for (Leg leg : run.legs()) {
      if (!leg.feeds().isEmpty()) {
        edits.addAll(feeds(leg, feed -> on(feed, supply)));
      }
    }
    return new Together(
        "Feed %s from %s alone".formatted(plan.written(power.port()), shortened(supply)), edits);
  }

  private static String shortened(Supply supply) {
    return supply.name().length() > 40 ? supply.name().substring(0, 40) : supply.name();
  }

  private static List<Edit> feeds(Leg leg, UnaryOperator<Feed> change) {
    return SetFeed.between(leg, leg.withFeeds(leg.feeds().stream().map(change).toList()));
  }

  private static Feed on(Feed feed, Supply supply) {
    return RecordShape.with(feed, "supply", supply.id());
  }

  /** The supply that the other feeds of those runs come from. */
  private static Stream<Edit> named(Facts facts, Subject main) {
    Controller controller = facts.plan().existingController(main.controller().orElseThrow());
    return facts.power().stream()
        .filter(run -> run.port().controller().equals(controller.id()))
        .flatMap(run -> run.islands().stream())
        .flatMap(
            island ->
                island.feeds().stream()
                    .flatMap(feed -> feed.supply().stream())
                    .distinct()
                    .flatMap(supply -> named(controller, island, supply)))
        .map(after -> EditsBetween.fields(controller, after));
  }

  private static Stream<Controller> named(Controller controller, Island island, Supply supply) {
    return island.feeds().stream()
        .filter(feed -> feed.supply().isEmpty())
        .flatMap(feed -> feed.input().stream())
        .map(input -> controller.withSupply(input, supply.id()));
  }

  /** Feeds and inputs of wrong voltage on a supply of the right one, new where there is none. */
  private static Stream<Edit> otherSupply(Facts facts, Subject main) {
    Plan plan = facts.plan();
    if (main.port().isEmpty()) {
      Controller controller = plan.existingController(main.controller().orElseThrow());
      return Stream.of(EditsBetween.fields(controller, controller.withPowered(List.of())));
    }
    Controller controller = plan.existingController(main.port().get().controller());
    double volts =
        plan.typeOf((PixelString) plan.existingPiece(main.piece().orElseThrow()).piece()).volts();
    List<Edit> edits = new ArrayList<>();
    Supply right =
        plan.display().power().supplies().stream()
            .filter(supply -> supply.volts() == volts)
            .findFirst()
            .orElseGet(
                () -> {
                  Supply made = NewSupply.forController(plan, controller, volts);
                  edits.add(new PutSupply(made));
                  return made;
                });
    return power(facts, main)
        .map(
            run -> {
              Controller powered = controller;
              for (FeedLoad feed : run.feeds().filter(one -> one.volts() != volts).toList()) {
                if (feed.input().isPresent()) {
                  powered = powered.withSupply(feed.input().get(), right.id());
                }
              }
              edits.addAll(EditsBetween.of(controller, powered));
              run.feeds()
                  .flatMap(feed -> feed.at().stream())
                  .map(FeedLoad.FeedRef::piece)
                  .distinct()
                  .map(piece -> plan.leg(piece).orElseThrow().leg())
                  .forEach(
                      leg ->
                          edits.addAll(
                              feeds(
                                  leg,
                                  feed ->
                                      plan.existingSupply(feed.supply()).volts() == volts
                                          ? feed
                                          : on(feed, right))));
              return new Together(
                  "Feed %s from %s".formatted(plan.written(run.port()), shortened(right)), edits);
            });
  }

  /** The largest fuse that is sold and that the short circuit blows. */
  private static Stream<Edit> blowingFuse(Plan plan, Subject main, Finding finding) {
    double most = finding.found().number().orElseThrow() / 2;
    return FeedPlanner.FUSES.stream()
        .filter(amps -> amps <= most)
        .max(Comparator.naturalOrder())
        .stream()
        .flatMap(amps -> smallerFuse(plan, main, amps));
  }

  /** Fuses no larger than allowed (A). */
  private static Stream<Edit> smallerFuse(Plan plan, Subject main, double allowed) {
    return leg(plan, main)
        .filter(leg -> !leg.feeds().isEmpty())
        .map(leg -> feeds(leg, feed -> withFuse(feed, allowed)))
        .filter(edits -> !edits.isEmpty())
        .map(edits -> EditsBetween.together("Put in smaller fuses", edits));
  }

  private static Feed withFuse(Feed feed, double most) {
    double fuse = Math.min(most, feed.fuseAmps().orElse(most));
    return RecordShape.with(feed, "fuseAmps", Optional.of(fuse));
  }

  /** The next thicker wires, one after another. */
  private static Stream<Edit> thickerLead(Plan plan, Subject main) {
    Stream<Gauge> thicker = Stream.of(16, 14, 12).map(Gauge::awg);
    if (main.piece().isPresent()) {
      return thicker.flatMap(
          gauge ->
              leg(plan, main)
                  .map(
                      leg ->
                          feeds(leg, feed -> RecordShape.with(feed, "gauge", Optional.of(gauge))))
                  .filter(edits -> !edits.isEmpty())
                  .map(edits -> EditsBetween.together("Use thicker leads", edits)));
    }
    var port = main.port().orElseThrow();
    Leg first =
        plan.existingController(port.controller())
            .run(port.kind(), port.port())
            .orElseThrow()
            .legs()
            .get(0);
    return thicker.map(
        gauge ->
            SetLegs.between(
                first, first.withGap(first.nullPixels(), first.cableMetres(), Optional.of(gauge))));
  }

  /** The smallest supply that is sold and gives it. */
  private static Stream<Edit> larger(Facts facts, Subject main) {
    return facts.site().supplies().stream()
        .filter(load -> main.part(SUPPLY).equals(Optional.of(load.supply().id())))
        .flatMap(
            load ->
                NewSupply.rating(load.amps() / SiteLoads.PLANNED_SHARE).stream()
                    .map(
                        rating ->
                            EditsBetween.fields(load.supply(), load.supply().withAmps(rating))));
  }

  /** The largest supply that helps, on the mains circuit with most to spare. */
  private static Stream<Edit> otherMains(Facts facts, Subject main) {
    Optional<MainsCircuit> free =
        facts.site().mains().stream()
            .filter(load -> !main.part(MAINS).equals(Optional.of(load.mains().id())))
            .max(Comparator.comparingDouble(load -> load.mains().watts() - load.watts()))
            .map(MainsLoad::mains);
    return facts.site().supplies().stream()
        .filter(load -> Whereabouts.mains(facts.plan(), load.supply()).equals(main.part(MAINS)))
        .sorted(Comparator.comparingDouble(SiteLoads.SupplyLoad::amps))
        .flatMap(
            load ->
                free.stream()
                    .map(
                        circuit ->
                            EditsBetween.fields(
                                load.supply(),
                                load.supply().withMains(Optional.of(circuit.id())))));
  }

  /** On the mains circuit that comes into its enclosure. */
  private static Stream<Edit> enclosureMains(Plan plan, Subject main) {
    Supply supply = plan.existingSupply(main.part(SUPPLY).orElseThrow());
    return Stream.of(EditsBetween.fields(supply, supply.withMains(Optional.empty())));
  }
}
