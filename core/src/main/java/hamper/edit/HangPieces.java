package hamper.edit;

import hamper.display.Controller;
import hamper.display.Display;
import hamper.display.Leg;
import hamper.display.LegAt;
import hamper.display.Plan;
import hamper.display.PortRef;
import hamper.display.Run;
import hamper.value.Require;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * Hangs pieces at the ends of ports, many at once; whatever else hangs stays as it is.
 *
 * @param move whether pieces that hang already are taken off first; they keep their feeds, null
 *     pixels and kind of cable, but no length that was entered for another place. Left out: such
 *     pieces are refused
 * @param boxes by piece, the remote box (from 1) of those that hang on another than the first
 */
public record HangPieces(
    List<OnOutlet> at, Optional<Boolean> move, Optional<Map<String, Integer>> boxes)
    implements Edit {
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
    boxes = boxes.map(Map::copyOf);
    Set<String> seen = new HashSet<>();
    for (OnOutlet one : at) {
      for (String piece : one.pieces()) {
        Require.that(seen.add(piece), "pieces", Require.quoted(piece), "each piece is named once");
      }
    }
    boxes.ifPresent(
        all ->
            all.keySet()
                .forEach(
                    piece ->
                        Require.that(
                            seen.contains(piece),
                            "boxes",
                            Require.quoted(piece),
                            "name only pieces that are hung")));
  }

  /** Pieces that hang nowhere, on controllers themselves or on first boxes. */
  public HangPieces(List<OnOutlet> at) {
    this(at, Optional.empty(), Optional.empty());
  }

  @Override
  public Display change(Plan plan) {
    boolean moving = move.orElse(false);
    Set<String> hanging = new HashSet<>();
    Map<String, List<OnOutlet>> byController = new HashMap<>();
    for (OnOutlet one : at) {
      Require.that(
          plan.hasPort(one.port()),
          "port",
          plan.written(one.port()),
          "the controller's model has no such port in its present mode");
      for (String piece : one.pieces()) {
        plan.existingPiece(piece);
        if (plan.leg(piece).isPresent()) {
          Require.that(
              moving,
              "pieces",
              Require.quoted(plan.existingPiece(piece).title()),
              "it hangs already; move it by itself");
          hanging.add(piece);
        }
      }
      byController.computeIfAbsent(one.port().controller(), id -> new ArrayList<>()).add(one);
    }
    Display before = Runs.without(plan.display(), hanging);
    return before.withControllers(
        before.controllers().stream()
            .map(one -> hung(plan, one, byController.getOrDefault(one.id(), List.of())))
            .toList());
  }

  private Controller hung(Plan plan, Controller controller, List<OnOutlet> all) {
    Controller now = controller;
    for (OnOutlet one : all) {
      Run run = Runs.runAt(now, one.port());
      List<Leg> legs = new ArrayList<>(run.legs());
      one.pieces().forEach(piece -> legs.add(legOf(plan, piece)));
      now = now.withRun(run.withLegs(legs));
    }
    return now;
  }

  private Leg legOf(Plan plan, String piece) {
    Leg leg = plan.leg(piece).map(LegAt::leg).orElseGet(() -> Leg.of(piece));
    Optional<Integer> box = boxes.flatMap(all -> Optional.ofNullable(all.get(piece)));
    return leg.withGap(leg.nullPixels(), Optional.empty(), leg.cableGauge()).withBox(box);
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
