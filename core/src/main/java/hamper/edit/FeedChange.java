package hamper.edit;

import hamper.catalog.Gauge;
import hamper.display.Feed;

/** What changes of a feed. */
public record FeedChange(
    Change<String> supply,
    Change<Integer> position,
    Change<Double> leadMetres,
    Change<Gauge> gauge,
    Change<Double> fuseAmps,
    Change<String> tag)
    implements ChangeOf<Feed> {}
