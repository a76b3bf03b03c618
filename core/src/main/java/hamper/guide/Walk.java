package hamper.guide;

import hamper.value.RefusedException;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;

/**
 * How far a guide has come: every answer rules out the causes that would have been answered
 * otherwise; the next question is one that can still tell two apart.
 *
 * @param next what is asked now; empty: nothing more can be told from there
 * @param left causes that fit all answers
 * @param ruledOut the others, each with the question that ruled it out
 */
public record Walk(Optional<Question> next, List<Cause> left, List<RuledOut> ruledOut) {
  /** Of a question that nobody can answer: nothing is ruled out. */
  public static final String CANNOT_TELL = "cannot-tell";

  public record RuledOut(Cause cause, Question by) {}

  /**
   * @param question its id
   */
  public record Answer(String question, String answer) {}

  public Walk {
    left = List.copyOf(left);
    ruledOut = List.copyOf(ruledOut);
  }

  /**
   * @throws RefusedException where something was answered that cannot be
   */
  public static Walk of(Inquiry inquiry, List<Answer> answers) {
    List<Cause> left = new ArrayList<>(inquiry.causes());
    List<RuledOut> out = new ArrayList<>();
    Set<String> asked = new HashSet<>();
    for (Answer answer : answers) {
      Question question = question(inquiry, answer);
      asked.add(question.id());
      if (answer.answer().equals(CANNOT_TELL)) {
        continue;
      }
      for (Cause cause : List.copyOf(left)) {
        if (!cause.allows(question.id(), question.keyOf(answer.answer()))) {
          left.remove(cause);
          out.add(new RuledOut(cause, question));
        }
      }
    }
    return new Walk(next(inquiry, left, asked), left, out);
  }

  private static Question question(Inquiry inquiry, Answer answer) {
    Question question =
        inquiry.questions().stream()
            .filter(one -> one.id().equals(answer.question()))
            .findFirst()
            .orElseThrow(
                () ->
                    new RefusedException(
                        "question", answer.question(), "this guide does not ask that"));
    if (!answer.answer().equals(CANNOT_TELL) && !question.takes(answer.answer())) {
      throw new RefusedException(
          "answer",
          answer.answer(),
          "choose one of what is offered for \"" + question.ask() + "\"");
    }
    return question;
  }

  /** Of the nearest stage that tells anything apart the question that leaves the fewest. */
  private static Optional<Question> next(Inquiry inquiry, List<Cause> left, Set<String> asked) {
    Question best = null;
    int fewest = Integer.MAX_VALUE;
    for (Question question : inquiry.questions()) {
      if (asked.contains(question.id()) || best != null && question.stage() > best.stage()) {
        continue;
      }
      int most = mostLeft(question, left);
      boolean nearer = best != null && question.stage() < best.stage();
      if (most < left.size() && (best == null || nearer || most < fewest)) {
        best = question;
        fewest = most;
      }
    }
    return Optional.ofNullable(best);
  }

  /** How many causes the least lucky answer leaves; no fewer where it tells none apart. */
  private static int mostLeft(Question question, List<Cause> left) {
    Set<String> possible = new TreeSet<>();
    for (Cause cause : left) {
      Set<String> any = cause.answers().get(question.id());
      if (any != null) {
        possible.addAll(any);
      }
    }
    int most = 0;
    for (String answer : possible) {
      int allowed = 0;
      for (Cause cause : left) {
        allowed += cause.allows(question.id(), answer) ? 1 : 0;
      }
      most = Math.max(most, allowed);
    }
    return possible.isEmpty() ? left.size() : most;
  }
}
