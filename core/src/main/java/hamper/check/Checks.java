package hamper.check;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/** All checks, in the order in which they are told; and running them. */
public final class Checks {
  public static final List<Check> ALL =
      List.of(
          new OverlapCheck(),
          new PortLimitCheck(),
          new InputsShortCheck(),
          new UntoldCheck(),
          new LayoutCheck(),
          new PortAbsentCheck(),
          new RemoteBoxCheck(),
          new UnitNumberCheck(),
          new FixturePastEndCheck(),
          new UniverseRangeCheck(),
          new NoAddressCheck(),
          new NotPatchedCheck());

  private Checks() {}

  /** All findings, worst first, then by check. */
  public static List<Finding> run(Facts facts) {
    List<Finding> findings = new ArrayList<>();
    ALL.forEach(check -> check.run(facts, findings::add));
    findings.sort(Comparator.comparing(Finding::severity));
    return List.copyOf(findings);
  }
}
