package hamper.why;

import hamper.check.Subject;
import hamper.display.Cable;
import hamper.display.HungLeg;
import hamper.display.HungRun;
import hamper.display.LegAt;
import hamper.display.Whereabouts;
import hamper.display.Zone;
import hamper.facts.Facts;
import hamper.value.Decimals;
import hamper.why.Why.Fold;
import java.util.List;
import java.util.Optional;

/** Why a cable is taken to be as long as it is. */
final class CableWhy {
  private CableWhy() {}

  static List<Why> of(Facts facts, String piece) {
    Optional<LegAt> at = facts.plan().leg(piece);
    if (at.isEmpty()) {
      return List.of();
    }
    HungRun run = facts.plan().run(at.get().port()).orElseThrow();
    HungLeg leg =
        run.legs().stream()
            .filter(one -> one.leg().piece().equals(piece))
            .findFirst()
            .orElseThrow();
    Cable cable = run.cableTo(leg, facts.plan());
    return switch (cable.origin()) {
      case UNKNOWN -> List.of();
      case ENTERED ->
          List.of(
              why(
                  leg,
                  cable,
                  "somebody measured it",
                  List.of(Term.of("entered", cable.metres()).at(Subject.leg(run.port(), piece)))));
      case ESTIMATED -> List.of(estimated(facts, run, leg, cable));
    };
  }

  private static Why estimated(Facts facts, HungRun run, HungLeg leg, Cable cable) {
    Optional<String> from =
        leg.index() == 0
            ? Whereabouts.zone(facts.plan(), run.controller())
            : run.legs().get(leg.index() - 1).at().prop().zone();
    double line = Cable.metresBetween(facts.plan(), from, leg.at().prop().zone()).orElseThrow();
    double detour = line * (Cable.DETOUR - 1);
    return why(
        leg,
        cable,
        "a rule of thumb, rounded up to whole metres; measure it before you cut",
        List.of(
            Term.of(
                "as the crow flies from %s to %s"
                    .formatted(zone(facts, from), zone(facts, leg.at().prop().zone())),
                line),
            Term.of("round corners and up to the prop", detour)
                .noted("%s %% more".formatted(Decimals.of((Cable.DETOUR - 1) * 100, 0))),
            Term.of("rounded up", cable.metres() - line - detour)));
  }

  private static String zone(Facts facts, Optional<String> id) {
    return id.flatMap(facts.plan().zones()::find).map(Zone::name).orElse("");
  }

  private static Why why(HungLeg leg, Cable cable, String rule, List<Term> terms) {
    return new Why(
        "Cable to " + leg.at().title(),
        cable.metres(),
        "m",
        Words.decimal(cable.metres(), 1, "m"),
        Fold.SUM,
        rule,
        terms);
  }
}
