package hamper.arrange;

import hamper.check.Checks;
import hamper.check.Finding;
import hamper.check.Severity;
import hamper.check.Subject;
import hamper.display.Plan;
import hamper.display.PortRef;
import hamper.facts.Facts;
import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** What would be wrong that is not wrong now, were some pieces hung: the checks say so. */
final class Trouble {
  /** Hanging a part of a prop leaves the rest as it was. */
  private static final String NOT_PATCHED = "not-patched";

  private final Facts facts;
  private final Plan plan;
  private final Set<String> before;

  Trouble(Facts facts) {
    this.facts = facts;
    plan = facts.plan();
    before = grave(Checks.run(facts)).map(Trouble::matter).collect(Collectors.toSet());
  }

  /** Faults and risks that were not there. */
  List<Finding> with(Collection<Placed> some) {
    Map<PortRef, List<String>> byPort = new LinkedHashMap<>();
    for (Placed one : some) {
      byPort.computeIfAbsent(one.outlet().ref(), key -> new ArrayList<>()).add(one.piece());
    }
    if (byPort.isEmpty()) {
      return List.of();
    }
    Plan with = plan.with(Proposal.hanging(byPort).change(plan));
    return grave(Checks.run(facts.with(with)))
        .filter(one -> !before.contains(matter(one)))
        .toList();
  }

  private static Stream<Finding> grave(List<Finding> all) {
    return all.stream()
        .filter(one -> one.severity() != Severity.HINT && !one.code().equals(NOT_PATCHED));
  }

  /** What a finding is about, whatever its numbers: a risk that was there stays one. */
  private static String matter(Finding one) {
    return one.code()
        + one.severity()
        + one.subjects().stream().map(Subject::identity).collect(Collectors.joining(","));
  }
}
