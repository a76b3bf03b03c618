package hamper.check;

import hamper.facts.Facts;
import java.util.List;
import java.util.function.Consumer;

/** One kind of mistake: its page of truth, and how to find it. */
public interface Check {
  Page page();

  void run(Facts facts, Consumer<Finding> out);

  /** A finding of this check, as bad as the page says. */
  default Finding finding(String message, Measure found, Measure allowed, List<Subject> subjects) {
    return finding(page().severity(), message, found, allowed, subjects);
  }

  default Finding finding(
      Severity severity, String message, Measure found, Measure allowed, List<Subject> subjects) {
    return Finding.of(page(), severity, message, found, allowed, subjects);
  }
}
