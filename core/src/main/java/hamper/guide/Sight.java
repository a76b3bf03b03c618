package hamper.guide;

import java.util.Arrays;
import java.util.HashSet;
import java.util.Set;

/**
 * What somebody sees of a string who stands before it, and how it is put into words: the same for
 * what is worked out from a cause and for what a stand-in shows.
 *
 * @param width channels of a pixel
 * @param levels pixel by pixel from the plug, null pixels counted; colours in natural order
 */
public record Sight(int width, byte[] levels) {
  public static final String DARK = "dark";
  public static final String STRIPES = "stripes";
  public static final String NONE = "none";
  public static final String BRIGHTER = "brighter";
  public static final String AS_PLANNED = "as-planned";

  private static final String[] COLOURS = {"red", "green", "blue", "white", "amber", "violet"};
  private static final int COLOURED = 3;

  /** So much brighter is seen. */
  private static final double SEEN = 1.3;

  public static final String LIKE_OTHERS = "like-others";
  public static final String FROZEN = "frozen";
  public static final String FLICKERS = "flickers";

  private static final int BYTE = 255;

  /** Less than this part of the brightest is not seen. */
  private static final int UNSEEN_PART = 3;

  /** So many times less is a glow. */
  private static final int FAINT = 4;

  /** More than these beside each other are no picture that stands still. */
  private static final int FEW_COLOURS = 4;

  public int pixels() {
    return levels.length / width;
  }

  /** Which colours of a pixel are lit, as bits; 0 where it is dark. */
  private int lit(int pixel) {
    int lit = 0;
    for (int c = 0; c < width; c++) {
      lit |= levels[pixel * width + c] == 0 ? 0 : 1 << c;
    }
    return lit;
  }

  /** How many pixels light. */
  public int lit() {
    int count = 0;
    for (int p = 0; p < pixels(); p++) {
      count += lit(p) == 0 ? 0 : 1;
    }
    return count;
  }

  /** The colour of all that lights: "red", "mixed", {@link #STRIPES} where pixels differ. */
  public String colour() {
    Set<Integer> colours = new HashSet<>();
    for (int p = 0; p < pixels(); p++) {
      int lit = lit(p);
      if (lit != 0) {
        colours.add(lit);
      }
    }
    if (colours.isEmpty()) {
      return DARK;
    } else if (colours.size() > 1) {
      return STRIPES;
    }
    int lit = colours.iterator().next();
    if (width < COLOURED) {
      return "white";
    }
    return Integer.bitCount(lit) == 1 ? COLOURS[Integer.numberOfTrailingZeros(lit)] : "mixed";
  }

  /** What is seen of the pixels near the plug. */
  public Sight part(int pixels) {
    return new Sight(width, Arrays.copyOf(levels, Math.min(levels.length, pixels * width)));
  }

  /** The first pixel that lights, from 1; {@link #NONE}. */
  public String first() {
    for (int p = 0; p < pixels(); p++) {
      if (lit(p) != 0) {
        return Integer.toString(p + 1);
      }
    }
    return NONE;
  }

  /** The last pixel that lights, from 1; {@link #NONE}. */
  public String last() {
    for (int p = pixels() - 1; p >= 0; p--) {
      if (lit(p) != 0) {
        return Integer.toString(p + 1);
      }
    }
    return NONE;
  }

  /** The last pixel before the first that does not look as it is meant to; or none. */
  public String lastAsMeant(Sight meant) {
    String last = NONE;
    for (int p = 0; p < pixels() && looks(p, meant); p++) {
      last = lit(p) == 0 ? last : Integer.toString(p + 1);
    }
    return last;
  }

  /** Whether a pixel looks as it is meant to: a small difference nobody sees. */
  private boolean looks(int pixel, Sight meant) {
    int seen = meant.brightest() / UNSEEN_PART;
    for (int i = pixel * width; i < (pixel + 1) * width; i++) {
      int here = levels[i] & BYTE;
      int there = i < meant.levels.length ? meant.levels[i] & BYTE : 0;
      if (Math.abs(here - there) > seen) {
        return false;
      }
    }
    return true;
  }

  /** How bright it is beside what is planned; {@link #NONE} where it is dark. */
  public String brightness(Sight planned) {
    int here = brightest();
    if (here == 0) {
      return NONE;
    }
    return here > SEEN * planned.brightest() ? BRIGHTER : AS_PLANNED;
  }

  /** Whether it shows something, and far less than is planned. */
  public boolean glows(Sight planned) {
    return brightest() > 0 && brightest() * FAINT < planned.brightest();
  }

  /** What is from the first pixel on that does not look as it is meant to. */
  public String behind(Sight meant) {
    int from = 0;
    while (from < pixels() && looks(from, meant)) {
      from++;
    }
    if (from == pixels()) {
      return LIKE_OTHERS;
    }
    Set<String> seen = new HashSet<>();
    boolean dark = true;
    for (int p = from; p < pixels(); p++) {
      seen.add(Arrays.toString(Arrays.copyOfRange(levels, p * width, (p + 1) * width)));
      dark &= lit(p) == 0;
    }
    if (dark) {
      return DARK;
    }
    return seen.size() > FEW_COLOURS ? FLICKERS : FROZEN;
  }

  private int brightest() {
    int most = 0;
    for (byte level : levels) {
      most = Math.max(most, level & BYTE);
    }
    return most;
  }

  @Override
  public boolean equals(Object other) {
    return other instanceof Sight sight
        && width == sight.width
        && Arrays.equals(levels, sight.levels);
  }

  @Override
  public int hashCode() {
    return 31 * width + Arrays.hashCode(levels);
  }

  @Override
  public String toString() {
    return "%s, %s to %s".formatted(colour(), first(), last());
  }
}
