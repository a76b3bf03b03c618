package hamper.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Download;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.assertions.LocatorAssertions;
import java.io.IOException;
import java.nio.file.Files;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

/** Sheets are looked at page by page or read, and taken as files; tags and stock are kept. */
class PaperTest extends DemoCase {
  private static final double SOON = 20_000;

  private Locator pages() {
    return page.getByTestId("pages").locator("img");
  }

  private void told(String pattern) {
    assertThat(page.getByTestId("paper-pages"))
        .hasText(Pattern.compile(pattern), new LocatorAssertions.HasTextOptions().setTimeout(SOON));
  }

  private void sheet(String id) {
    window.go("Paper");
    page.getByTestId("paper-" + id).click();
  }

  @Test
  void aControllersSheetIsSeenAsItIsPrintedAndReadAndFollowsThePlan() throws IOException {
    window.go("Paper");
    told("All sheets, \\d\\d pages");
    sheet("K1");
    told("K1 +Harbour wall, 2 pages");
    assertThat(pages()).hasCount(2);
    page.waitForFunction(
        "() => [...document.querySelectorAll('[data-test=pages] img')][0].naturalWidth > 800");
    Accessibility.check(page, "paper");
    String before = pages().first().getAttribute("src");
    page.keyboard().press("/");
    page.keyboard().type("K1 brightness 40");
    window.acknowledged(() -> page.keyboard().press("Enter"));
    sheet("K1");
    assertThat(pages().first()).not().hasAttribute("src", before);
    page.getByTestId("paper-size").selectOption("LETTER");
    assertThat(pages().first()).hasAttribute("src", Pattern.compile("size=LETTER"));
    Download file = page.waitForDownload(() -> page.getByTestId("paper-pdf").click());
    assertThat(file.suggestedFilename()).isEqualTo("K1.pdf");
    assertThat(Files.readAllBytes(file.path())).startsWith('%', 'P', 'D', 'F');
    page.getByTestId("as-text").check();
    assertThat(page.getByTestId("sheet-text")).containsText("Coping west");
    Accessibility.check(page, "a sheet as text");
    page.getByTestId("as-text").uncheck();
    Download book = page.waitForDownload(() -> page.getByTestId("paper-xlsx").click());
    assertThat(Files.readAllBytes(book.path())).startsWith('P', 'K');
    window.undo();
  }

  @Test
  @Tag("whole")
  void tagsAreGivenFoundAndPrintedAndStockIsTakenOff() throws IOException {
    sheet("tags");
    window.acknowledged(() -> page.getByTestId("give-tags").click());
    Locator first = page.locator("[data-tag='S001']");
    assertThat(first).containsText("Coping west");
    page.getByLabel("Tag of Coping west").fill("RED-7");
    window.acknowledged(() -> page.keyboard().press("Enter"));
    assertThat(page.locator("[data-tag='RED-7']")).containsText("K1-1");
    Accessibility.check(page, "tags");
    Download labels = page.waitForDownload(() -> page.getByTestId("labels-pdf").click());
    assertThat(Files.readAllBytes(labels.path())).startsWith('%', 'P', 'D', 'F');
    page.keyboard().press("/");
    page.keyboard().type("red-7");
    assertThat(page.locator("#find-0")).containsText("Coping west, tag RED-7");
    page.keyboard().press("Escape");

    sheet("shopping-list");
    Locator fuse = page.locator("[data-article='Fuse, 5 A']");
    assertThat(fuse).containsText("71");
    page.getByLabel("Fuse, 5 A: in stock").fill("60");
    window.acknowledged(() -> page.keyboard().press("Enter"));
    assertThat(fuse.locator("strong")).hasText("11");
    Accessibility.check(page, "shopping");

    sheet("units");
    page.getByTestId("unit-serial").fill("V32-0007");
    page.keyboard().press("Enter");
    assertThat(page.locator("[data-unit='V32-0007']")).isVisible();
    for (int i = 0; i < 3; i++) {
      window.undo();
    }
    sheet("tags");
    assertThat(page.getByTestId("give-tags")).isVisible();
  }

  @Test
  void stringsAreTickedOffAndTroubleIsSeenWhereOneLooks() {
    page.evaluate("localStorage.setItem('hamper.who', 'Ada')");
    page.reload();
    page.getByTestId("look-strings").click();
    assertThat(page.getByTestId("strings-count")).hasText("72 strings");
    Locator coping = page.locator("[data-string='wall-coping-west-1']");
    for (String stage : new String[] {"tested", "hung", "plugged in", "powered"}) {
      Locator step =
          coping.locator(".stages button", new Locator.LocatorOptions().setHasText(stage));
      step.click();
      assertThat(step).hasAttribute("aria-pressed", "true");
    }
    coping.getByText("trouble …").click();
    page.getByLabel("What is wrong").fill("dark from pixel 20");
    page.getByTestId("trouble-say").click();
    assertThat(coping).containsText("▲ dark from pixel 20");
    Accessibility.check(page, "strings");
    window.go("Patch");
    assertThat(window.leg("wall-coping-west-1").getByTestId("trouble")).isVisible();
    window.go("Overview");
    assertThat(page.getByTestId("zone-left").first()).containsText("▲ 1");
    page.getByTestId("zone-left").first().click();
    assertThat(page.getByTestId("strings-count")).hasText("17 strings");
    coping.getByText("settled").click();
    // what is in trouble stands first: the row is not where it was
    assertThat(coping).not().containsText("▲");
    coping.locator(".stages button").last().click();
    assertThat(coping).hasCount(0);
    assertThat(page.getByTestId("strings-count")).hasText("16 strings");
    page.getByLabel("Take all that are shown").click();
    page.getByLabel("Where they lie").fill("box 12");
    page.keyboard().press("Enter");
    page.getByTestId("put-away").click();
    assertThat(page.getByTestId("strings-none")).isVisible();
    page.getByLabel("Which strings").selectOption("stored");
    assertThat(page.getByTestId("strings-count")).hasText("16 strings");
    assertThat(page.locator("[data-string]").first()).containsText("in box 12");
  }
}
