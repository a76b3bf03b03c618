package hamper.advise;

import hamper.check.Checks;
import hamper.check.Finding;
import hamper.check.Severity;
import hamper.edit.Edit;
import hamper.facts.Facts;
import hamper.handover.Season;
import hamper.value.RefusedException;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * Remedies of findings. Each is tried on the plan first: what does not clear its finding, or brings
 * a new fault, is not offered.
 */
public final class Remedies {
  private static final Adviser LET_GO = new LetGoAdviser();
  private static final Adviser MIRROR = new MirrorAdviser();
  private static final Adviser UNIVERSES = new UniversesAdviser();
  private static final Adviser MOVE = new MoveLegsAdviser();
  private static final Adviser CUT = new CutAdviser();
  private static final Adviser MODE = new ModeAdviser();
  private static final Adviser ADDRESS = new AddressAdviser();
  private static final Adviser SETTINGS = new SettingsAdviser();
  private static final Adviser PIECES = new PiecesAdviser();
  private static final Adviser MOVE_TO_BOX = new RemoteBoxAdviser();
  private static final Adviser FEEDS = new FeedAdviser();
  private static final Adviser BRIGHTNESS = new BrightnessAdviser();
  private static final Adviser POWER = new PowerAdviser();
  private static final Adviser COLOURS = new ColourOrderAdviser();
  private static final Adviser NETWORK = new NetworkAdviser();

  private static final Map<String, List<Adviser>> BY_CODE =
      Map.ofEntries(
          Map.entry("overlap", List.of(LET_GO, MIRROR, UNIVERSES, PIECES)),
          Map.entry("shared-universe", List.of(UNIVERSES)),
          Map.entry("universe-range", List.of(UNIVERSES)),
          Map.entry("hold-or-mirror", List.of(LET_GO)),
          Map.entry("port-limit", List.of(MODE, MOVE, CUT)),
          Map.entry("frame-headroom", List.of(MOVE)),
          Map.entry("mixed-types", List.of(MOVE)),
          Map.entry("port-absent", List.of(MODE, MOVE)),
          Map.entry("not-patched", List.of(MOVE)),
          Map.entry("no-address", List.of(ADDRESS)),
          Map.entry("same-address", List.of(ADDRESS)),
          Map.entry("outside-subnets", List.of(ADDRESS)),
          Map.entry("address-in-dhcp", List.of(ADDRESS)),
          Map.entry("source-elsewhere", List.of(ADDRESS)),
          Map.entry("inputs-short", List.of(SETTINGS)),
          Map.entry("universe-size", List.of(SETTINGS)),
          Map.entry("inputs-beyond-model", List.of(SETTINGS)),
          Map.entry("no-source", List.of(SETTINGS)),
          Map.entry("transport", List.of(SETTINGS)),
          Map.entry("wifi-multicast", List.of(SETTINGS)),
          Map.entry("two-sources", List.of(SETTINGS)),
          Map.entry("synchronization", List.of(SETTINGS)),
          Map.entry("fixture-past-end", List.of(PIECES)),
          Map.entry("unit-number", List.of(PIECES)),
          Map.entry("colour-orders", List.of(PIECES)),
          Map.entry("colour-order-default", List.of(COLOURS)),
          Map.entry("relay-shared", List.of(MOVE)),
          Map.entry("data-reach", List.of(PIECES, MOVE_TO_BOX)),
          Map.entry("data-cut", List.of(POWER)),
          Map.entry("common-negative", List.of(POWER)),
          Map.entry("no-feed", List.of(POWER, FEEDS)),
          Map.entry("voltage-low", List.of(FEEDS, BRIGHTNESS)),
          Map.entry("fuse-load", List.of(FEEDS, BRIGHTNESS)),
          Map.entry("input-load", List.of(BRIGHTNESS)),
          Map.entry("feed-lost", List.of(FEEDS)),
          Map.entry("fuse-wire", List.of(POWER)),
          Map.entry("fuse-short", List.of(POWER)),
          Map.entry("ground-shift", List.of(POWER, BRIGHTNESS)),
          Map.entry("supplies-joined", List.of(POWER)),
          Map.entry("supply-unknown", List.of(POWER)),
          Map.entry("supply-voltage", List.of(POWER)),
          Map.entry("supply-load", List.of(POWER)),
          Map.entry("mains-load", List.of(POWER)),
          Map.entry("leakage", List.of(POWER)),
          Map.entry("switch-on", List.of(POWER)),
          Map.entry("two-mains", List.of(POWER)),
          Map.entry("link-length", List.of(NETWORK)),
          Map.entry("link-loop", List.of(NETWORK)),
          Map.entry("multicast-unasked", List.of(NETWORK)),
          Map.entry("multicast-floods", List.of(NETWORK)),
          Map.entry("multicast-unknown", List.of(NETWORK)));

  private final Season season;

  private Remedies(Season season) {
    this.season = season;
  }

  /** Codes of the checks that any remedy is known for. */
  public static Set<String> codes() {
    Set<String> codes = new HashSet<>(BY_CODE.keySet());
    codes.add(GivenStarts.CODE);
    return codes;
  }

  /** Edits that clear the finding and bring no new fault, each different from the others. */
  public static List<Edit> of(Facts facts, Finding finding) {
    return of(facts, Season.NONE, finding);
  }

  /** With what is known beside the plan. */
  public static List<Edit> of(Facts facts, Season season, Finding finding) {
    Remedies remedies = new Remedies(season);
    Set<String> faults = remedies.faults(facts);
    Stream<Edit> given =
        GivenStarts.think(facts, season, finding)
            .filter(edit -> remedies.helps(facts, faults, finding, edit));
    Stream<Edit> others =
        BY_CODE.getOrDefault(finding.code(), List.of()).stream()
            .flatMap(
                adviser ->
                    adviser
                        .think(facts, finding)
                        .distinct()
                        .filter(edit -> remedies.helps(facts, faults, finding, edit))
                        .limit(adviser.most()));
    return Stream.concat(given, others).distinct().toList();
  }

  private boolean helps(Facts facts, Set<String> faults, Finding finding, Edit edit) {
    return tried(facts, edit)
        .filter(after -> !known(after).contains(key(finding)))
        .filter(after -> faults.containsAll(faults(after)))
        .isPresent();
  }

  private static Optional<Facts> tried(Facts facts, Edit edit) {
    try {
      return Optional.of(facts.with(edit.applyTo(facts.plan()).plan()));
    } catch (RefusedException e) {
      return Optional.empty(); // this plan does not allow it
    }
  }

  private Set<String> faults(Facts facts) {
    return Checks.all(facts, season).stream()
        .filter(finding -> finding.severity() == Severity.FAULT)
        .map(Remedies::key)
        .collect(Collectors.toCollection(HashSet::new));
  }

  private Set<String> known(Facts facts) {
    return Checks.all(facts, season).stream().map(Remedies::key).collect(Collectors.toSet());
  }

  /** The same mistake with other numbers is still the same mistake. */
  static String key(Finding finding) {
    return finding.code() + " " + finding.subjects().get(0).identity();
  }
}
