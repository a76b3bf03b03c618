package hamper.check;

import hamper.display.Controller;
import hamper.display.Plan;
import hamper.facts.Facts;
import hamper.resolve.Overlap;
import hamper.resolve.Overlaps;
import hamper.resolve.Placement;
import java.util.List;
import java.util.function.Consumer;

/** Two things answer to the same channels, and neither mirrors the other. */
final class OverlapCheck extends Check {
  OverlapCheck() {
    super(
        "overlap",
        Area.ADDRESSES,
        Severity.FAULT,
        "Addresses overlap",
        "Channels of two pieces that the same packets reach; a mirror and its original may share them",
        "One shows part of the other's picture.");
  }

  @Override
  void run(Facts facts, Consumer<Finding> out) {
    Overlaps overlaps = facts.resolution().overlaps();
    overlaps.pairs().forEach(pair -> out.accept(told(facts.plan(), pair)));
    if (overlaps.more()) {
      Overlap last = overlaps.pairs().get(overlaps.pairs().size() - 1);
      out.accept(
          finding(
              "Only %,d overlaps are told one by one; pieces meet in %,d places in all"
                  .formatted(overlaps.pairs().size(), overlaps.meetings()),
              Measure.told(
                  overlaps.meetings(), "places", "%,d places".formatted(overlaps.meetings())),
              Measure.count(0, "places"),
              List.of(subject(last.a()))));
    }
  }

  private Finding told(Plan plan, Overlap overlap) {
    String range =
        overlap.first().isPresent()
            ? "%s to %s".formatted(overlap.first().get(), overlap.last().get())
            : "byte %d to %d".formatted(overlap.firstOffset().get(), overlap.lastOffset().get());
    Measure channels =
        Measure.count(overlap.channels(), overlap.channels() == 1 ? "channel" : "channels");
    return finding(
        "%s and %s share %s, %s"
            .formatted(name(plan, overlap.a()), name(plan, overlap.b()), channels, range),
        channels,
        Measure.count(0, "channels"),
        List.of(subject(overlap.a()), subject(overlap.b())));
  }

  private static String name(Plan plan, Placement at) {
    Controller controller = plan.display().controllers().get(at.controller());
    return "%s on %s"
        .formatted(plan.existingPiece(at.piece()).title(), at.port().written(controller.tag()));
  }

  private static Subject subject(Placement at) {
    return Subject.leg(at.port(), at.piece());
  }
}
