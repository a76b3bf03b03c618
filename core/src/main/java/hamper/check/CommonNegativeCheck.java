package hamper.check;

import hamper.display.Conductor;
import hamper.display.HungLeg;
import hamper.display.HungRun;
import hamper.display.Leg;
import hamper.display.Plan;
import hamper.display.PortRef;
import hamper.display.Run;
import hamper.facts.Facts;
import hamper.load.FeedLoad;
import hamper.load.RunPower;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.function.Consumer;

/** Pixels whose negative does not reach the controller that sends them data. */
final class CommonNegativeCheck extends Check {
  CommonNegativeCheck() {
    super(
        "common-negative",
        Area.POWER,
        Severity.FAULT,
        "No common negative",
        "Each part of a run whose negative is joined, with the controller's negative: through the wire, or through a supply that feeds both",
        "Data has nothing to be measured against: everything from there on flickers at random or stays dark.");
  }

  @Override
  void run(Facts facts, Consumer<Finding> out) {
    for (RunPower power : facts.power()) {
      if (cut(power.run().run())) {
        check(facts.plan(), power, out);
      }
    }
  }

  private static boolean cut(Run run) {
    for (Leg leg : run.legs()) {
      if (leg.cut().contains(Conductor.NEGATIVE)) {
        return true;
      }
    }
    return false;
  }

  /**
   * Legs whose negative is joined.
   *
   * @param first the piece that it begins with
   * @param supplies ids of those that feed it
   */
  private record Part(String first, Set<String> supplies) {}

  private void check(Plan plan, RunPower power, Consumer<Finding> out) {
    List<Part> parts = parts(power.run());
    Set<String> reached = new HashSet<>(parts.get(0).supplies());
    power
        .feeds()
        .filter(feed -> feed.at().isEmpty())
        .map(FeedLoad::supply)
        .forEach(supply -> supply.ifPresent(one -> reached.add(one.id())));
    List<Part> apart = new ArrayList<>(parts.subList(1, parts.size()));
    boolean grown = true;
    while (grown) {
      grown = false;
      for (Part part : List.copyOf(apart)) {
        if (part.supplies().stream().anyMatch(reached::contains)) {
          reached.addAll(part.supplies());
          apart.remove(part);
          grown = true;
        }
      }
    }
    apart.forEach(part -> out.accept(told(plan, power.port(), part)));
  }

  /** Another box is another socket, whose negative comes with its cable. */
  private static List<Part> parts(HungRun run) {
    List<Part> parts = new ArrayList<>();
    for (HungLeg hung : run.legs()) {
      boolean socket = hung.socket();
      Leg leg = hung.leg();
      if (parts.isEmpty() || !socket && leg.cut().contains(Conductor.NEGATIVE)) {
        parts.add(new Part(leg.piece(), new HashSet<>()));
      }
      Part part = parts.get(socket ? 0 : parts.size() - 1);
      leg.feeds().forEach(feed -> part.supplies().add(feed.supply()));
    }
    return parts;
  }

  private Finding told(Plan plan, PortRef port, Part part) {
    return finding(
        "From %s on, %s has no negative in common with its controller"
            .formatted(plan.existingPiece(part.first()).title(), plan.written(port)),
        Measure.words("negative cut"),
        Measure.words("negative through the joint, or one supply on both sides"),
        List.of(Subject.leg(port, part.first())));
  }
}
