package hamper.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.assertions.LocatorAssertions.HasAttributeOptions;
import com.microsoft.playwright.options.RequestOptions;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** A planner keeps many tabs of one browser open; a browser gives six connections to a host. */
class ManyTabsTest {
  private static final int TABS = 12;

  @Test
  void twelveTabsFollowEachOtherAlsoWhenTheFirstIsClosed() throws Exception {
    Program program = SharedProgram.demo();
    try (Window window = new Window(program.url)) {
      List<Page> tabs = new ArrayList<>(List.of(window.page));
      while (tabs.size() < TABS) {
        tabs.add(window.tab(program.url));
      }
      show(tabs, 1);

      window.page.bringToFront();
      window.go("Patch");
      window.drag(window.loose("dinghy-red-1"), window.lane("k1|PIXEL|12"), 60);
      show(tabs, 2);

      // the tab that reads the stream for all of them
      window.page.close();
      tabs.remove(0);
      Page fifth = tabs.get(4);
      fifth.bringToFront();
      fifth.getByTestId("undo").click();
      show(tabs, 3);
      tabs.get(0).bringToFront();
      tabs.get(0).getByTestId("redo").click();
      show(tabs, 4);
      window.noErrors();
      undoStaysWithItsDisplay(program, tabs.get(0));
    }
  }

  /** What was said of one display, and its undo, do not follow into another. */
  private static void undoStaysWithItsDisplay(Program program, Page tab) {
    tab.request()
        .post(
            program.url + "/api/displays",
            RequestOptions.create().setData(Map.of("name", "Another")));
    assertThat(tab.getByTestId("said")).not().hasText("");
    tab.getByTestId("display-menu").click();
    tab.getByText("Another", new Page.GetByTextOptions().setExact(true)).click();
    assertThat(tab.getByTestId("display-menu")).containsText("Another");
    assertThat(tab.getByTestId("said")).hasText("");
    assertThat(tab.getByText("Undo", new Page.GetByTextOptions().setExact(true))).hasCount(0);
    assertThat(tab.getByTestId("undo")).isDisabled();
  }

  private static void show(List<Page> tabs, int version) {
    for (Page tab : tabs) {
      assertThat(tab.locator("main"))
          .hasAttribute("data-version", "" + version, new HasAttributeOptions().setTimeout(15_000));
    }
  }
}
