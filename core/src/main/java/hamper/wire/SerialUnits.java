package hamper.wire;

import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.Optional;

/**
 * How packs of dimmed circuits on a serial line are asked who they are: lines of text, each ended
 * by a carriage return. docs/formats/serial-line.md.
 */
public final class SerialUnits {
  /** Baud, 8 data bits, no parity, one stop bit. */
  public static final int BAUD = 38_400;

  /** Whoever is asked answers within so long (ms). */
  public static final int ANSWER_MILLIS = 40;

  /** Highest number that can be called. */
  public static final int HIGHEST = 120;

  /** Longest answer with its end (bytes). */
  public static final int MOST_BYTES = 120;

  public static final byte END = '\r';

  private static final int MOST_TEXT = 40;
  private static final int FIELDS = 5;

  private SerialUnits() {}

  /**
   * What a pack says of itself.
   *
   * @param number 1..120
   * @param circuits 1..64
   */
  public record Unit(int number, int circuits, String serial, String maker, String model) {
    public Unit {
      if (number < 1 || number > HIGHEST || circuits < 1 || circuits > 64) {
        throw new IllegalArgumentException(
            "a unit has a number up to %d and up to 64 circuits".formatted(HIGHEST));
      }
    }
  }

  /** Asks the pack of a number. */
  public static byte[] question(int number) {
    return ("?" + number + "\r").getBytes(StandardCharsets.US_ASCII);
  }

  /**
   * @param line without its end
   * @return the number that is asked for; empty where it is no question
   */
  public static Optional<Integer> asked(byte[] line) {
    String text = new String(line, StandardCharsets.US_ASCII);
    return text.matches("\\?[1-9]\\d{0,2}")
        ? Optional.of(Integer.parseInt(text.substring(1)))
        : Optional.empty();
  }

  /** What the pack answers, with its end. */
  public static byte[] answer(Unit unit) {
    String text =
        "!%d,%d,%s,%s,%s"
            .formatted(
                unit.number(),
                unit.circuits(),
                plain(unit.serial()),
                plain(unit.maker()),
                plain(unit.model()));
    byte[] bytes = text.getBytes(StandardCharsets.US_ASCII);
    return (text + "*%02X\r".formatted(check(bytes, bytes.length)))
        .getBytes(StandardCharsets.US_ASCII);
  }

  /** Letters of ASCII that separate nothing here. */
  private static String plain(String text) {
    String kept = text.replaceAll("[^ -~]|[,*!?]", "");
    return kept.substring(0, Math.min(kept.length(), MOST_TEXT));
  }

  private static int check(byte[] bytes, int count) {
    int check = 0;
    for (int i = 0; i < count; i++) {
      check ^= bytes[i] & 255;
    }
    return check;
  }

  /**
   * Reads an answer.
   *
   * @param line without its end
   * @return empty where it is none: several answered at once, or something disturbed it
   */
  public static Optional<Unit> read(byte[] line, int asked) {
    int star = line.length - 3;
    if (star < 1 || line[0] != '!' || line[star] != '*') {
      return Optional.empty();
    }
    String told = new String(line, star + 1, 2, StandardCharsets.US_ASCII);
    if (!told.equals("%02X".formatted(check(line, star)))) {
      return Optional.empty();
    }
    String text = new String(Arrays.copyOfRange(line, 1, star), StandardCharsets.US_ASCII);
    String[] fields = text.split(",", -1);
    boolean numbers =
        fields.length == FIELDS
            && fields[0].matches("\\d{1,3}")
            && fields[1].matches("\\d{1,2}")
            && Integer.parseInt(fields[0]) == asked;
    try {
      return numbers
          ? Optional.of(
              new Unit(
                  Integer.parseInt(fields[0]),
                  Integer.parseInt(fields[1]),
                  fields[2],
                  fields[3],
                  fields[4]))
          : Optional.empty();
    } catch (IllegalArgumentException e) {
      return Optional.empty();
    }
  }
}
