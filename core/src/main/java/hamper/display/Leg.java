package hamper.display;

import hamper.catalog.Gauge;
import hamper.value.Require;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * One piece in a run, with the gap before it.
 *
 * @param piece the id of the piece
 * @param nullPixels in the gap before it
 * @param cableMetres of the gap (m), where somebody entered it; left out: as {@link Cable}
 *     estimates
 * @param box the remote box whose socket it hangs on, from 1 at the near end of the chain
 * @param mirrorOf the piece whose addresses it answers to, where it is a mirror
 * @param cableGauge of the gap; left out: {@link Wiring#CABLE}
 * @param cut conductors that do not pass the joint before it; of the first leg of a run that joint
 *     is the socket, and nothing is cut there
 * @param feeds where power enters its string besides the plug, in order of position
 */
public record Leg(
    String piece,
    int nullPixels,
    Optional<Double> cableMetres,
    Optional<Integer> box,
    Optional<String> mirrorOf,
    Optional<Gauge> cableGauge,
    List<Conductor> cut,
    List<Feed> feeds) {
  /** Most feeds of one leg. */
  public static final int MOST_FEEDS = 1000;

  public Leg {
    cut = cut.stream().distinct().sorted().toList();
    feeds = feeds.stream().sorted(Comparator.comparingInt(Feed::position)).toList();
    Require.inRange("feeds", feeds.size(), 0, MOST_FEEDS);
    Require.id("piece", piece);
    Require.inRange("nullPixels", nullPixels, 0, 1000);
    cableMetres.ifPresent(metres -> Require.inRange("cableMetres", metres, 0, 10_000));
    Require.inRange("box", box, 1, 26);
    mirrorOf.ifPresent(original -> Require.id("mirrorOf", original));
  }

  /** On the controller itself, or on the first box; with a cable of that length (m). */
  public Leg(String piece, int nullPixels, double cableMetres, Optional<String> mirrorOf) {
    this(
        piece,
        nullPixels,
        Optional.of(cableMetres),
        Optional.empty(),
        mirrorOf,
        Optional.empty(),
        List.of(),
        List.of());
  }

  public Leg withGap(
      int newNullPixels, Optional<Double> newCableMetres, Optional<Gauge> newCableGauge) {
    return new Leg(piece, newNullPixels, newCableMetres, box, mirrorOf, newCableGauge, cut, feeds);
  }

  public Leg withBox(Optional<Integer> newBox) {
    return new Leg(piece, nullPixels, cableMetres, newBox, mirrorOf, cableGauge, cut, feeds);
  }

  public Leg withCut(List<Conductor> newCut) {
    return new Leg(piece, nullPixels, cableMetres, box, mirrorOf, cableGauge, newCut, feeds);
  }

  public Leg withFeeds(List<Feed> newFeeds) {
    return new Leg(piece, nullPixels, cableMetres, box, mirrorOf, cableGauge, cut, newFeeds);
  }

  public Gauge gaugeOrUsual() {
    return cableGauge.orElse(Wiring.CABLE);
  }

  public static Leg of(String piece) {
    return new Leg(
        piece,
        0,
        Optional.empty(),
        Optional.empty(),
        Optional.empty(),
        Optional.empty(),
        List.of(),
        List.of());
  }
}
