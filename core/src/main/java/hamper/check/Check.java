package hamper.check;

import java.util.List;
import java.util.function.Consumer;

/** One kind of mistake: its page of truth, and how to find it. */
public interface Check {
  Page page();

  void run(Facts facts, Consumer<Finding> out);

  /** A finding of this check, as bad as the page says. */
  default Finding finding(String message, String found, String allowed, List<Subject> subjects) {
    return finding(page().severity(), message, found, allowed, subjects);
  }

  default Finding finding(
      Severity severity, String message, String found, String allowed, List<Subject> subjects) {
    return new Finding(
        page().code(),
        page().area(),
        severity,
        page().title(),
        message,
        page().yard(),
        found,
        allowed,
        subjects);
  }
}
