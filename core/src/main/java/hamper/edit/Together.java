package hamper.edit;

import hamper.display.Display;
import hamper.display.Plan;
import hamper.value.RefusedException;
import hamper.value.Require;
import java.util.List;
import java.util.stream.Stream;

/**
 * Several edits as one step: made one after another, or none of them.
 *
 * @param title what they do in all, as the undo button says it
 */
public record Together(String title, List<Edit> edits) implements Edit {
  /** Most edits in one step, those of steps within it counted. */
  public static final int MOST = 5000;

  public Together {
    Require.name("title", title);
    // one within another would be a thousand times a thousand
    edits =
        List.copyOf(edits).stream()
            .flatMap(
                edit -> edit instanceof Together inner ? inner.edits().stream() : Stream.of(edit))
            .toList();
    Require.inRange("edits", edits.size(), 1, MOST);
  }

  /**
   * @throws RefusedException with the place of the edit that cannot be
   */
  @Override
  public Display change(Plan plan) {
    Plan now = plan;
    for (int i = 0; i < edits.size(); i++) {
      try {
        now = now.with(edits.get(i).change(now));
      } catch (RefusedException e) {
        throw e.within("edits[%d]".formatted(i));
      }
    }
    return now.display();
  }

  @Override
  public String label(Plan plan) {
    return title;
  }
}
