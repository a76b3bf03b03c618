package hamper.check;

import hamper.facts.Facts;
import hamper.resolve.LayoutProblem;
import java.util.List;
import java.util.function.Consumer;

/** Holds and mirrors that addressing cannot give. */
final class LayoutCheck extends Check {
  LayoutCheck() {
    super(
        "hold-or-mirror",
        Area.ADDRESSES,
        Severity.FAULT,
        "A hold or mirror does not act",
        "Holds and mirrors with what the device and the addressing rules can give",
        "It answers to other addresses than were meant.");
  }

  @Override
  void run(Facts facts, Consumer<Finding> out) {
    for (LayoutProblem problem : facts.resolution().problems()) {
      String title = facts.plan().existingPiece(problem.piece()).title();
      out.accept(
          finding(
              "%s, section %d: %s".formatted(title, problem.section() + 1, why(problem.kind())),
              Measure.named(problem.kind().name()),
              Measure.words(remedy(problem.kind())),
              List.of(Subject.of(facts.plan(), problem.piece()))));
    }
  }

  private static String why(LayoutProblem.Kind kind) {
    return switch (kind) {
      case HOLD_INSIDE_PORT ->
          "the device takes one start a port, so a hold inside a run does nothing";
      case HOLD_WITHOUT_FIXED_UNIVERSE ->
          "it is held by universe, but the controller's first universe is not fixed";
      case HOLD_OUTSIDE_BLOCK -> "the held address lies outside the controller's universes";
      case HOLD_ON_MIRROR -> "a mirror goes where its original goes and cannot be held";
      case MIRROR_PART_OF_PORT ->
          "the device takes one start a port, so only a whole run can mirror";
      case MIRROR_WITHOUT_ORIGINAL -> "what it mirrors is not patched";
      case MIRROR_LONGER -> "it has more sections than what it mirrors";
      case MIRROR_OF_SLOTS ->
          "what it mirrors stands at slots of a DMX line, which nothing else answers to";
      case MIRROR_AT_SLOTS ->
          "it answers to the slots it is set to, and not to those of what it mirrors";
      case MIRROR_OUT_OF_REACH -> "the packets of what it mirrors do not reach this controller";
    };
  }

  private static String remedy(LayoutProblem.Kind kind) {
    return switch (kind) {
      case HOLD_INSIDE_PORT -> "a hold on the first section of the run";
      case HOLD_WITHOUT_FIXED_UNIVERSE -> "a fixed first universe, or a hold by controller channel";
      case HOLD_OUTSIDE_BLOCK -> "an address from the controller's first universe on";
      case HOLD_ON_MIRROR -> "a hold on the original";
      case MIRROR_PART_OF_PORT -> "a run of mirrors only";
      case MIRROR_WITHOUT_ORIGINAL -> "an original that hangs on a port";
      case MIRROR_LONGER -> "as many sections as the original";
      case MIRROR_OF_SLOTS -> "no mirror, or one of a string, circuit or wall";
      case MIRROR_AT_SLOTS -> "the same line and the same start slot, and no mirror";
      case MIRROR_OUT_OF_REACH ->
          "the same universe protocol, universe size and packets on both controllers";
    };
  }
}
