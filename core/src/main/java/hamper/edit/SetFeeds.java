package hamper.edit;

import hamper.display.Display;
import hamper.display.Feed;
import hamper.display.LegAt;
import hamper.display.Plan;
import java.util.List;

/**
 * Sets where power enters a string besides its plug.
 *
 * @param feeds all that the leg has afterwards, in any order
 */
public record SetFeeds(String piece, List<Feed> feeds) implements Edit {
  public SetFeeds {
    feeds = List.copyOf(feeds);
  }

  @Override
  public Display change(Plan plan) {
    LegAt at = SetGap.patched(plan, piece);
    return Runs.changeLeg(plan.display(), at.port(), at.index(), leg -> leg.withFeeds(feeds));
  }

  @Override
  public String label(Plan plan) {
    String title = plan.existingPiece(piece).title();
    int before = plan.leg(piece).map(at -> at.leg().feeds().size()).orElse(0);
    if (feeds.size() > before) {
      return (feeds.size() == before + 1 ? "Add a feed to " : "Add feeds to ") + title;
    }
    return (feeds.size() < before ? "Remove a feed from " : "Change a feed of ") + title;
  }
}
