package hamper.server.api;

import hamper.check.Finding;
import hamper.server.api.ControllerView.BlockView;
import hamper.still.Kept;
import java.util.List;
import java.util.Optional;

/**
 * What an edit would do, were it made.
 *
 * @param moved a line on which legs would get other addresses
 * @param lanes that would look different
 * @param power supplies, mains circuits and power inputs as they would be
 * @param blocks of controllers whose block would be another
 * @param unpatched titles of pieces that would go back to the tray
 * @param stale tags of controllers whose configuration would be another, so that what they were
 *     given would be stale
 * @param found findings it would bring
 * @param cleared findings it would clear
 * @param still what moves with and without keeping still, where starts keep still
 */
public record Preview(
    String label,
    String moved,
    List<LaneView> lanes,
    PowerView power,
    List<BlockChange> blocks,
    List<String> unpatched,
    List<String> stale,
    List<Finding> found,
    List<Finding> cleared,
    Optional<StillForecast> still) {
  /**
   * What keeping still does to an edit.
   *
   * @param held whether anything has to be held for it
   * @param movesWith channels outside the edit that move all the same
   * @param movesWithout channels outside the edit that would move without keeping still
   * @param moving what moves, and why
   */
  public record StillForecast(
      boolean held, int movesWith, int movesWithout, List<Kept.Moving> moving) {}

  /**
   * @param before left out where the controller is new
   */
  public record BlockChange(String controller, Optional<BlockView> before, BlockView after) {}
}
