package hamper.arrange;

import hamper.check.Finding;
import hamper.check.Subject;
import hamper.display.Controller;
import hamper.display.Plan;
import hamper.display.PortRef;
import hamper.display.Supply;
import hamper.display.Whereabouts;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;

/** Which of the pieces that were just hung a finding is about, all findings at once. */
final class Culprits {
  /** A piece to be taken off, and why. */
  record Off(Placed placed, String why, boolean tooMuch) {}

  private final Plan plan;

  /** How often a controller had too much: each time twice as many pieces go. */
  private final Map<String, Integer> tooMuch = new HashMap<>();

  Culprits(Plan plan) {
    this.plan = plan;
  }

  /** Each piece once; none where the findings are about nothing that was hung. */
  List<Off> of(List<Finding> wrong, Layout layout) {
    Map<PortRef, List<Placed>> byPort = new HashMap<>();
    Map<String, List<Placed>> byController = new HashMap<>();
    for (Placed one : layout.placed()) {
      PortRef port = one.outlet().ref();
      byPort.computeIfAbsent(port, key -> new ArrayList<>()).add(one);
      byController.computeIfAbsent(port.controller(), key -> new ArrayList<>()).add(one);
    }
    Map<String, Off> off = new LinkedHashMap<>();
    Map<String, String> full = new LinkedHashMap<>();
    for (Finding finding : wrong) {
      Optional<Placed> piece =
          pieceOf(finding, layout, byPort).map(one -> lastWhereFed(one, byPort));
      if (piece.isPresent()) {
        off.putIfAbsent(piece.get().piece(), new Off(piece.get(), finding.message(), false));
      } else {
        controllersOf(finding).stream()
            .filter(byController::containsKey)
            .forEach(id -> full.putIfAbsent(id, finding.message()));
      }
    }
    full.forEach(
        (id, why) -> {
          List<Placed> there = byController.get(id);
          int times = tooMuch.merge(id, 1, Integer::sum);
          int count = Math.min(there.size(), 1 << Math.min(times - 1, 16));
          for (Placed one : there.subList(there.size() - count, there.size())) {
            off.putIfAbsent(one.piece(), new Off(one, why, true));
          }
        });
    return List.copyOf(off.values());
  }

  private static Optional<Placed> pieceOf(
      Finding finding, Layout layout, Map<PortRef, List<Placed>> byPort) {
    Optional<Placed> named =
        finding
            .pieces()
            .flatMap(piece -> layout.of(piece).stream())
            .reduce((first, second) -> second);
    return named.or(
        () ->
            finding
                .ports()
                .flatMap(port -> byPort.getOrDefault(port, List.of()).stream())
                .reduce((first, second) -> second));
  }

  /** Where supplies meet on a wire, whatever was hung last brought it. */
  private static Placed lastWhereFed(Placed one, Map<PortRef, List<Placed>> byPort) {
    List<Placed> wire = byPort.get(one.outlet().ref());
    return one.outlet().isFed() ? wire.get(wire.size() - 1) : one;
  }

  private Set<String> controllersOf(Finding finding) {
    Set<String> all = new LinkedHashSet<>();
    for (Subject subject : finding.subjects()) {
      subject.controller().ifPresent(all::add);
      subject.part(Subject.Kind.SUPPLY).ifPresent(id -> poweredBy(Set.of(id)).forEach(all::add));
      subject
          .part(Subject.Kind.MAINS)
          .ifPresent(
              id ->
                  poweredBy(
                          plan.display().power().supplies().stream()
                              .filter(one -> Whereabouts.mains(plan, one).equals(Optional.of(id)))
                              .map(Supply::id)
                              .collect(java.util.stream.Collectors.toSet()))
                      .forEach(all::add));
    }
    return all;
  }

  private Stream<String> poweredBy(Set<String> supplies) {
    return plan.display().controllers().stream()
        .filter(one -> one.powered().stream().anyMatch(in -> supplies.contains(in.supply())))
        .map(Controller::id);
  }
}
