package hamper.display;

import hamper.value.Require;
import java.util.Optional;

/**
 * The label on a string or a cable: it belongs to the thing and stays when that moves, and when it
 * leaves the plan.
 *
 * @param text as it is printed, such as C042
 * @param of the id of the string; of a cable or a lead the string that it leads to; of a bank's
 *     cable the controller
 * @param bank of a bank's cable, from 1; of a lead the number of its feed
 * @param box at the far end of a bank's cable, from 1
 * @param name of the thing when it got the tag, for when it is gone from the plan
 */
public record Tag(
    String text, Kind kind, String of, Optional<Integer> bank, Optional<Integer> box, String name) {
  /** What a tag is on. */
  public enum Kind {
    STRING('S'),
    /** The cable that leads to a string. */
    CABLE('C'),
    /** A cable from a controller to its remote boxes, or between two of them. */
    BANK('B'),
    /** The lead of a feed: its tag stands with the feed, which goes where the string goes. */
    LEAD('P');

    private final char letter;

    Kind(char letter) {
      this.letter = letter;
    }
  }

  /** What a tag is on, whatever it says. */
  public record On(Kind kind, String of, Optional<Integer> bank, Optional<Integer> box) {
    public static On string(String piece) {
      return new On(Kind.STRING, piece, Optional.empty(), Optional.empty());
    }

    public static On cable(String piece) {
      return new On(Kind.CABLE, piece, Optional.empty(), Optional.empty());
    }

    /**
     * @param index of the feed on the string, from 0
     */
    public static On lead(String piece, int index) {
      return new On(Kind.LEAD, piece, Optional.of(index + 1), Optional.empty());
    }

    public static On bank(String controller, BankCable cable) {
      return new On(Kind.BANK, controller, Optional.of(cable.bank()), Optional.of(cable.box()));
    }

    public On {
      Require.id("of", of);
      Require.that(
          bank.isPresent() == (kind == Kind.BANK || kind == Kind.LEAD),
          "bank",
          bank.map(String::valueOf).orElse("none"),
          "a bank's cable has a bank, a lead the number of its feed; nothing else has");
      Require.that(
          box.isPresent() == (kind == Kind.BANK),
          "box",
          box.map(String::valueOf).orElse("none"),
          "a bank's cable has a box; nothing else has");
      Require.inRange("bank", bank, 1, Leg.MOST_FEEDS);
      Require.inRange("box", box, 1, 26);
    }
  }

  public Tag {
    written("text", text);
    new On(kind, of, bank, box);
    Require.text("name", name, 200);
  }

  /**
   * @throws hamper.value.RefusedException where a text is no tag
   */
  static void written(String field, String text) {
    Require.that(
        text != null && text.matches("[A-Za-z0-9][A-Za-z0-9./-]{0,11}"),
        field,
        Require.quoted(text),
        "a tag has 1 to 12 letters, digits, points, dashes and strokes, such as C042");
  }

  public static Tag of(String text, On on, String name) {
    return new Tag(text, on.kind(), on.of(), on.bank(), on.box(), name);
  }

  public On on() {
    return new On(kind, of, bank, box);
  }

  /** The tag of a number. */
  static String text(Kind kind, int number) {
    return "%c%03d".formatted(kind.letter, number);
  }
}
