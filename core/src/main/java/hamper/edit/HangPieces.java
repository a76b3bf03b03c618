package hamper.edit;

import hamper.display.Controller;
import hamper.display.Display;
import hamper.display.Leg;
import hamper.display.Plan;
import hamper.display.PortRef;
import hamper.display.Run;
import hamper.value.Require;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/** Hangs pieces that hang nowhere at the ends of ports, many at once; what hangs stays as it is. */
public record HangPieces(List<OnOutlet> at) implements Edit {
  /**
   * What is hung on one port.
   *
   * @param pieces ids, in the order along the wire
   */
  public record OnOutlet(PortRef port, List<String> pieces) {
    public OnOutlet {
      pieces = List.copyOf(pieces);
      Require.inRange("pieces", pieces.size(), 1, 10_000);
    }
  }

  private static final int MOST = 100_000;

  public HangPieces {
    at = List.copyOf(at);
    Require.inRange("at", at.size(), 1, MOST);
    Set<String> seen = new HashSet<>();
    for (OnOutlet one : at) {
      for (String piece : one.pieces()) {
        Require.that(seen.add(piece), "pieces", Require.quoted(piece), "each piece is named once");
      }
    }
  }

  @Override
  public Display change(Plan plan) {
    Map<String, List<OnOutlet>> byController = new HashMap<>();
    for (OnOutlet one : at) {
      Require.that(
          plan.hasPort(one.port()),
          "port",
          plan.written(one.port()),
          "the controller's model has no such port in its present mode");
      for (String piece : one.pieces()) {
        plan.existingPiece(piece);
        Require.that(
            plan.leg(piece).isEmpty(),
            "pieces",
            Require.quoted(plan.existingPiece(piece).title()),
            "it hangs already; move it by itself");
      }
      byController.computeIfAbsent(one.port().controller(), id -> new ArrayList<>()).add(one);
    }
    return plan.display()
        .withControllers(
            plan.display().controllers().stream()
                .map(one -> hung(one, byController.getOrDefault(one.id(), List.of())))
                .toList());
  }

  private static Controller hung(Controller controller, List<OnOutlet> all) {
    Controller now = controller;
    for (OnOutlet one : all) {
      Run run = Runs.runAt(now, one.port());
      List<Leg> legs = new ArrayList<>(run.legs());
      one.pieces().forEach(piece -> legs.add(Leg.of(piece)));
      now = now.withRun(run.withLegs(legs));
    }
    return now;
  }

  @Override
  public String label(Plan plan) {
    int pieces = at.stream().mapToInt(one -> one.pieces().size()).sum();
    return pieces == 1
        ? "Hang %s on %s"
            .formatted(
                plan.existingPiece(at.get(0).pieces().get(0)).title(),
                plan.written(at.get(0).port()))
        : "Arrange %d pieces".formatted(pieces);
  }
}
