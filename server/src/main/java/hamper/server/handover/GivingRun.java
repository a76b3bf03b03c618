package hamper.server.handover;

import java.util.List;
import java.util.Optional;

/**
 * A giving on its way, or as it ended.
 *
 * @param version of the display that is given
 * @param readBack whether devices are only asked what they have
 * @param failed why it could not begin
 */
public record GivingRun(
    int version,
    boolean readBack,
    boolean running,
    List<GivingStep> steps,
    Optional<String> failed) {
  public GivingRun {
    steps = List.copyOf(steps);
  }
}
