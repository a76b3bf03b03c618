package hamper.edit;

import hamper.display.Display;
import hamper.display.Feed;
import hamper.display.Leg;
import hamper.display.Plan;
import hamper.value.Require;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;

/**
 * Changes a feed of a string.
 *
 * @param index among its feeds in order of position, from 0
 */
public record SetFeed(String piece, int index, FeedChange set) implements Edit {
  /** What makes feeds others in their places: an edit for each that differs. */
  public static List<Edit> between(Leg before, Leg after) {
    return IntStream.range(0, before.feeds().size())
        .filter(i -> !before.feeds().get(i).equals(after.feeds().get(i)))
        .<Edit>mapToObj(
            i ->
                new SetFeed(
                    after.piece(),
                    i,
                    Fields.between(FeedChange.class, before.feeds().get(i), after.feeds().get(i))))
        .toList();
  }

  @Override
  public Display change(Plan plan) {
    existing(plan, piece, index);
    return Runs.changeLegs(plan, List.of(piece), this::changed);
  }

  private Leg changed(Leg leg) {
    List<Feed> feeds = new ArrayList<>(leg.feeds());
    feeds.set(index, set.over(feeds.get(index)));
    return leg.withFeeds(feeds);
  }

  /** A feed that has to be there. */
  static Feed existing(Plan plan, String piece, int index) {
    List<Feed> feeds = SetLegs.patched(plan, piece).leg().feeds();
    Require.inRange("index", index, 0, feeds.size() - 1);
    return feeds.get(index);
  }

  @Override
  public String label(Plan plan) {
    return Told.of(plan, "a feed of " + plan.existingPiece(piece).title(), set);
  }
}
