package hamper.server.api;

import hamper.facts.Facts;
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

  /** Of a display as it is; kept until it is another. */
  Standing of(String id, Facts facts) {
    Standing known = last.get(id);
    if (known == null || known.facts() != facts) {
      known = Standing.of(facts);
      last.put(id, known);
    }
    return known;
  }

  /** What a display has become. */
  void become(String id, Standing standing) {
    last.put(id, standing);
  }
}
