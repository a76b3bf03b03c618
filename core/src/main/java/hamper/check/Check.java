package hamper.check;

import hamper.facts.Facts;
import hamper.handover.Season;
import java.util.List;
import java.util.function.Consumer;

/** One kind of mistake: its page of truth, and how to find it. */
public abstract class Check {
  private final Page page;

  /** The fields of its {@link Page}. */
  Check(String code, Area area, Severity severity, String title, String compares, String yard) {
    page = new Page(code, area, severity, title, compares, yard);
  }

  public Page page() {
    return page;
  }

  abstract void run(Facts facts, Consumer<Finding> out);

  /** Also by what is known beside the plan; most checks ask for nothing of it. */
  void run(Facts facts, Season season, Consumer<Finding> out) {
    run(facts, out);
  }

  /** A finding of this check, as bad as the page says. */
  Finding finding(String message, Measure found, Measure allowed, List<Subject> subjects) {
    return finding(page.severity(), message, found, allowed, subjects);
  }

  Finding finding(
      Severity severity, String message, Measure found, Measure allowed, List<Subject> subjects) {
    return Finding.of(page, severity, message, found, allowed, subjects);
  }
}
