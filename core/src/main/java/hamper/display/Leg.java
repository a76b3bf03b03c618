package hamper.display;

import hamper.value.Require;
import java.util.Optional;

/**
 * One piece in a run, with the gap before it.
 *
 * @param piece the id of the piece
 * @param nullPixels in the gap before it
 * @param cableMetres of the gap (m)
 * @param mirrorOf the piece whose addresses it answers to, where it is a mirror
 */
public record Leg(String piece, int nullPixels, double cableMetres, Optional<String> mirrorOf) {
  public Leg {
    Require.id("piece", piece);
    Require.inRange("nullPixels", nullPixels, 0, 1000);
    Require.inRange("cableMetres", cableMetres, 0, 10_000);
    mirrorOf.ifPresent(original -> Require.id("mirrorOf", original));
  }

  public static Leg of(String piece) {
    return new Leg(piece, 0, 0, Optional.empty());
  }
}
