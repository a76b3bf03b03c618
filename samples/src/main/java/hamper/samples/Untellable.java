package hamper.samples;

import hamper.check.Checks;
import hamper.check.Finding;
import hamper.check.Severity;
import hamper.check.Subject;
import hamper.config.Configuration;
import hamper.config.Untold;
import hamper.display.PortRef;
import hamper.facts.Facts;
import java.util.HashSet;
import java.util.Optional;
import java.util.Set;

/**
 * Of a display what cannot be shown as it is planned, and has a finding that says so: the rest is
 * shown exactly.
 */
public final class Untellable {
  /** Findings that say that a device as a whole does not do what was planned. */
  private static final Set<String> OF_ALL =
      Set.of("inputs-short", "universe-size", "universe-range", "hold-or-mirror", "port-absent");

  /** Findings that say that a device may take nothing of what it is told: it has no room for it. */
  private static final Set<String> NO_ROOM =
      Set.of("port-limit", "inputs-beyond-model", "universe-size", "port-absent", "transport");

  /** Checks whose findings say that what hangs on one port is not shown as planned. */
  private static final Set<String> OF_A_PORT = Set.of("dialect", "mixed-types");

  private final Facts facts;
  private final Set<String> controllers = new HashSet<>();
  private final Set<String> withoutRoom = new HashSet<>();
  private final Set<PortRef> ports = new HashSet<>();

  private Untellable(Facts facts) {
    this.facts = facts;
    Checks.all(facts).stream()
        .filter(finding -> finding.severity() == Severity.FAULT)
        .forEach(this::take);
    for (Configuration one : facts.configurations()) {
      for (Untold untold : one.untold()) {
        mark(Optional.of(one.controller()), untold.port());
      }
    }
  }

  public static Untellable of(Facts facts) {
    return new Untellable(facts);
  }

  private void take(Finding finding) {
    for (Subject subject : finding.subjects()) {
      if (NO_ROOM.contains(finding.code())) {
        subject.controller().ifPresent(withoutRoom::add);
      }
      if (OF_ALL.contains(finding.code())) {
        subject.controller().ifPresent(controllers::add);
      } else if (OF_A_PORT.contains(finding.code())) {
        mark(subject.controller(), subject.port());
      }
    }
  }

  /** Where ports follow each other, one that is not as planned moves all after it. */
  private void mark(Optional<String> controller, Optional<PortRef> port) {
    port.ifPresent(ports::add);
    controller
        .filter(
            id ->
                port.isEmpty()
                    || facts
                        .plan()
                        .modelOf(facts.plan().existingController(id))
                        .dialect()
                        .portsFollow())
        .ifPresent(controllers::add);
  }

  /** Whether a controller as a whole has a finding that says so. */
  public boolean controller(String id) {
    return controllers.contains(id);
  }

  /** Whether a finding says that a controller may refuse what it is told. */
  public boolean mayRefuse(String id) {
    return withoutRoom.contains(id);
  }

  /** Whether a port has one, or its controller. */
  public boolean port(PortRef port) {
    return controllers.contains(port.controller()) || ports.contains(port);
  }
}
