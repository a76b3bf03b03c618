package hamper.change;

import hamper.display.Plan;
import hamper.display.PortRef;
import hamper.resolve.Placement;
import hamper.resolve.Resolution;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * Legs whose start address is not what it was, though nobody hung them elsewhere.
 *
 * @param legs by piece, in the order of the plan after
 */
public record Moves(List<Moved> legs) {
  /**
   * @param channels how far along the controller's block; negative towards its start; 0 where only
   *     the universe changed
   */
  public record Moved(String piece, PortRef port, int channels) {}

  public Moves {
    legs = List.copyOf(legs);
  }

  /** Compares legs that hang on the same port before and after. */
  public static Moves between(Resolution before, Resolution after) {
    Map<String, List<Placement>> was = new HashMap<>();
    for (int i = 0; i < before.blocks().size(); i++) {
      was.put(before.blocks().get(i).controller(), before.byController().get(i));
    }
    List<Moved> moved = new ArrayList<>();
    for (int i = 0; i < after.blocks().size(); i++) {
      List<Placement> then = was.getOrDefault(after.blocks().get(i).controller(), List.of());
      compare(then, after.byController().get(i), moved);
    }
    return new Moves(moved);
  }

  /** One line for people: "2 legs moved 150 channels, K1 is affected"; empty where none moved. */
  public String told(Plan plan) {
    if (legs.isEmpty()) {
      return "";
    }
    Set<Integer> distances = new LinkedHashSet<>();
    Set<String> tags = new LinkedHashSet<>();
    for (Moved leg : legs) {
      distances.add(Math.abs(leg.channels()));
      tags.add(plan.existingController(leg.port().controller()).tag());
    }
    String far =
        distances.size() > 1
            ? " by up to %d channels".formatted(distances.stream().max(Integer::compare).get())
            : distances.contains(0)
                ? " to other universes"
                : " %d channels".formatted(distances.iterator().next());
    return "%d %s moved%s on %s"
        .formatted(legs.size(), legs.size() == 1 ? "leg" : "legs", far, String.join(", ", tags));
  }

  /** What hangs on one controller, before and after: a port is of one controller. */
  private static void compare(List<Placement> before, List<Placement> after, List<Moved> out) {
    if (before.equals(after)) {
      return;
    }
    Map<String, Placement> was = new HashMap<>();
    for (Placement at : before) {
      if (at.section() == 0) {
        was.put(at.piece(), at);
      }
    }
    for (Placement now : after) {
      Placement then = now.section() == 0 ? was.get(now.piece()) : null;
      if (then != null && then.port().equals(now.port()) && !samePlace(then, now)) {
        out.add(new Moved(now.piece(), now.port(), start(now) - start(then)));
      }
    }
  }

  private static boolean samePlace(Placement then, Placement now) {
    return start(then) == start(now) && then.start().equals(now.start());
  }

  private static int start(Placement at) {
    return at.controllerChannels().map(span -> span.start()).orElse(0);
  }
}
