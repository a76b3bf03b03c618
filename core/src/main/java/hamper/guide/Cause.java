package hamper.guide;

import hamper.edit.Edit;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * What may be at fault.
 *
 * @param id unlike any other of its guide
 * @param title what it is
 * @param act what to do about it
 * @param edit of the plan that goes with it, where one does
 * @param give whether the device is to be given its configuration (again)
 * @param answers what is answered where it is at work, by question; a question that is not in it
 *     may be answered anyhow
 */
public record Cause(
    String id,
    String title,
    String act,
    Optional<Edit> edit,
    boolean give,
    Map<String, Set<String>> answers) {
  public Cause {
    answers = Map.copyOf(answers);
  }

  static Cause of(String id, String title, String act) {
    return new Cause(id, title, act, Optional.empty(), false, Map.of());
  }

  /** Where more of it looks the same. */
  Cause orMore() {
    String more = title.replaceFirst("(?: or more)?;", " or more;");
    return new Cause(id, more, act, Optional.empty(), give, answers);
  }

  Cause with(Edit newEdit) {
    return new Cause(id, title, act, Optional.of(newEdit), give, answers);
  }

  Cause given() {
    return new Cause(id, title, act, edit, true, answers);
  }

  /** Any of these is answered where it is at work. */
  Cause answers(String question, String... any) {
    return answers(question, Set.of(any));
  }

  Cause answers(String question, Set<String> any) {
    Map<String, Set<String>> more = new LinkedHashMap<>(answers);
    more.put(question, any);
    return new Cause(id, title, act, edit, give, more);
  }

  boolean allows(String question, String answer) {
    Set<String> any = answers.get(question);
    return any == null || any.contains(answer);
  }
}
