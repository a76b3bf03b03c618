package hamper.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Iterator;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/** A display file from a stranger: its names are text, wherever they are shown. */
class HostileNamesTest {
  private static final Path DEMO =
      Path.of("../server/src/main/resources/hamper/demo/saltmarsh-quay.hamper.json");
  private static final Pattern NAME = Pattern.compile("\"name\": \"[^\"]*\"");
  private static final List<String> NAMES =
      List.of(
          "<img src=x onerror=window.hacked=1>",
          "'><script>window.hacked=1</script>",
          "{{constructor.constructor('window.hacked=1')()}}",
          "javascript:window.hacked=1",
          "\\u05D0\\u05D1\\u05D2 <b>bold</b> &lt;",
          "=HYPERLINK(1)");

  @Test
  void namesAreShownAsTextInEveryPlace() throws Exception {
    Program program = SharedProgram.empty();
    try (Window window = new Window(program.url)) {
      window.openFile(program.url, hostile().getBytes(StandardCharsets.UTF_8));
      assertThat(window.page.getByTestId("display-menu")).containsText("0 <img src=x");
      for (String place :
          List.of("Overview", "Network", "Controllers", "Props", "Patch", "Loads", "Handover")) {
        window.go(place);
        window.page.waitForTimeout(300);
        assertThat(window.page.locator("main img, main script, b:text-is('bold')")).hasCount(0);
      }
      window.page.getByTestId("findings-pill").click();
      window.page.keyboard().press("/");
      window.page.keyboard().type("script");
      window.page.waitForTimeout(300);
      assertThat(window.page.evaluate("() => window.hacked ?? 'not'")).isEqualTo("not");
      window.noErrors();
    }
  }

  /** The demo with each name made hostile, and still one of its own. */
  private static String hostile() throws Exception {
    Iterator<String> names =
        Stream.iterate(0, i -> i + 1).map(i -> i + " " + NAMES.get(i % NAMES.size())).iterator();
    return NAME.matcher(Files.readString(DEMO))
        .replaceAll(found -> Matcher.quoteReplacement("\"name\": \"" + names.next() + "\""));
  }
}
