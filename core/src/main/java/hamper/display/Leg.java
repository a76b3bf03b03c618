package hamper.display;

import hamper.value.Require;
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
 */
public record Leg(
    String piece,
    int nullPixels,
    Optional<Double> cableMetres,
    Optional<Integer> box,
    Optional<String> mirrorOf) {
  public Leg {
    Require.id("piece", piece);
    Require.inRange("nullPixels", nullPixels, 0, 1000);
    cableMetres.ifPresent(metres -> Require.inRange("cableMetres", metres, 0, 10_000));
    Require.inRange("box", box, 1, 26);
    mirrorOf.ifPresent(original -> Require.id("mirrorOf", original));
  }

  /** On the controller itself, or on the first box; with a cable of that length (m). */
  public Leg(String piece, int nullPixels, double cableMetres, Optional<String> mirrorOf) {
    this(piece, nullPixels, Optional.of(cableMetres), Optional.empty(), mirrorOf);
  }

  public Leg withGap(int newNullPixels, Optional<Double> newCableMetres) {
    return new Leg(piece, newNullPixels, newCableMetres, box, mirrorOf);
  }

  public Leg withMirrorOf(Optional<String> newMirrorOf) {
    return new Leg(piece, nullPixels, cableMetres, box, newMirrorOf);
  }

  public Leg withBox(Optional<Integer> newBox) {
    return new Leg(piece, nullPixels, cableMetres, newBox, mirrorOf);
  }

  public static Leg of(String piece) {
    return new Leg(piece, 0, Optional.empty(), Optional.empty(), Optional.empty());
  }
}
