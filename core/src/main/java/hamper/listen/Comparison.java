package hamper.listen;

import hamper.address.IpAddress;
import hamper.address.Protocol;
import hamper.display.Sending;
import hamper.facts.Facts;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/** One comparison of what was heard with what is planned. */
final class Comparison {
  private record Universe(Protocol protocol, int universe) {}

  private final Facts facts;
  private final Vantage vantage;
  private final List<PlannedStream> planned;
  private final Map<Universe, List<HeardStream>> heard = new HashMap<>();
  private final Map<Universe, List<PlannedStream>> plannedOf = new HashMap<>();
  private final List<AirLine> lines = new ArrayList<>();
  private final List<AirFinding> findings = new ArrayList<>();
  private final Set<HeardStream> matched = new HashSet<>();
  private final Set<IpAddress> sending;

  /** How many planned universes each sender sends. */
  private final Map<IpAddress, Integer> shares;

  Comparison(Facts facts, List<HeardStream> streams, Vantage vantage) {
    this.facts = facts;
    this.vantage = vantage;
    planned = PlannedStream.of(facts);
    planned.forEach(
        one -> plannedOf.computeIfAbsent(universe(one), key -> new ArrayList<>()).add(one));
    streams.stream().sorted(AirReport.BY_UNIVERSE).forEach(this::add);
    sending =
        streams.stream()
            .filter(one -> plannedOf.containsKey(universe(one)))
            .map(HeardStream::from)
            .collect(Collectors.toSet());
    shares = shares();
  }

  private static Universe universe(HeardStream one) {
    return new Universe(one.protocol(), one.universe());
  }

  private static Universe universe(PlannedStream one) {
    return new Universe(one.protocol(), one.universe());
  }

  private void add(HeardStream one) {
    heard.computeIfAbsent(universe(one), key -> new ArrayList<>()).add(one);
  }

  private List<HeardStream> heardOf(PlannedStream one) {
    return heard.getOrDefault(universe(one), List.of());
  }

  AirReport report() {
    planned.forEach(this::compare);
    List<HeardStream> others = new ArrayList<>();
    heard.values().forEach(all -> all.forEach(one -> stray(one, others)));
    others.sort(AirReport.BY_UNIVERSE);
    findings.sort(
        Comparator.comparing(AirFinding::kind)
            .thenComparing(AirFinding::protocol)
            .thenComparing(one -> one.sender().orElse(""))
            .thenComparing(AirFinding::firstUniverse));
    return new AirReport(lines, Neighbours.joined(findings), others);
  }

  private void compare(PlannedStream plan) {
    List<HeardStream> here = heardOf(plan).stream().filter(plan::goesTo).toList();
    matched.addAll(here);
    if (here.isEmpty()) {
      boolean hears = plan.to().isEmpty() || !Vantage.isOne(plan.to().get()) || canHear(plan);
      lines.add(
          new AirLine(
              plan, hears ? AirLine.State.NOT_HEARD : AirLine.State.CANNOT_BE_HEARD, List.of()));
      if (hears) {
        find(
            AirFinding.Kind.NOT_HEARD,
            plan,
            Optional.empty(),
            "is planned %s and not heard".formatted(toward(plan)));
      }
      return;
    }
    HeardStream counts = counts(plan, here);
    List<HeardStream> inOrder = new ArrayList<>(List.of(counts));
    here.stream().filter(one -> one != counts).forEach(inOrder::add);
    boolean counted = here.stream().allMatch(HeardStream::counted);
    lines.add(new AirLine(plan, counted ? AirLine.State.COUNTED : AirLine.State.HEARD, inOrder));
    priority(plan, counts);
    inOrder.forEach(one -> size(plan, one));
    inOrder.stream().skip(1).forEach(one -> second(plan, counts, one));
  }

  /** Where no host is named to send it, whoever sends other planned universes would. */
  private boolean canHear(PlannedStream plan) {
    Set<IpAddress> senders = plan.senders().isEmpty() ? sending : plan.senders().keySet();
    return vantage.hears(senders, plan.to().orElseThrow());
  }

  /** The sender that is planned, else the one that sends most of this plan. */
  private HeardStream counts(PlannedStream plan, List<HeardStream> here) {
    return here.stream()
        .max(
            Comparator.<HeardStream, Boolean>comparing(
                    one -> plan.senders().containsKey(one.from()))
                .thenComparing(one -> plannedPriority(plan, one))
                .thenComparing(one -> shares.getOrDefault(one.from(), 0))
                .thenComparing(HeardStream::packets))
        .orElseThrow();
  }

  private static int plannedPriority(PlannedStream plan, HeardStream one) {
    return plan.senders().getOrDefault(one.from(), 0);
  }

