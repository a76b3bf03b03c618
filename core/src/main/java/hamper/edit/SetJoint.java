package hamper.edit;

import hamper.display.Conductor;
import hamper.display.Display;
import hamper.display.LegAt;
import hamper.display.Plan;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;

/**
 * Cuts conductors at the joint before a leg, or lets them pass.
 *
 * @param cut those that do not pass; none: all pass
 */
public record SetJoint(String piece, List<Conductor> cut) implements Edit {
  public SetJoint {
    cut = List.copyOf(cut);
  }

  @Override
  public Display change(Plan plan) {
    LegAt at = SetGap.patched(plan, piece);
    return Runs.changeLeg(plan.display(), at.port(), at.index(), leg -> leg.withCut(cut));
  }

  @Override
  public String label(Plan plan) {
    String title = plan.existingPiece(piece).title();
    if (cut.isEmpty()) {
      return "Let everything pass the joint before " + title;
    }
    return "Cut %s before %s"
        .formatted(
            cut.stream()
                .map(one -> one.name().toLowerCase(Locale.ROOT))
                .collect(Collectors.joining(" and ")),
            title);
  }
}
