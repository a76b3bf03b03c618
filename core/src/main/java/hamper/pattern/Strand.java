package hamper.pattern;

import hamper.display.GridOrder.Cell;
import hamper.display.Section;
import hamper.display.Wall;
import hamper.resolve.PixelMap;
import hamper.resolve.WallMap;
import java.util.Arrays;

/**
 * The pixels of one section, or of a wall, as somebody sees them who stands before them. Places are
 * those that light, counted along the wire over the whole piece from 1; on a wall row by row from
 * the top left, as seen from the front.
 */
public final class Strand {
  private static final int NOT_HERE = -1;

  private final int port;
  private final int leg;
  private final int before;
  private final int total;
  private final int columns;

  /** The address, from 0, of each place of this section. */
  private final int[] addressAt;

  /** The first place, counted over the piece from 1, of each address. */
  private final int[] first;

  private Strand(int port, int leg, int before, int total, int columns, int[] addressAt) {
    this.port = port;
    this.leg = leg;
    this.before = before;
    this.total = total;
    this.columns = columns;
    this.addressAt = addressAt;
    first = new int[Arrays.stream(addressAt).max().orElse(-1) + 1];
    for (int i = addressAt.length - 1; i >= 0; i--) {
      first[addressAt[i]] = before + i + 1;
    }
  }

  /**
   * @param port its number, from 1
   * @param leg along the run, from 0
   * @param before pixels of the piece before this section
   * @param total pixels of the piece
   */
  public static Strand of(int port, int leg, int before, int total, Section section, PixelMap map) {
    int[] addressAt = new int[section.pixels()];
    Arrays.setAll(addressAt, i -> map.addressAt(section.nullPixels() + i).orElseThrow());
    return new Strand(port, leg, before, total, 0, addressAt);
  }

  public static Strand of(int port, Wall wall) {
    WallMap map = WallMap.of(wall);
    int columns = wall.width();
    int[] addressAt = new int[wall.pixels()];
    Arrays.setAll(addressAt, i -> map.addressAt(new Cell(i % columns, i / columns)));
    return new Strand(port, 0, 0, addressAt.length, columns, addressAt);
  }

  /**
   * Pixels that stand one after another, such as those of a strip decoder.
   *
   * @param pixels how many
   */
  public static Strand plain(int port, int leg, int pixels) {
    int[] addressAt = new int[pixels];
    Arrays.setAll(addressAt, i -> i);
    return new Strand(port, leg, 0, pixels, 0, addressAt);
  }

  public int port() {
    return port;
  }

  public int leg() {
    return leg;
  }

  /** Pixels of the piece. */
  public int total() {
    return total;
  }

  public int addresses() {
    return first.length;
  }

  /** Columns of a wall; 0 where it is none. */
  public int columns() {
    return columns;
  }

  /** Rows of a wall; 0 where it is none. */
  public int rows() {
    return columns == 0 ? 0 : total / columns;
  }

  /** The first place that shows an address. */
  public int firstOf(int address) {
    return first[address];
  }

  /** Whether a place, counted over the piece from 1, shows an address of this section. */
  public boolean shows(int place, int address) {
    int here = place - before - 1;
    return (here >= 0 && here < addressAt.length ? addressAt[here] : NOT_HERE) == address;
  }
}
