package hamper.why;

import hamper.check.Subject;
import java.util.Optional;

/**
 * One part of a sum.
 *
 * @param label what it is
 * @param amount in the unit of the sum
 * @param note how it came about, where that needs saying; empty else
 * @param setAt where it is set, so that one can go there
 * @param from the question whose answer it is, so that one can ask on
 */
public record Term(
    String label, double amount, String note, Optional<Subject> setAt, Optional<Question> from) {

  static Term of(String label, double amount) {
    return new Term(label, amount, "", Optional.empty(), Optional.empty());
  }

  Term noted(String text) {
    return new Term(label, amount, text, setAt, from);
  }

  Term at(Subject subject) {
    return new Term(label, amount, note, Optional.of(subject), from);
  }

  Term asking(Question question) {
    return new Term(label, amount, note, setAt, Optional.of(question));
  }
}
