package hamper.check;

import hamper.display.Accepted;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;

/** All checks, in the order in which they are told; and running them. */
public final class Checks {
  public static final List<Check> ALL =
      List.of(
          new OverlapCheck(),
          new PortLimitCheck(),
          new InputsShortCheck(),
          new UniverseSizeCheck(),
          new InputsBeyondModelCheck(),
          new UntoldCheck(),
          new LayoutCheck(),
          new PortAbsentCheck(),
          new MixedTypesCheck(),
          new RemoteBoxCheck(),
          new UnitNumberCheck(),
          new FixturePastEndCheck(),
          new UniverseRangeCheck(),
          new SameAddressCheck(),
          new OutsideSubnetsCheck(),
          new SourceElsewhereCheck(),
          new TransportCheck(),
          new TwoSourcesCheck(),
          new WallCardCheck(),
          new WallUntiledCheck(),
          new SupplyVoltageCheck(),
          new SuppliesJoinedCheck(),
          new NoFeedCheck(),
          new CommonNegativeCheck(),
          new VoltageCheck(),
          new FuseLoadCheck(),
          new FuseWireCheck(),
          new InputLoadCheck(),
          new SupplyLoadCheck(),
          new MainsLoadCheck(),
          new DataCutCheck(),
          new DataReachCheck(),
          new GroundShiftCheck(),
          new SupplyUnknownCheck(),
          new NoAddressCheck(),
          new NoSourceCheck(),
          new NotPatchedCheck(),
          new AddressInDhcpCheck(),
          new TrafficCheck(),
          new WifiMulticastCheck(),
          new SynchronizationCheck(),
          new FeedLostCheck(),
          new FrameHeadroomCheck(),
          new ScatteredPropCheck(),
          new SharedUniverseCheck(),
          new ColourOrdersCheck(),
          new WallNotSquareCheck());

  private Checks() {}

  /**
   * A finding that somebody accepted.
   *
   * @param reason why it may be so
   */
  public record Taken(Finding finding, String reason) {}

  /**
   * @param open what is to be looked at, worst first
   * @param accepted risks and hints that somebody accepted, and that are still as they were
   */
  public record Told(List<Finding> open, List<Taken> accepted) {}

  public static Told told(Facts facts) {
    Map<String, String> reasons = reasons(facts);
    List<Finding> open = new ArrayList<>();
    List<Taken> accepted = new ArrayList<>();
    for (Finding finding : all(facts)) {
      if (taken(finding, reasons)) {
        accepted.add(new Taken(finding, reasons.get(key(finding.code(), finding.message()))));
      } else {
        open.add(finding);
      }
    }
    return new Told(List.copyOf(open), List.copyOf(accepted));
  }

  /** What is to be looked at: all findings but those that somebody accepted; worst first. */
  public static List<Finding> run(Facts facts) {
    return told(facts).open();
  }

  /** Risks and hints that somebody accepted, and that are still as they were. */
  public static List<Taken> accepted(Facts facts) {
    return told(facts).accepted();
  }

  /** A fault is never accepted: it will not work. */
  private static boolean taken(Finding finding, Map<String, String> reasons) {
    return finding.severity() != Severity.FAULT
        && reasons.containsKey(key(finding.code(), finding.message()));
  }

  private static Map<String, String> reasons(Facts facts) {
    return facts.plan().display().accepted().stream()
        .collect(Collectors.toMap(one -> key(one.code(), one.message()), Accepted::reason));
  }

  private static String key(String code, String message) {
    return code + " " + message;
  }

  /** All findings, worst first, then by check. */
  public static List<Finding> all(Facts facts) {
    // checks know nothing of each other; the stream keeps their order
    return ALL.parallelStream()
        .map(check -> found(check, facts))
        .flatMap(List::stream)
        .sorted(Comparator.comparing(Finding::severity))
        .toList();
  }

  private static List<Finding> found(Check check, Facts facts) {
    List<Finding> findings = new ArrayList<>();
    check.run(facts, findings::add);
    return findings;
  }
}
