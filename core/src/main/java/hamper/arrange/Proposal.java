package hamper.arrange;

import hamper.display.PortRef;
import hamper.edit.HangPieces;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * Where pieces that hang nowhere would hang, and what that costs.
 *
 * @param hung in the order in which they were looked at: prop by prop
 * @param left what fits nowhere
 */
public record Proposal(Aim aim, List<Hung> hung, List<Left> left, Cost cost) {
  /**
   * A piece that has a place.
   *
   * @param because why there, in words
   */
  public record Hung(String piece, String title, PortRef port, String written, String because) {}

  /**
   * A piece that has none.
   *
   * @param because what is in the way everywhere, or on the best of all ports
   */
  public record Left(String piece, String title, String because) {}

  /**
   * What it costs.
   *
   * @param controllers that anything is hung on by it
   * @param another of them nothing hung on before
   * @param outlets ports that anything is hung on by it
   * @param metres of cable between zones; within a zone nobody knows (m)
   * @param splitProps props of which some hang on one controller and some on another
   * @param least what no way to hang the same pieces can go below
   */
  public record Cost(
      int controllers, int another, int outlets, double metres, int splitProps, Least least) {}

  public Proposal {
    hung = List.copyOf(hung);
    left = List.copyOf(left);
  }

  /** As one step; empty where nothing fits anywhere. */
  public Optional<HangPieces> edit() {
    Map<PortRef, List<String>> byPort = new LinkedHashMap<>();
    hung.forEach(
        one -> byPort.computeIfAbsent(one.port(), port -> new ArrayList<>()).add(one.piece()));
    return byPort.isEmpty() ? Optional.empty() : Optional.of(hanging(byPort));
  }

  /** As an edit; at least one. */
  static HangPieces hanging(Map<PortRef, List<String>> byPort) {
    return new HangPieces(
        byPort.entrySet().stream()
            .map(entry -> new HangPieces.OnOutlet(entry.getKey(), entry.getValue()))
            .toList());
  }
}
