package hamper.check;

import hamper.display.Accepted;
import hamper.facts.Facts;
import hamper.handover.Season;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** All checks, in the order in which they are told; and running them. */
public final class Checks {
  public static final List<Check> ALL =
      List.of(
          new OverlapCheck(),
          new PortLimitCheck(),
          new InputsShortCheck(),
          new UniverseSizeCheck(),
          new DeviceRefusedCheck(),
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
          new FuseShortCheck(),
          new InputLoadCheck(),
          new SupplyLoadCheck(),
          new MainsLoadCheck(),
          new LeakageCheck(),
          new TwoMainsCheck(),
          new DataCutCheck(),
          new DataReachCheck(),
          new GroundShiftCheck(),
          new SupplyUnknownCheck(),
          new OutputsLeftCheck(),
          new OldRevisionCheck(),
          new NeverGivenCheck(),
          new StaleCheck(),
          new StartsMovedCheck(),
          new NoAddressCheck(),
          new NoSourceCheck(),
          new NotPatchedCheck(),
          new AddressInDhcpCheck(),
          new TrafficCheck(),
          new LinkLengthCheck(),
          new LinkLoopCheck(),
          MulticastCheck.unasked(),
          MulticastCheck.floods(),
          MulticastCheck.unknown(),
          new WifiMulticastCheck(),
          new DmxRateCheck(),
          new SynchronizationCheck(),
          new HoldsLevelsCheck(),
          new RestsOnCheck(),
          new InterlockCheck(),
          new RelaySharedCheck(),
          new DarkCheck(),
          new ColourDefaultCheck(),
          new SwitchOnCheck(),
          new FeedLostCheck(),
          new FrameHeadroomCheck(),
          new ScatteredPropCheck(),
          new SharedUniverseCheck(),
          new ColourOrdersCheck(),
          new WallNotSquareCheck(),
          new MovedSinceMilestoneCheck());

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
    return told(facts, Season.NONE);
  }

  /** With what is known beside the plan. */
  public static Told told(Facts facts, Season season) {
    Acceptances acceptances = new Acceptances(facts.plan().display().accepted());
    List<Finding> open = new ArrayList<>();
    List<Taken> accepted = new ArrayList<>();
    for (Finding finding : all(facts, season)) {
      Optional<Accepted> taken = acceptances.of(finding);
      taken.ifPresentOrElse(
          one -> accepted.add(new Taken(finding, one.reason())), () -> open.add(finding));
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

  /** All findings, worst first, then by check. */
  public static List<Finding> all(Facts facts) {
    return all(facts, Season.NONE);
  }

  /** With what is known beside the plan. */
  public static List<Finding> all(Facts facts, Season season) {
    // checks know nothing of each other; the stream keeps their order
    return ALL.parallelStream()
        .map(check -> found(check, facts, season))
        .flatMap(List::stream)
        .sorted(Comparator.comparing(Finding::severity))
        .toList();
  }

  /** What one check finds; of several that are the same matter each is told apart. */
  private static List<Finding> found(Check check, Facts facts, Season season) {
    List<Finding> findings = new ArrayList<>();
    Map<String, Integer> known = new HashMap<>();
    check.run(
        facts,
        season,
        finding -> {
          int nth = known.merge(finding.identity(), 1, Integer::sum);
          findings.add(nth == 1 ? finding : finding.nth(nth));
        });
    return findings;
  }
}
