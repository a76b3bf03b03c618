package hamper.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import hamper.display.Plan;
import hamper.files.CatalogueFiles;
import hamper.files.DisplayFile;
import hamper.samples.LargeDisplays;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

/** A display of 2,133 strings on 50 controllers: only what is near is in the page. */
class ManyStringsTest extends DemoCase {
  private static final int MOST_ELEMENTS = 3_000;
  private static final int STRINGS = 2_133;

  /** A place, a kind of thing in it, and how many of them come while it is scrolled through. */
  private record Looked(String place, String row, int drawn) {}

  /**
   * Scrolls whatever scrolls, until enough different things of a kind were drawn on the way; tells
   * the most elements that were in the page, and how many things that were.
   */
  private static final String SCROLLED =
      """
      async ([row, enough]) => {
        const picture = () => new Promise(requestAnimationFrame)
        const seen = new Set()
        let most = 0
        for (const one of document.querySelectorAll('main.scrolls, main .scrolls')) {
          let last = -1
          one.scrollTop = 0
          for (let step = 0; step < 15 && last !== one.scrollTop; step++) {
            if (step > 4 && seen.size >= enough) break
            last = one.scrollTop
            for (let i = 0; i < 3; i++) await picture()
            most = Math.max(most, document.querySelectorAll('*').length)
            document.querySelectorAll(row).forEach((it) => it.firstElementChild && seen.add(it))
            one.scrollTop += one.clientHeight * 0.8
          }
        }
        return [most, seen.size]
      }""";

  @Test
  @Tag("whole")
  void noPlaceHasMoreInThePageThanCanBeSeenAndScrolledThroughWhatIsThereComes() {
    Plan plan = LargeDisplays.of(CatalogueFiles.shipped(), 50, 5_000, 10, 1);
    assertThat(plan.display().props()).hasSize(STRINGS);
    String id = window.openFile(program.url, DisplayFile.write(plan.display()));
    assertThat(page.getByTestId("display-menu")).containsText("Large");
    int controllers = plan.display().controllers().size();
    List<String> wrong = new ArrayList<>();
    for (Looked one :
        List.of(
            new Looked("network", "[data-test=enclosure]", 50),
            new Looked("controllers", "main [data-row]", controllers),
            new Looked("loads", "tr[data-port]", 200),
            new Looked("loads/supplies", "[data-power]", 75),
            new Looked("handover", "[data-row]", 50),
            new Looked("trial", "[data-trial]", 20),
            new Looked("overview", "main [data-row]", controllers),
            new Looked("overview/strings", "[data-string]", 200))) {
      page.navigate(program.url + "/#/d/" + id + "/" + one.place);
      page.locator(one.row).first().waitFor();
      page.waitForTimeout(300);
      List<?> told = (List<?>) page.evaluate(SCROLLED, List.of(one.row, one.drawn));
      if ((int) told.get(0) > MOST_ELEMENTS || (int) told.get(1) < one.drawn) {
        wrong.add(one.place + ": " + told.get(0) + " elements, " + told.get(1) + " drawn");
      }
    }
    assertThat(wrong).isEmpty();
    keyboardStays(id);
    whatIsUnfoldedStays(id);
  }

  /** What has the keyboard stays in the page while it is scrolled away from; then it goes. */
  private void keyboardStays(String id) {
    page.navigate(program.url + "/#/d/" + id + "/loads");
    page.getByTestId("view-runs").click();
    Locator first = page.locator("tr[data-port] button.port").first();
    String written = first.innerText();
    first.focus();
    Locator place = page.locator("main.scrolls");
    place.evaluate("it => (it.scrollTop = it.scrollHeight)");
    page.waitForTimeout(300);
    Locator row = page.locator("tr[data-port='" + written + "']");
    assertThat(row).hasCount(1);
    page.evaluate("() => document.activeElement.blur()");
    assertThat(row).hasCount(0);
  }

  /** A controller of which more is shown shows it again when it is scrolled back to. */
  private void whatIsUnfoldedStays(String id) {
    page.navigate(program.url + "/#/d/" + id + "/controllers");
    Locator more = page.locator("button[aria-label='More of K1']");
    more.click();
    assertThat(more).hasAttribute("aria-expanded", "true");
    page.getByTestId("filter").locator("input").first().focus();
    Locator list = page.locator(".main.scrolls");
    list.evaluate("it => (it.scrollTop = it.scrollHeight)");
    assertThat(more).hasCount(0);
    list.evaluate("it => (it.scrollTop = 0)");
    assertThat(more).hasAttribute("aria-expanded", "true");
  }
}
