package hamper.check;

import hamper.load.SiteLoads;
import java.util.Optional;

/** A load above its rating, or above the share of it that is planned on. */
record Rating(Severity severity, Measure found, Measure allowed, Measure rated) {
  static Optional<Rating> of(double load, double rating, String unit) {
    double planned = rating * SiteLoads.PLANNED_SHARE;
    if (load <= planned) {
      return Optional.empty();
    }
    boolean fault = load > rating;
    return Optional.of(
        new Rating(
            fault ? Severity.FAULT : Severity.RISK,
            Measure.of(load, unit.equals("W") ? 0 : 1, unit),
            Measure.rated(fault ? rating : planned, unit),
            Measure.rated(rating, unit)));
  }
}
