package hamper.edit;

import hamper.display.Display;
import hamper.display.Feed;
import hamper.display.Leg;
import hamper.display.Plan;
import java.util.ArrayList;
import java.util.List;

/**
 * Takes a feed off a string.
 *
 * @param index among its feeds in order of position, from 0
 */
public record RemoveFeed(String piece, int index) implements Edit {
  @Override
  public Display change(Plan plan) {
    SetFeed.existing(plan, piece, index);
    return Runs.changeLegs(plan, List.of(piece), this::without);
  }

  private Leg without(Leg leg) {
    List<Feed> feeds = new ArrayList<>(leg.feeds());
    feeds.remove(index);
    return leg.withFeeds(feeds);
  }

  @Override
  public String label(Plan plan) {
    return "Remove a feed from " + plan.existingPiece(piece).title();
  }
}
