package hamper.why;

import hamper.check.Subject;
import hamper.display.HungRun;
import hamper.facts.Facts;
import hamper.load.FeedLoad;
import hamper.load.Island;
import hamper.load.RunPower;
import hamper.load.RunPowers;
import hamper.load.Volts;
import hamper.value.Decimals;
import hamper.why.Why.Fold;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * Why a run has the voltage it has where that is most critical.
 *
 * <p>Source: the load rules, "Current and voltage".
 */
final class VoltsWhy {
  private VoltsWhy() {}

  static List<Why> of(Facts facts, Question question) {
    Optional<RunPower> found =
        facts.power().stream()
            .filter(run -> run.port().equals(question.port().orElseThrow()))
            .findFirst();
    Optional<Island.Reach> worst = found.flatMap(RunPower::worst);
    if (worst.isEmpty()) {
      return List.of();
    }
    HungRun run = found.get().run();
    Island.Low low = worst.get().volts().orElseThrow();
    Island island =
        found.get().islands().stream()
            .filter(one -> one.from() <= low.position() && low.position() <= one.to())
            .findFirst()
            .orElseThrow();
    FeedLoad feed = nearest(island, low.position());
    double lead = feed.amps() * feed.leadOhms();
    List<Term> terms = new ArrayList<>();
    terms.add(
        Term.of(
                feed.supply().map(one -> one.name()).orElse("a supply, as the pixels want it"),
                feed.volts())
            .at(
                feed.supply()
                    .map(one -> Subject.supply(one.id()))
                    .orElse(Subject.port(run.port()))));
    terms.add(
        Term.of("lost in the lead to position %,d".formatted(feed.position()), -lead)
            .noted(
                "%s A through %s Ω, there and back"
                    .formatted(Decimals.of(feed.amps(), 2), Decimals.of(feed.leadOhms(), 3)))
            .at(
                feed.at()
                    .map(at -> Subject.leg(run.port(), at.piece()))
                    .orElse(Subject.port(run.port()))));
    double there = RunPowers.voltsAt(facts.plan(), run, low.position());
    terms.add(
        Term.of(
                "lost along the wire to position %,d".formatted(low.position()),
                there - RunPowers.voltsAt(facts.plan(), run, feed.position()))
            .noted("every pixel on the way takes its share"));
    if (there < 0) {
      terms.add(Term.of("pixels would want more than there is: it is dark there", -there));
    }
    return List.of(
        new Why(
            "Voltage at position %,d of %s".formatted(low.position(), run.written()),
            low.volts(),
            "V",
            Volts.told(low.volts()),
            Fold.SUM,
            "at planned brightness, all white; colours are right from %s on"
                .formatted(Volts.needed(worst.get().leastVolts())),
            terms));
  }

  private static FeedLoad nearest(Island island, int position) {
    return island.feeds().stream()
        .min(Comparator.comparingInt(feed -> Math.abs(feed.position() - position)))
        .orElseThrow();
  }
}
