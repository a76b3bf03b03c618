package hamper.check;

import hamper.display.Link;
import hamper.facts.Facts;
import java.util.List;
import java.util.function.Consumer;

/** A network cable of copper that is too long. */
final class LinkLengthCheck extends Check {
  LinkLengthCheck() {
    super(
        "link-length",
        Area.NETWORK,
        Severity.FAULT,
        "A network cable is too long",
        "The length of each link of copper with 100 m (fault), which its standard allows with all patch cables, and with 90 m (risk)",
        "The link comes and goes, or there is none when it is cold.");
  }

  @Override
  void run(Facts facts, Consumer<Finding> out) {
    for (Link link : facts.plan().links().all()) {
      double metres = link.metres().orElse(0.0);
      if (link.kind() == Link.Kind.COPPER && metres > Link.PLANNED_COPPER_METRES) {
        boolean fault = metres > Link.MOST_COPPER_METRES;
        Measure found = Measure.rated(metres, "m");
        Measure allowed =
            Measure.rated(fault ? Link.MOST_COPPER_METRES : Link.PLANNED_COPPER_METRES, "m");
        out.accept(
            finding(
                fault ? Severity.FAULT : Severity.RISK,
                "Link %s from %s to %s is %s of copper; plan for %s at most, or for fibre"
                    .formatted(
                        link.name(),
                        facts.plan().enclosures().existing(link.from()).name(),
                        facts.plan().enclosures().existing(link.to()).name(),
                        found,
                        allowed),
                found,
                allowed,
                List.of(Subject.part(Subject.Kind.LINK, link.id()))));
      }
    }
  }
}
