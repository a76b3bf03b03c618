package hamper.arrange;

import hamper.display.Circuit;
import hamper.display.HungLeg;
import hamper.display.HungRun;
import hamper.display.Piece;
import hamper.display.PixelString;
import hamper.display.Plan;
import java.util.HashSet;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * What hangs and may be hung elsewhere: strings and circuits behind which nothing stays. Not what
 * is held at an address, set at hardware (slots, unit numbers, cards of a wall), a mirror or
 * mirrored, or on a controller whose configuration was given.
 */
final class Movable {
  private Movable() {}

  /**
   * @param pieces of which some hang
   * @param given ids of controllers whose configurations were given
   */
  static Set<String> of(Plan plan, Set<String> pieces, Set<String> given) {
    Set<String> originals =
        plan.runs()
            .flatMap(run -> run.legs().stream())
            .flatMap(leg -> leg.leg().mirrorOf().stream())
            .collect(Collectors.toSet());
    Set<String> all = new HashSet<>();
    plan.runs()
        .filter(run -> !given.contains(run.controller().id()))
        .forEach(run -> add(run, pieces, originals, all));
    return all;
  }

  private static void add(HungRun run, Set<String> pieces, Set<String> originals, Set<String> all) {
    for (int i = run.legs().size() - 1; i >= 0; i--) {
      HungLeg leg = run.legs().get(i);
      String piece = leg.leg().piece();
      boolean stays =
          !pieces.contains(piece)
              || leg.leg().mirrorOf().isPresent()
              || originals.contains(piece)
              || !mayMove(leg.at().piece());
      if (stays) {
        return;
      }
      all.add(piece);
    }
  }

  private static boolean mayMove(Piece piece) {
    if (piece instanceof PixelString string) {
      return string.sections().stream().allMatch(section -> section.hold().isEmpty());
    }
    return piece instanceof Circuit circuit && circuit.hold().isEmpty();
  }
}
