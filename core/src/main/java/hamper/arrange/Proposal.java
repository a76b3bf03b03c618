package hamper.arrange;

import hamper.display.PortRef;
import hamper.edit.HangPieces;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * Where pieces would hang, and what that costs.
 *
 * @param hung by controller and port, along each wire; of what hangs already only what would move
 * @param left what fits nowhere
 * @param stopped whether somebody stopped it before it was done
 */
public record Proposal(Aim aim, List<Hung> hung, List<Left> left, Cost cost, boolean stopped) {
  /**
   * A piece that has a place.
   *
   * @param box the remote box, from 1, where the port has some
   * @param from where it hangs now, as people write it, where it would move
   * @param because why there, in words
   */
  public record Hung(
      String piece,
      String title,
      PortRef port,
      String written,
      Optional<Integer> box,
      Optional<String> from,
      String because) {}

  /**
   * A piece that has none.
   *
   * @param because what is in the way everywhere, or on the best of all ports
   */
  public record Left(String piece, String title, String because) {}

  public Proposal {
    hung = List.copyOf(hung);
    left = List.copyOf(left);
  }

  /** The same, where not all ways were tried since somebody stopped it. */
  Proposal whenStopped() {
    return new Proposal(aim, hung, left, cost, true);
  }

  /** As one step; empty where nothing fits anywhere. */
  public Optional<HangPieces> edit() {
    Map<PortRef, List<String>> byPort = new LinkedHashMap<>();
    Map<String, Integer> boxes = new HashMap<>();
    for (Hung one : hung) {
      byPort.computeIfAbsent(one.port(), port -> new ArrayList<>()).add(one.piece());
      one.box().ifPresent(box -> boxes.put(one.piece(), box));
    }
    boolean moves = hung.stream().anyMatch(one -> one.from().isPresent());
    return byPort.isEmpty() ? Optional.empty() : Optional.of(hanging(byPort, boxes, moves));
  }

  /** What hangs in a layout as an edit; at least one piece. */
  static HangPieces hanging(Collection<Placed> some, boolean moves) {
    Map<PortRef, List<String>> byPort = new LinkedHashMap<>();
    Map<String, Integer> boxes = new HashMap<>();
    for (Placed one : some) {
      byPort.computeIfAbsent(one.outlet().ref(), key -> new ArrayList<>()).add(one.piece());
      one.box().ifPresent(box -> boxes.put(one.piece(), box));
    }
    return hanging(byPort, boxes, moves);
  }

  /** What hangs on a first box says nothing of it. */
  private static HangPieces hanging(
      Map<PortRef, List<String>> byPort, Map<String, Integer> boxes, boolean moves) {
    boxes.values().removeIf(box -> box == 1);
    return new HangPieces(
        byPort.entrySet().stream()
            .map(entry -> new HangPieces.OnOutlet(entry.getKey(), entry.getValue()))
            .toList(),
        moves ? Optional.of(true) : Optional.empty(),
        boxes.isEmpty() ? Optional.empty() : Optional.of(boxes));
  }
}
