package hamper.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;

/** Looks a page over for what keeps people out: roles, names, contrast, order. */
final class Accessibility {
  private static final Path RULES = Path.of("../web/node_modules/axe-core/axe.min.js");

  private static final String SERIOUS =
      """
      async ([sunlight, colours]) => {
        const rules = { 'color-contrast-enhanced': { enabled: sunlight } }
        const contrasts = ['color-contrast', ...(sunlight ? ['color-contrast-enhanced'] : [])]
        const runOnly = colours ? { type: 'rule', values: contrasts } : undefined
        const asked = { resultTypes: ['violations'], preload: false, rules, runOnly }
        const found = await axe.run(document, asked)
        return found.violations
          .filter((one) => one.impact === 'serious' || one.impact === 'critical')
          .map((one) => `${one.id}: ${one.help}: ` +
            one.nodes.slice(0, 4).map((node) => node.html.slice(0, 200)).join(' | '))
      }
      """;

  private Accessibility() {}

  /** What a cold thumb misses: everything that is touched and smaller than 48 px. */
  private static final String SMALL =
      """
      () => [...document.querySelectorAll('a, button, input, select, textarea, summary')]
        .map((one) => [one, one.getBoundingClientRect()])
        .filter(([, box]) => box.width > 0 && (box.width < 47.5 || box.height < 47.5))
        .map(([one, box]) => `${box.width} x ${box.height}: ${one.outerHTML.slice(0, 200)}`)
      """;

  static void check(Page page, String what) {
    check(page, what, false, false);
  }

  /**
   * In both themes, and at the end in the one that it began with; of the other one only what
   * colours change is looked at.
   */
  static void checkBothThemes(Page page, String what) {
    check(page, what);
    page.getByTestId("theme").click();
    check(page, what + ", other theme", false, true);
    page.getByTestId("theme").click();
  }

  /**
   * The same for what is read in sunlight and touched in the cold.
   *
   * @param colours whether only what colours change is looked at
   */
  @SuppressWarnings("unchecked")
  static void checkOutdoors(Page page, String what, boolean colours) {
    check(page, what, true, colours);
    assertThat((List<String>) page.evaluate(SMALL)).as(what).isEmpty();
  }

  private static String rules() {
    try {
      return Files.readString(RULES);
    } catch (IOException e) {
      throw new IllegalStateException(e);
    }
  }

  @SuppressWarnings("unchecked")
  private static void check(Page page, String what, boolean sunlight, boolean colours) {
    if (!(boolean) page.evaluate("() => 'axe' in window")) {
      page.evaluate(rules());
    }
    assertThat((List<String>) page.evaluate(SERIOUS, List.of(sunlight, colours)))
        .as(what)
        .isEmpty();
  }
}
