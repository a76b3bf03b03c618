package hamper.why;

import hamper.check.Subject;
import hamper.display.Whereabouts;
import hamper.facts.Facts;
import hamper.load.FeedLoad;
import hamper.load.MainsLoad;
import hamper.load.SiteLoads.SupplyLoad;
import hamper.value.Decimals;
import hamper.value.RefusedException;
import hamper.why.Why.Fold;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Why supplies and mains circuits carry what they do. */
final class SiteWhy {
  private SiteWhy() {}

  static List<Why> supply(Facts facts, String id) {
    SupplyLoad load =
        facts.site().supplies().stream()
            .filter(one -> one.supply().id().equals(id))
            .findFirst()
            .orElseThrow(
                () -> new RefusedException("part", id, "the display has no supply of this id"));
    return List.of(
        of(load, load.amps(), false, "at planned brightness"),
        of(load, load.fullAmps(), true, "at 100 %"));
  }

  private static Why of(SupplyLoad load, double amps, boolean full, String when) {
    List<Term> terms = new ArrayList<>();
    for (FeedLoad feed : load.feeds()) {
      String where =
          feed.at().isPresent()
              ? "feed at position %,d".formatted(feed.position())
              : "the port's own feed";
      terms.add(
          Term.of(where, full ? feed.fullAmps() : feed.amps())
              .at(
                  feed.at()
                      .map(at -> Subject.leg(feed.port(), at.piece()))
                      .orElse(Subject.port(feed.port())))
              .asking(
                  Question.ofPort(
                      full ? Question.Kind.FULL_AMPS : Question.Kind.AMPS, feed.port())));
    }
    if (terms.isEmpty()) {
      terms.add(Term.of("no feed comes from it", 0));
    }
    return new Why(
        "Current of %s %s".formatted(load.supply().name(), when),
        amps,
        "A",
        Words.decimal(amps, 1, "A"),
        Fold.SUM,
        "what flows through each of its feeds, all white",
        terms);
  }

  static List<Why> mains(Facts facts, String id) {
    MainsLoad load =
        facts.site().mains().stream()
            .filter(one -> one.mains().id().equals(id))
            .findFirst()
            .orElseThrow(
                () ->
                    new RefusedException(
                        "part", id, "the display has no mains circuit of this id"));
    return List.of(
        of(facts, load, load.watts(), false, "at planned brightness"),
        of(facts, load, load.fullWatts(), true, "at 100 %"));
  }

  private static Why of(Facts facts, MainsLoad load, double watts, boolean full, String when) {
    List<Term> terms = new ArrayList<>();
    terms.add(
        Term.of("other things on it", load.mains().otherWatts())
            .at(Subject.mains(load.mains().id())));
    for (SupplyLoad supply : facts.site().supplies()) {
      Optional<String> its = Whereabouts.mains(facts.plan(), supply.supply());
      if (its.equals(Optional.of(load.mains().id()))) {
        double amps = full ? supply.fullAmps() : supply.amps();
        terms.add(
            Term.of(supply.supply().name(), supply.supply().mainsWatts(amps))
                .noted(
                    "%s A at %s V, and what it loses itself"
                        .formatted(Decimals.of(amps, 1), Decimals.plain(supply.supply().volts())))
                .at(Subject.supply(supply.supply().id()))
                .asking(Question.ofPart(Question.Kind.SUPPLY_AMPS, supply.supply().id())));
      }
    }
    return new Why(
        "Taken from %s %s".formatted(load.mains().name(), when),
        watts,
        "W",
        Words.decimal(watts, 0, "W"),
        Fold.SUM,
        "what each supply gives, and loses on the way",
        terms);
  }
}
