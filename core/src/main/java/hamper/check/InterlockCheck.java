package hamper.check;

import hamper.display.Circuit;
import hamper.display.Leg;
import hamper.display.LegAt;
import hamper.display.Plan;
import hamper.display.Prop;
import hamper.facts.Facts;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Consumer;

/** Circuits that must never be on together, and are so by plan. */
final class InterlockCheck extends Check {
  InterlockCheck() {
    super(
        "interlock",
        Area.CIRCUITS,
        Severity.FAULT,
        "Circuits that must never be on together are",
        "Circuits of one interlock: whether more than one of them rests switched on, and whether one mirrors another",
        "Both directions of a motor are on at once: it burns, or its fuse blows.");
  }

  @Override
  void run(Facts facts, Consumer<Finding> out) {
    Plan plan = facts.plan();
    Map<String, List<Circuit>> groups = new LinkedHashMap<>();
    for (Prop prop : plan.props().all()) {
      for (var piece : prop.pieces()) {
        if (piece instanceof Circuit circuit && circuit.interlock().isPresent()) {
          groups.computeIfAbsent(circuit.interlock().get(), name -> new ArrayList<>()).add(circuit);
        }
      }
    }
    groups.forEach((name, circuits) -> check(plan, name, circuits, out));
  }

  private void check(Plan plan, String name, List<Circuit> circuits, Consumer<Finding> out) {
    List<Circuit> resting = circuits.stream().filter(Circuit::safeOn).toList();
    for (int i = 1; i < resting.size(); i++) {
      out.accept(
          together(plan, name, resting.get(i), resting.get(0).id(), "rests switched on, as does"));
    }
    List<String> ids = circuits.stream().map(Circuit::id).toList();
    for (Circuit circuit : circuits) {
      Optional<String> original = plan.leg(circuit.id()).map(LegAt::leg).flatMap(Leg::mirrorOf);
      original
          .filter(ids::contains)
          .ifPresent(other -> out.accept(together(plan, name, circuit, other, "mirrors")));
    }
  }

  private Finding together(Plan plan, String name, Circuit circuit, String other, String how) {
    return finding(
        "%s %s %s; of interlock %s never two may be on"
            .formatted(
                plan.existingPiece(circuit.id()).title(),
                how,
                plan.existingPiece(other).title(),
                name),
        Measure.words("together"),
        Measure.words("never together"),
        List.of(Subject.piece(circuit.id()), Subject.piece(other)));
  }
}
