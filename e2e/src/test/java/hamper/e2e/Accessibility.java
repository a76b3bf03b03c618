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
      async () => {
        const found = await axe.run(document, { resultTypes: ['violations'] })
        return found.violations
          .filter((one) => one.impact === 'serious' || one.impact === 'critical')
          .map((one) => `${one.id}: ${one.help}: ` +
            one.nodes.slice(0, 4).map((node) => node.html.slice(0, 200)).join(' | '))
      }
      """;

  private Accessibility() {}

  @SuppressWarnings("unchecked")
  static void check(Page page, String what) {
    try {
      page.evaluate(Files.readString(RULES));
    } catch (IOException e) {
      throw new IllegalStateException(e);
    }
    assertThat((List<String>) page.evaluate(SERIOUS)).as(what).isEmpty();
  }
}
