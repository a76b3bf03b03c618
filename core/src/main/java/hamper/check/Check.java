package hamper.check;

import java.util.List;
import java.util.function.Consumer;

/** One kind of mistake: its page of truth, and how to find it. */
public interface Check {
  /** Short, stable, such as "port-limit". */
  String code();

  String title();

  Severity severity();

  /** What one would see in the yard. */
  String yard();

  void run(Facts facts, Consumer<Finding> out);

  /** A finding of this check. */
  default Finding finding(String message, String found, String allowed, List<Subject> subjects) {
    return new Finding(code(), severity(), title(), message, yard(), found, allowed, subjects);
  }
}
