package hamper.guide;

import java.util.List;

/** A guide about one thing: what is asked, and what may be at fault. */
public record Inquiry(GuideKind kind, List<Question> questions, List<Cause> causes) {
  public Inquiry {
    questions = List.copyOf(questions);
    causes = List.copyOf(causes);
  }

  /**
   * Where a device's own test, which ignores brightness, would blow a fuse: nobody is asked for it.
   */
  Inquiry withoutOwnTest() {
    return new Inquiry(
        kind,
        questions.stream().filter(one -> !(one.doing() instanceof Doing.OwnTest)).toList(),
        causes);
  }
}
