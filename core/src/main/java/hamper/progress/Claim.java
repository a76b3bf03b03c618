package hamper.progress;

import hamper.progress.Progress.StringAt;
import hamper.progress.StringFact.Reached;
import hamper.progress.StringFact.Settled;
import hamper.progress.StringFact.Stored;
import hamper.progress.StringFact.Trouble;
import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.Predicate;

/**
 * What somebody says of a string who may have been out of reach since: two who say the same agree,
 * and what is known of a later time stands.
 *
 * @param fact with the time at which it was said
 * @param back whether a stage is taken back to, not reached
 */
public record Claim(StringFact fact, boolean back) {
  /** What becomes of a claim. */
  public enum Verdict {
    /** It is added. */
    TAKEN,
    /** It is so already. */
    AGREED,
    /** Somebody said otherwise later. */
    OVERTAKEN
  }

  /**
   * The same, said after all that the same person is known to have said: phones send in the order
   * in which it was said, and only how long they take differs.
   *
   * @param known what is known of the string
   */
  public Claim inOrder(List<StringFact> known) {
    Instant last =
        known.stream()
            .filter(one -> one.by().equals(fact.by()))
            .map(StringFact::at)
            .max(Comparator.naturalOrder())
            .orElse(Instant.MIN);
    if (fact.at().isAfter(last)) {
      return this;
    }
    StringFact after = new StringFact(fact.piece(), last.plusMillis(1), fact.by(), fact.what());
    return new Claim(after, back);
  }

  /**
   * @param now where the string is
   * @param known what is known of the string, oldest first
   */
  public Verdict against(StringAt now, List<StringFact> known) {
    if (fact.what() instanceof Reached reached) {
      return back ? takenBack(now, known, reached) : reached(now, known, reached);
    } else if (fact.what() instanceof Trouble) {
      return now.trouble().filter(fact.what()::equals).isPresent() ? Verdict.AGREED : Verdict.TAKEN;
    } else if (fact.what() instanceof Settled) {
      if (now.trouble().isEmpty()) {
        return Verdict.AGREED;
      }
      return later(known, Trouble.class::isInstance) ? Verdict.OVERTAKEN : Verdict.TAKEN;
    }
    return Verdict.TAKEN;
  }

  private Verdict reached(StringAt now, List<StringFact> known, Reached reached) {
    // a mark of having been seen right may have lapsed, and is set again by the same word
    boolean same = reached.stage() != Stage.SEEN_RIGHT && last(known).equals(Optional.of(reached));
    if (same || now.stage().compareTo(reached.stage()) >= 0) {
      return Verdict.AGREED;
    }
    return later(known, Claim::ofStage) ? Verdict.OVERTAKEN : Verdict.TAKEN;
  }

  private Verdict takenBack(StringAt now, List<StringFact> known, Reached reached) {
    if (now.stage().compareTo(reached.stage()) <= 0 && !now.elsewhere()) {
      return Verdict.AGREED;
    }
    return later(known, Claim::ofStage) ? Verdict.OVERTAKEN : Verdict.TAKEN;
  }

  private static boolean ofStage(StringFact.What what) {
    return what instanceof Reached || what instanceof Stored;
  }

  private boolean later(List<StringFact> known, Predicate<StringFact.What> kind) {
    Instant said = fact.at();
    return known.stream().anyMatch(one -> one.at().isAfter(said) && kind.test(one.what()));
  }

  private static Optional<StringFact.What> last(List<StringFact> known) {
    return known.stream()
        .map(StringFact::what)
        .filter(Claim::ofStage)
        .reduce((before, after) -> after);
  }
}
