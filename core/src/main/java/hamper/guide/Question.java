package hamper.guide;

import java.util.List;
import java.util.Optional;

/**
 * One thing to look at.
 *
 * @param id unlike any other of its guide
 * @param stage from near to far: what stands lower is asked first
 * @param ask in words
 * @param doing what is done before
 * @param choices what may be answered; where a number is, those that are no number
 * @param number whether a number is typed
 * @param volts that should be there, where they are measured and typed (V)
 */
public record Question(
    String id,
    int stage,
    String ask,
    Doing doing,
    List<Choice> choices,
    boolean number,
    Optional<Double> volts) {
  /** Answers of what was measured. */
  static final String AS_PLANNED = "planned";

  static final String FAR_LESS = "less";
  static final String NO_VOLTS = "none";

  /** So much of it is as good as all. */
  private static final double ENOUGH = 0.9;

  /** Below this nothing is there (V). */
  private static final double NOTHING = 1;

  /**
   * @param key of the answer
   * @param words as somebody says it
   */
  public record Choice(String key, String words) {}

  public Question {
    choices = List.copyOf(choices);
  }

  /** Keys and words in turn. */
  static Question of(String id, int stage, String ask, Doing doing, String... keysAndWords) {
    return new Question(id, stage, ask, doing, choices(keysAndWords), false, Optional.empty());
  }

  /** A number, or none of it. */
  static Question number(String id, int stage, String ask, Doing doing, String... keysAndWords) {
    return new Question(id, stage, ask, doing, choices(keysAndWords), true, Optional.empty());
  }

  /**
   * What is measured between plus and minus, and typed; or told in words.
   *
   * @param volts that should be there (V)
   */
  static Question measured(String id, int stage, String ask, double volts, boolean nothing) {
    String[] words =
        nothing
            ? new String[] {AS_PLANNED, "about that", FAR_LESS, "far less", NO_VOLTS, "nothing"}
            : new String[] {AS_PLANNED, "about that", FAR_LESS, "far less"};
    return new Question(
        id, stage, ask, new Doing.Look(), choices(words), false, Optional.of(volts));
  }

  private static List<Choice> choices(String... keysAndWords) {
    Choice[] choices = new Choice[keysAndWords.length / 2];
    for (int i = 0; i < choices.length; i++) {
      choices[i] = new Choice(keysAndWords[2 * i], keysAndWords[2 * i + 1]);
    }
    return List.of(choices);
  }

  /** Whether something may be answered. */
  public boolean takes(String answer) {
    return number && answer.matches("\\d{1,6}")
        || volts.isPresent() && isMeasured(answer)
        || choices.stream().anyMatch(choice -> choice.key().equals(answer));
  }

  private static boolean isMeasured(String answer) {
    return answer.matches("\\d{1,3}(\\.\\d{1,3})?");
  }

  /** The key that an answer stands for: volts that were typed are enough, far less, or none. */
  public String keyOf(String answer) {
    if (volts.isEmpty() || !isMeasured(answer)) {
      return answer;
    }
    double measured = Double.parseDouble(answer);
    if (measured >= ENOUGH * volts.get()) {
      return AS_PLANNED;
    }
    boolean none = measured < NOTHING && choices.stream().anyMatch(c -> c.key().equals(NO_VOLTS));
    return none ? NO_VOLTS : FAR_LESS;
  }
}
