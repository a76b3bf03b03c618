package hamper.check;

import hamper.display.Enclosure;
import hamper.display.Plan;
import hamper.display.Supply;
import hamper.facts.Facts;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;

/** A supply in an enclosure that hangs on another mains circuit than the enclosure. */
final class TwoMainsCheck extends Check {
  TwoMainsCheck() {
    super(
        "two-mains",
        Area.POWER,
        Severity.RISK,
        "Two mains circuits come into one enclosure",
        "The mains circuit of each supply with that of the enclosure that it is in",
        "Whoever unplugs the enclosure and opens it still has mains in it.");
  }

  @Override
  void run(Facts facts, Consumer<Finding> out) {
    Plan plan = facts.plan();
    for (Supply supply : plan.supplies().all()) {
      Optional<Enclosure> in = supply.enclosure().map(plan.enclosures()::existing);
      Optional<String> comesIn = in.flatMap(Enclosure::mains);
      if (supply.mains().isPresent() && comesIn.isPresent() && !comesIn.equals(supply.mains())) {
        String own = plan.mains().existing(supply.mains().get()).name();
        String others = plan.mains().existing(comesIn.get()).name();
        out.accept(
            finding(
                "%s in %s hangs on mains circuit %s; %s hangs on %s"
                    .formatted(supply.name(), in.get().name(), own, in.get().name(), others),
                Measure.named(own),
                Measure.named(others),
                List.of(
                    Subject.supply(supply.id()),
                    Subject.part(Subject.Kind.ENCLOSURE, in.get().id()))));
      }
    }
  }
}
