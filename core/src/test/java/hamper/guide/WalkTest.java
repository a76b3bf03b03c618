package hamper.guide;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import hamper.value.RefusedException;
import java.util.List;
import org.junit.jupiter.api.Test;

/** Answers rule causes out; what tells most is asked next, from near to far. */
class WalkTest {
  private static final Question POWER =
      Question.of("power", 0, "Does its lamp burn?", new Doing.Look(), "yes", "yes", "no", "no");
  private static final Question FIRST =
      Question.number("first", 1, "Which one lights?", new Doing.Look(), "none", "none");
  private static final Question WIDE =
      Question.of("wide", 1, "How wide?", new Doing.Look(), "a", "a", "b", "b");

  private static final Inquiry INQUIRY =
      new Inquiry(
          GuideKind.SHIFTED,
          List.of(WIDE, FIRST, POWER),
          List.of(
              Cause.of("off", "off", "").answers("power", "no"),
              Cause.of("one", "one", "")
                  .answers("power", "yes")
                  .answers("first", "1")
                  .answers("wide", "a"),
              Cause.of("two", "two", "")
                  .answers("power", "yes")
                  .answers("first", "2")
                  .answers("wide", "a"),
              Cause.of("three", "three", "")
                  .answers("power", "yes")
                  .answers("first", "none")
                  .answers("wide", "b"),
              Cause.of("any", "any", "").answers("power", "yes").answers("first", "1")));

  private static Walk walk(String... questionsAndAnswers) {
    Walk.Answer[] answers = new Walk.Answer[questionsAndAnswers.length / 2];
    for (int i = 0; i < answers.length; i++) {
      answers[i] = new Walk.Answer(questionsAndAnswers[2 * i], questionsAndAnswers[2 * i + 1]);
    }
    return Walk.of(INQUIRY, List.of(answers));
  }

  private static List<String> left(Walk walk) {
    return walk.left().stream().map(Cause::id).toList();
  }

  @Test
  void powerIsAskedFirstAndThenWhatLeavesTheFewest() {
    assertThat(walk().next()).contains(POWER);
    assertThat(walk("power", "no").next()).isEmpty();
    assertThat(left(walk("power", "no"))).containsExactly("off");
    Walk on = walk("power", "yes");
    assertThat(on.next()).contains(FIRST);
    assertThat(on.ruledOut()).extracting(out -> out.cause().id()).containsExactly("off");
    assertThat(on.ruledOut().get(0).by()).isEqualTo(POWER);
  }

  @Test
  void whatNoQuestionTellsApartIsToldTogether() {
    Walk walk = walk("power", "yes", "first", "1");
    assertThat(left(walk)).containsExactly("one", "any");
    assertThat(walk.next()).as("another width would leave one of them").isEmpty();
    assertThat(left(walk("power", "yes", "first", "1", "wide", "b"))).containsExactly("any");
  }

  @Test
  void whoCannotTellRulesNothingOutAndIsNotAskedAgain() {
    Walk walk = walk("power", Walk.CANNOT_TELL);
    assertThat(walk.left()).hasSize(5);
    assertThat(walk.next()).contains(FIRST);
  }

  @Test
  void whatNothingFitsLeavesNothing() {
    assertThat(walk("power", "yes", "first", "99").left()).isEmpty();
  }

  @Test
  void whatIsNotOfferedIsRefused() {
    assertThatThrownBy(() -> walk("power", "maybe")).isInstanceOf(RefusedException.class);
    assertThatThrownBy(() -> walk("weather", "wet")).isInstanceOf(RefusedException.class);
    assertThatThrownBy(() -> walk("first", "-1")).isInstanceOf(RefusedException.class);
  }

  @Test
  void itsOwnTestIsNotAskedForWhereAFuseWouldNotBearIt() {
    Question test =
        Question.of("test", 2, "Its own test?", new Doing.OwnTest("k"), "yes", "yes", "no", "no");
    Inquiry with = new Inquiry(GuideKind.END_DARK, List.of(POWER, test), INQUIRY.causes());
    assertThat(with.withoutOwnTest().questions()).containsExactly(POWER);
    assertThat(with.withoutOwnTest().causes()).isEqualTo(with.causes());
  }

  @Test
  void whatIsMeasuredIsTypedAsVolts() {
    Question volts = Question.measured("volts", 0, "How many?", 12, true);
    assertThat(volts.keyOf("11.6")).isEqualTo("planned");
    assertThat(volts.keyOf("10.8")).isEqualTo("planned");
    assertThat(volts.keyOf("10.7")).isEqualTo("less");
    assertThat(volts.keyOf("0.4")).isEqualTo("none");
    assertThat(volts.keyOf("less")).isEqualTo("less");
    assertThat(volts.takes("11.65")).isTrue();
    assertThat(volts.takes("11,6")).isFalse();
    assertThat(Question.measured("volts", 0, "How many?", 5, false).keyOf("0")).isEqualTo("less");
    Cause dead = Cause.of("dead", "dead", "").answers("volts", "none");
    Cause fine = Cause.of("fine", "fine", "").answers("volts", "planned");
    Inquiry inquiry = new Inquiry(GuideKind.NOTHING_LIGHTS, List.of(volts), List.of(dead, fine));
    assertThat(left(Walk.of(inquiry, List.of(new Walk.Answer("volts", "12.1")))))
        .containsExactly("fine");
  }
}
