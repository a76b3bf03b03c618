package hamper.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Download;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.assertions.LocatorAssertions;
import java.io.IOException;
import java.nio.file.Files;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** Sheets are looked at page by page, and taken as one file. */
class PaperTest extends DemoCase {
  private static final double SOON = 20_000;

  private Locator pages() {
    return page.getByTestId("pages").locator("img");
  }

  private void told(String pattern) {
    assertThat(page.getByTestId("paper-pages"))
        .hasText(Pattern.compile(pattern), new LocatorAssertions.HasTextOptions().setTimeout(SOON));
  }

  @Test
  void aControllersSheetIsSeenAsItIsPrintedAndFollowsThePlan() throws IOException {
    window.go("Paper");
    told("Crew sheets of all, \\d\\d pages");
    page.getByTestId("paper-K1").click();
    told("Crew sheet of K1, 2 pages");
    assertThat(pages()).hasCount(2);
    page.waitForFunction(
        "() => [...document.querySelectorAll('[data-test=pages] img')][0].naturalWidth > 800");
    Accessibility.check(page, "paper");
    String before = pages().first().getAttribute("src");
    page.keyboard().press("/");
    page.keyboard().type("K1 brightness 40");
    window.acknowledged(() -> page.keyboard().press("Enter"));
    window.go("Paper");
    page.getByTestId("paper-K1").click();
    assertThat(pages().first()).not().hasAttribute("src", before);
    page.getByTestId("paper-size").selectOption("LETTER");
    assertThat(pages().first()).hasAttribute("src", Pattern.compile("size=LETTER"));
    Download file = page.waitForDownload(() -> page.getByTestId("paper-pdf").click());
    assertThat(file.suggestedFilename()).isEqualTo("K1-crew-sheets.pdf");
    assertThat(Files.readAllBytes(file.path())).startsWith('%', 'P', 'D', 'F');
    window.acknowledged(() -> page.getByTestId("undo").click());
  }
}
