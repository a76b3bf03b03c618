package hamper.edit;

import hamper.display.Display;
import hamper.display.Feed;
import hamper.display.Plan;
import hamper.value.Require;
import java.util.List;
import java.util.stream.Stream;

/** Lets power enter a string in more places besides its plug. */
public record AddFeeds(String piece, List<Feed> feeds) implements Edit {
  public AddFeeds {
    feeds = List.copyOf(feeds);
    Require.inRange("feeds", feeds.size(), 1, 1000);
  }

  @Override
  public Display change(Plan plan) {
    SetLegs.patched(plan, piece);
    return Runs.changeLegs(
        plan,
        List.of(piece),
        leg -> leg.withFeeds(Stream.concat(leg.feeds().stream(), feeds.stream()).toList()));
  }

  @Override
  public String label(Plan plan) {
    String title = plan.existingPiece(piece).title();
    return feeds.size() == 1
        ? "Add a feed to " + title
        : "Add %d feeds to %s".formatted(feeds.size(), title);
  }
}
