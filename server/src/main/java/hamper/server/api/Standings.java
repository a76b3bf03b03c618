package hamper.server.api;

import hamper.facts.Facts;
import hamper.handover.Season;
import hamper.server.handover.Seasons;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import org.springframework.stereotype.Component;

/**
 * How each display stands: worked out once for a version, and shared by edits, previews, remedies,
 * whole looks and the handover.
 */
@Component
class Standings {
  private final Map<String, Standing> last = new ConcurrentHashMap<>();
  private final Seasons seasons;

  Standings(Seasons seasons) {
    this.seasons = seasons;
  }

  /** Of a display as it is; kept until it is another, or more is known beside it. */
  Standing of(String id, Facts facts) {
    Season season = seasons.of(id);
    Standing known = last.get(id);
    if (known == null || known.facts() != facts) {
      known = Standing.of(facts, season);
      last.put(id, known);
    } else if (known.season() != season) {
      known = known.with(season);
      last.put(id, known);
    }
    return known;
  }

  /** What a display has become. */
  void become(String id, Standing standing) {
    last.put(id, standing);
  }
}
