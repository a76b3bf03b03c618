package hamper.arrange;

import hamper.check.Checks;
import hamper.check.Finding;
import hamper.check.Severity;
import hamper.check.Subject;
import hamper.display.Controller;
import hamper.display.Display;
import hamper.display.Plan;
import hamper.edit.HangPieces;
import hamper.edit.UnpatchPieces;
import hamper.facts.Facts;
import java.util.Collection;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** What would be wrong that is not wrong now, were some pieces hung: the checks say so. */
final class Trouble {
  /** Hanging a part of a prop leaves the rest as it was. */
  private static final String NOT_PATCHED = "not-patched";

  private final Facts facts;
  private final Plan plan;
  private final Set<String> moving;
  private final Set<String> before;

  /** What was tried last: the next is mostly like it. */
  private Facts last;

  private HangPieces tried;

  /**
   * @param moving pieces that hang now, and hang only where they are put
   */
  Trouble(Facts facts, Set<String> moving) {
    this.facts = facts;
    this.moving = moving;
    plan = facts.plan();
    last = facts;
    before = grave(Checks.run(facts)).map(Trouble::matter).collect(Collectors.toSet());
  }

  /** Faults and risks that were not there. */
  List<Finding> with(Collection<Placed> some) {
    return some.isEmpty()
        ? List.of()
        : grave(Checks.run(facts(some))).filter(one -> !before.contains(matter(one))).toList();
  }

  /** Of the plan with some pieces where they are put. */
  Facts facts(Collection<Placed> some) {
    if (some.isEmpty()) {
      return facts;
    }
    HangPieces hanging = Proposal.hanging(some, !moving.isEmpty());
    if (!hanging.equals(tried)) {
      Plan bare = without(some);
      Display hung = hanging.change(bare);
      last = last.with(bare.with(hung.withControllers(sameAsLast(hung.controllers()))));
      tried = hanging;
    }
    return last;
  }

  /** Controllers that are as they were the last time, as the same values: nothing of them anew. */
  private List<Controller> sameAsLast(List<Controller> controllers) {
    return controllers.stream()
        .map(one -> last.plan().controller(one.id()).filter(one::equals).orElse(one))
        .toList();
  }

  /** The plan with what moves off, but for what is put somewhere: that keeps its feeds. */
  private Plan without(Collection<Placed> some) {
    Set<String> off = new HashSet<>(moving);
    some.forEach(one -> off.remove(one.piece()));
    return off.isEmpty() ? plan : plan.with(new UnpatchPieces(List.copyOf(off)).change(plan));
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
