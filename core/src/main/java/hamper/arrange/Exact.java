package hamper.arrange;

import hamper.display.PieceAt;
import hamper.display.PixelString;
import hamper.display.PortRef;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * Few pieces on few ports: every way to hang them, the cheapest first, until one has nothing wrong.
 */
final class Exact {
  /** More ways than these are not looked through. */
  private static final int MOST_WAYS = 20_000;

  /** So many are checked before it is given up. */
  private static final int MOST_CHECKS = 1_500;

  /** What it costs to leave a piece: more than anything else together. */
  static final double LEFT = 1e8;

  /** A way to hang all pieces: for each its port, or none. */
  private record Way(double sum, Outlet[] at) {}

  private final Layout layout;
  private final List<PieceAt> pieces;
  private final Trouble trouble;
  private final List<Way> ways = new ArrayList<>();

  /** Beginnings of wires that are wrong by themselves, and those that are not. */
  private final Set<String> bad = new HashSet<>();

  private final Set<String> good = new HashSet<>();
  private int checks;

  private Exact(Layout layout, List<PieceAt> pieces, Trouble trouble) {
    this.layout = layout;
    this.pieces = pieces;
    this.trouble = trouble;
  }

  /**
   * Hangs the pieces in the best way that there is.
   *
   * @return whether it was found; else the layout is as it was
   */
  static boolean hang(Layout layout, List<PieceAt> pieces, Trouble trouble) {
    double count = 1;
    for (int i = 0; i < pieces.size() && count <= MOST_WAYS; i++) {
      count *=
          1
              + layout.boards(pieces.get(i).piece().portKind()).stream()
                  .mapToInt(board -> board.outlets().size())
                  .sum();
    }
    return count <= MOST_WAYS && new Exact(layout, pieces, trouble).hang();
  }

  private boolean hang() {
    collect(0, 0, new Outlet[pieces.size()]);
    ways.sort(Comparator.comparingDouble(Way::sum));
    for (Way way : ways) {
      Map<PortRef, List<PieceAt>> wires = wires(way);
      if (wires.entrySet().stream().anyMatch(this::isKnownBad)) {
        continue;
      }
      List<Placed> hung = hang(way);
      if (isRight(hung)) {
        return true;
      }
      takeOff(hung);
      wires.forEach(this::learn);
      if (checks > MOST_CHECKS) {
        return false;
      }
    }
    return false;
  }

  private boolean isRight(List<Placed> hung) {
    checks++;
    return trouble.with(hung).isEmpty();
  }

  private void takeOff(List<Placed> hung) {
    for (int i = hung.size() - 1; i >= 0; i--) {
      layout.takeOff(hung.get(i));
    }
  }

  /** What hangs on each port, along its wire. */
  private Map<PortRef, List<PieceAt>> wires(Way way) {
    Map<PortRef, List<PieceAt>> wires = new LinkedHashMap<>();
    for (int i = 0; i < pieces.size(); i++) {
      if (way.at()[i] != null) {
        wires.computeIfAbsent(way.at()[i].ref(), ref -> new ArrayList<>()).add(pieces.get(i));
      }
    }
    return wires;
  }

  private static String key(PortRef port, List<PieceAt> wire) {
    return port + wire.stream().map(at -> at.piece().id()).toList().toString();
  }

  /** Whether a wire begins as one that was wrong by itself: more on it heals nothing. */
  private boolean isKnownBad(Map.Entry<PortRef, List<PieceAt>> wire) {
    for (int length = 1; length <= wire.getValue().size(); length++) {
      if (bad.contains(key(wire.getKey(), wire.getValue().subList(0, length)))) {
        return true;
      }
    }
    return false;
  }

  /** Finds how much of a wire is wrong by itself, if it is. */
  private void learn(PortRef port, List<PieceAt> wire) {
    List<Placed> hung = new ArrayList<>();
    for (int length = 1; length <= wire.size(); length++) {
      PieceAt at = wire.get(length - 1);
      hung.add(layout.hang(at, layout.outlet(port)));
      String key = key(port, wire.subList(0, length));
      if (!good.contains(key)) {
        if (isRight(hung)) {
          good.add(key);
        } else {
          bad.add(key);
          break;
        }
      }
    }
    takeOff(hung);
  }

  private List<Placed> hang(Way way) {
    List<Placed> hung = new ArrayList<>();
    for (int i = 0; i < pieces.size(); i++) {
      PieceAt at = pieces.get(i);
      Optional.ofNullable(way.at()[i]).ifPresent(outlet -> hung.add(layout.hang(at, outlet)));
    }
    return hung;
  }

  private void collect(int index, double sum, Outlet[] at) {
    if (index == pieces.size()) {
      ways.add(new Way(sum, at.clone()));
      return;
    }
    PieceAt piece = pieces.get(index);
    for (Board board : layout.boards(piece.piece().portKind())) {
      for (Outlet outlet : board.outlets()) {
        // of strings the checks say what does not go; two of anything else cannot share a port
        if (piece.piece() instanceof PixelString || outlet.against(piece).isEmpty()) {
          if (outlet.spot(piece).isEmpty()) {
            continue;
          }
          Placed placed = layout.hang(piece, outlet);
          at[index] = outlet;
          collect(index + 1, sum + placed.cost(), at);
          layout.takeOff(placed);
        }
      }
    }
    at[index] = null;
    collect(index + 1, sum + LEFT, at);
  }
}
