package hamper.progress;

import hamper.value.Require;
import java.time.Instant;
import java.util.Optional;

/**
 * Something that happened to a string. Facts are kept beside the display and are not undone; what
 * is so now follows from them and from the plan.
 *
 * @param piece id of the string
 * @param by who said so; may be empty
 */
public record StringFact(String piece, Instant at, String by, What what) {
  /** Longest reason, in characters. */
  public static final int LONGEST_REASON = 400;

  private static final int LONGEST_NAME = 80;

  /** What happened. */
  public sealed interface What permits Reached, Trouble, Settled, Noted, Stored {
    /** In words. */
    String told();

    /** Name of a photo of it that is kept, where there is one. */
    default Optional<String> photoKept() {
      return Optional.empty();
    }
  }

  /**
   * A stage was reached, or taken back to.
   *
   * @param socket the port that it hangs on, as the plan had it then; left out where it hung
   *     nowhere
   */
  public record Reached(Stage stage, Optional<String> socket) implements What {
    @Override
    public String told() {
      return stage.title();
    }
  }

  /** How soon trouble has to be settled. */
  public enum Urgency {
    TONIGHT("tonight"),
    SOON("soon"),
    LATER("later");

    private final String title;

    Urgency(String title) {
      this.title = title;
    }

    public String title() {
      return title;
    }
  }

  /**
   * Something is wrong with it.
   *
   * @param owner whose it is to settle; may be empty
   * @param photo name of a photo that is kept, where there is one
   */
  public record Trouble(String reason, Urgency urgency, String owner, Optional<String> photo)
      implements What {
    public Trouble {
      Require.text("reason", reason, LONGEST_REASON);
      Require.that(!reason.isBlank(), "reason", "nothing", "say what is wrong");
      Require.text("owner", owner, LONGEST_NAME);
      photo.ifPresent(name -> Require.id("photo", name));
    }

    @Override
    public String told() {
      String whose = owner.isEmpty() ? "" : " (" + owner + ")";
      return "trouble, %s: %s%s".formatted(urgency.title(), reason, whose);
    }

    @Override
    public Optional<String> photoKept() {
      return photo;
    }
  }

  /** The trouble is over. */
  public record Settled() implements What {
    @Override
    public String told() {
      return "trouble settled";
    }
  }

  /**
   * Something is different from the plan, or worth knowing.
   *
   * @param photo name of a photo that is kept, where there is one
   */
  public record Noted(String text, Optional<String> photo) implements What {
    public Noted {
      Require.text("text", text, LONGEST_REASON);
      Require.that(
          !text.isBlank() || photo.isPresent(), "text", "nothing", "write a note, or add a photo");
      photo.ifPresent(name -> Require.id("photo", name));
    }

    @Override
    public String told() {
      return text.isBlank() ? "photo" : "note: " + text;
    }

    @Override
    public Optional<String> photoKept() {
      return photo;
    }
  }

  /** What it is good for after the season. */
  public enum Condition {
    GOOD("good"),
    REPAIR("to repair"),
    SCRAP("scrap");

    private final String title;

    Condition(String title) {
      this.title = title;
    }

    public String title() {
      return title;
    }
  }

  /**
   * Taken down and put away.
   *
   * @param place where it lies; may be empty
   */
  public record Stored(Condition condition, String place) implements What {
    public Stored {
      Require.text("place", place, LONGEST_NAME);
    }

    @Override
    public String told() {
      return "put away, " + condition.title() + (place.isEmpty() ? "" : ", in " + place);
    }
  }

  public StringFact {
    Require.id("piece", piece);
    Require.text("by", by, LONGEST_NAME);
  }
}