  /** How many planned universes each sender sends: one pass over all. */
  private Map<IpAddress, Integer> shares() {
    Map<IpAddress, Integer> counts = new HashMap<>();
    for (PlannedStream one : planned) {
      heardOf(one).stream()
          .map(HeardStream::from)
          .distinct()
          .forEach(from -> counts.merge(from, 1, Integer::sum));
    }
    return counts;
  }

  private void priority(PlannedStream plan, HeardStream counts) {
    int meant = plan.senders().getOrDefault(counts.from(), Sending.PRIORITY);
    counts
        .priority()
        .filter(told -> told != meant)
        .ifPresent(
            told ->
                find(
                    AirFinding.Kind.OTHER_PRIORITY,
                    plan,
                    Optional.of(counts),
                    "comes from %s with priority %d, planned is %d"
                        .formatted(who(counts), told, meant)));
  }

  private void size(PlannedStream plan, HeardStream one) {
    if (one.mostSlots() == 0) {
      return; // a device counted it, and says nothing of its size
    }
    boolean odd = plan.protocol() == Protocol.ARTNET && plan.size() % 2 == 1;
    int most = plan.size() + (odd ? 1 : 0);
    if (one.mostSlots() > most || one.leastSlots() < plan.least()) {
      int wrong = one.mostSlots() > most ? one.mostSlots() : one.leastSlots();
      String unit = plan.protocol() == Protocol.DDP ? "bytes" : "slots";
      find(
          AirFinding.Kind.OTHER_SIZE,
          plan,
          Optional.of(one),
          "comes from %s with %d %s, planned are %d".formatted(who(one), wrong, unit, plan.size()));
    }
  }

  private void second(PlannedStream plan, HeardStream counts, HeardStream other) {
    if (plan.senders().containsKey(other.from())
        || other.from().equals(counts.from()) && other.name().equals(counts.name())) {
      return; // a backup that is planned
    }
    int ahead = Integer.compare(other.priority().orElse(0), counts.priority().orElse(0));
    AirFinding.Kind kind =
        ahead == 0
            ? AirFinding.Kind.SECOND_OF_EQUAL_PRIORITY
            : ahead < 0
                ? AirFinding.Kind.SECOND_OF_LOWER_PRIORITY
                : AirFinding.Kind.SECOND_OF_HIGHER_PRIORITY;
    String told =
        other.priority().isEmpty()
            ? "comes from %s and from %s: both count".formatted(who(counts), who(other))
            : ahead == 0
                ? "comes from %s and from %s, both with priority %d: both count"
                    .formatted(who(counts), who(other), other.priority().get())
                : "comes from %s and from %s with priority %d, %s than %d: %s counts"
                    .formatted(
                        who(counts),
                        who(other),
                        other.priority().get(),
                        ahead < 0 ? "lower" : "higher",
                        counts.priority().orElse(0),
                        ahead < 0 ? "the first" : "the second");
    find(kind, plan, Optional.of(other), told);
  }

  private void stray(HeardStream one, List<HeardStream> others) {
    if (matched.contains(one)) {
      return;
    }
    others.add(one);
    List<PlannedStream> same =
        one.protocol().usesUniverses()
            ? plannedOf.getOrDefault(universe(one), List.of())
            : List.of();
    List<String> controllers =
        same.stream().flatMap(plan -> plan.controllers().stream()).distinct().toList();
    String told =
        same.isEmpty()
            ? "comes from %s to %s, and nobody planned it".formatted(who(one), one.to())
            : "goes from %s to %s, planned is %s"
                .formatted(
                    who(one),
                    one.to(),
                    same.stream().map(this::toward).collect(Collectors.joining(" and ")));
    findings.add(
        new AirFinding(
            same.isEmpty() ? AirFinding.Kind.NOT_PLANNED : AirFinding.Kind.OTHER_PLACE,
            one.protocol(),
            one.universe(),
            one.universe(),
            controllers,
            Optional.of(one.from().text()),
            told));
  }

  private void find(
      AirFinding.Kind kind, PlannedStream plan, Optional<HeardStream> about, String told) {
    findings.add(
        new AirFinding(
            kind,
            plan.protocol(),
            plan.universe(),
            plan.universe(),
            plan.controllers(),
            about.map(one -> one.from().text()),
            told));
  }

  private String toward(PlannedStream plan) {
    Set<String> tags = new LinkedHashSet<>();
    plan.controllers().forEach(id -> tags.add(facts.plan().existingController(id).tag()));
    String way =
        switch (plan.transport()) {
          case UNICAST -> plan.to().map(at -> " at " + at).orElse("");
          case MULTICAST -> " by its group";
          case BROADCAST -> " by broadcast";
        };
    return "for " + String.join(", ", tags) + way;
  }

  private static String who(HeardStream one) {
    return one.name().isEmpty() ? one.from().text() : one.from() + " (" + one.name() + ")";
  }
}
