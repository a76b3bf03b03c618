package hamper.check;

import hamper.load.SiteLoads;
import java.util.Locale;
import java.util.Optional;

/** A load above its rating, or above the share of it that is planned on. */
record Rating(Severity severity, String found, String allowed, String rated) {
  static Optional<Rating> of(double load, double rating, String unit) {
    double planned = rating * SiteLoads.PLANNED_SHARE;
    if (load <= planned) {
      return Optional.empty();
    }
    boolean fault = load > rating;
    return Optional.of(
        new Rating(
            fault ? Severity.FAULT : Severity.RISK,
            String.format(Locale.ROOT, unit.equals("W") ? "%.0f %s" : "%.1f %s", load, unit),
            FeedWords.rated(fault ? rating : planned, unit),
            FeedWords.rated(rating, unit)));
  }
}
