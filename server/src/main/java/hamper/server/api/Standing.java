package hamper.server.api;

import hamper.config.Configuration;
import hamper.facts.Facts;
import hamper.handover.Season;
import java.util.List;

/**
 * A version of a display with all that follows from it: what windows show, and what its devices are
 * told, which is worked out when somebody asks.
 */
final class Standing {
  private final Shown shown;
  private List<Configuration> configurations;

  Standing(Shown shown) {
    this.shown = shown;
  }

  static Standing of(Facts facts, Season season) {
    return new Standing(Shown.of(facts, season));
  }

  /** When more is known beside the plan. */
  Standing with(Season changed) {
    return new Standing(shown.with(changed));
  }

  Season season() {
    return shown.season();
  }

  /** Of other facts, mostly these after an edit. */
  Standing with(Facts changed) {
    return new Standing(shown.with(changed));
  }

  Facts facts() {
    return shown.facts();
  }

  Shown shown() {
    return shown;
  }

  synchronized List<Configuration> configurations() {
    if (configurations == null) {
      configurations = facts().configurations();
    }
    return configurations;
  }
}
