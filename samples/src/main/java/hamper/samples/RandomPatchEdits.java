package hamper.samples;

import hamper.catalog.Gauge;
import hamper.catalog.PortKind;
import hamper.display.Conductor;
import hamper.display.Feed;
import hamper.display.Leg;
import hamper.display.Piece;
import hamper.display.PixelString;
import hamper.display.Plan;
import hamper.display.PortRef;
import hamper.edit.Edit;
import hamper.edit.EditsBetween;
import hamper.edit.PatchAcross;
import hamper.edit.PatchNearest;
import hamper.edit.PatchPieces;
import hamper.edit.SetLegs;
import hamper.edit.UnpatchPieces;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;

/** What random planners do to what hangs on ports. */
final class RandomPatchEdits {
  private final Choice choice;

  RandomPatchEdits(Choice choice) {
    this.choice = choice;
  }

  List<Function<Plan, Edit>> kinds() {
    return List.of(
        this::patch,
        this::patch,
        this::unpatch,
        this::nearest,
        this::across,
        this::mirror,
        this::gap,
        this::joint,
        this::feeds,
        this::feeds,
        this::box);
  }

  Edit patch(Plan plan) {
    PortRef port =
        new PortRef(choice.controller(plan).id(), PortKind.PIXEL, 1 + choice.random().nextInt(12));
    return new PatchPieces(List.of(choice.piece(plan).id()), port, Optional.empty());
  }

  private Edit unpatch(Plan plan) {
    return new UnpatchPieces(List.of(choice.piece(plan).id()));
  }

  private Edit nearest(Plan plan) {
    return new PatchNearest(List.of(choice.piece(plan).id(), choice.piece(plan).id()));
  }

  private Edit across(Plan plan) {
    return new PatchAcross(
        choice.one(plan.display().props()).pieces().stream().map(Piece::id).toList(),
        choice.controller(plan).id(),
        Optional.empty());
  }

  private Edit mirror(Plan plan) {
    return SetLegs.mirror(choice.string(plan).id(), Optional.of(choice.string(plan).id()));
  }

  Edit gap(Plan plan) {
    Leg leg = choice.leg(plan);
    return SetLegs.between(
        leg,
        leg.withGap(
            choice.random().nextInt(4),
            Optional.of((double) choice.random().nextInt(20)),
            Optional.of(Gauge.awg(14 + 2 * choice.random().nextInt(5)))));
  }

  private Edit joint(Plan plan) {
    Leg leg = choice.leg(plan);
    return SetLegs.between(leg, leg.withCut(List.of(choice.one(List.of(Conductor.values())))));
  }

  private Edit feeds(Plan plan) {
    PixelString string = choice.string(plan);
    Leg leg = choice.one(plan.leg(string.id()).stream().toList()).leg();
    String supply = choice.one(plan.supplies().all()).id();
    Feed feed =
        new Feed(
            supply,
            1 + choice.random().nextInt(string.places()),
            Optional.of(1.0 + choice.random().nextInt(5)),
            Optional.empty(),
            Optional.of(1.0 + choice.random().nextInt(10)));
    List<Feed> feeds = choice.random().nextInt(4) == 0 ? List.of() : List.of(feed);
    return step(EditsBetween.feeds(leg, leg.withFeeds(feeds)));
  }

  private Edit box(Plan plan) {
    Leg leg = choice.leg(plan);
    return SetLegs.between(leg, leg.withBox(Optional.of(1 + choice.random().nextInt(3))));
  }

  /** As one step, where there is anything to be done. */
  Edit step(List<Edit> edits) {
    choice.one(edits);
    return EditsBetween.together("Change several things", edits);
  }
}
