package hamper.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.FilePayload;
import java.nio.charset.StandardCharsets;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

/** Whatever is wrong with a table is told row by row, and nothing of it gets in. */
class BadTablesTest {
  private Page page;
  private Locator told;

  private void choose(String text) {
    page.getByTestId("rows-file")
        .setInputFiles(
            new FilePayload("props.csv", "text/csv", text.getBytes(StandardCharsets.UTF_8)));
  }

  /** The table is read, the reason named, and it cannot be added. */
  private void refused(String text, String reason) {
    choose(text);
    assertThat(told).containsText(reason);
    assertThat(page.getByTestId("add-rows")).isDisabled();
    page.getByText("Clear", new Page.GetByTextOptions().setExact(true)).click();
  }

  @Test
  @Tag("whole")
  void aBadTableIsCountedNamedAndLeftOutAndAGoodOneGetsIn() throws Exception {
    Program program = SharedProgram.demo();
    try (Window window = new Window(program.url)) {
      page = window.page;
      window.opened();
      window.go("Props");
      told = page.getByTestId("rows-told");
      String version = page.locator("main").getAttribute("data-version");

      refused("thing,count\nStar,50", "row 1: it names no column that is known");
      refused("prop,zone\nStar,Quay", "row 1: the column \"what\" is missing");
      refused("prop,what\nStar,many\nMoon,5", "1 of 2 rows cannot be taken");
      refused("prop,what\nStar,0", "1 of 1 row cannot be taken");
      refused("prop,what\n=HYPERLINK(1),5\nMoon,=2+3", "2 of 2 rows cannot be taken");
      String hundredThousand =
          IntStream.range(0, 100_000)
              .mapToObj(i -> "Prop " + i + ",50")
              .collect(Collectors.joining("\n", "prop,what\n", ""));
      refused(hundredThousand, "100,000 rows; allowed are 5,000");
      refused("prop,what\n\"Star,5", "a quotation mark is not closed");

      choose("\uFEFFprop;what;zone\r\nStar;50;Pier\r\nMoon;60;Pier\r\nstar;70;Pier\r\n");
      assertThat(told).containsText("1 of 3 rows cannot be taken");
      assertThat(page.locator("[data-bad=true]")).hasCount(1);
      assertThat(page.locator("[data-bad=true]"))
          .containsText("\"star\": it stands in row 2 already");
      page.getByText("Clear", new Page.GetByTextOptions().setExact(true)).click();
      assertThat(page.locator("main")).hasAttribute("data-version", version);
      assertThat(page.getByText("65 props,")).isVisible();

      choose("\uFEFFprop;what;zone\r\nStar;50;Pier\r\nMoon;60;Pier\r\n");
      assertThat(told).containsText("2 props · 110 pixels");
      assertThat(told).containsText("new zone: Pier");
      window.acknowledged(() -> page.getByTestId("add-rows").click());
      assertThat(page.getByText("67 props,")).isVisible();
      assertThat(page.getByTestId("said")).containsText("Add 2 props");
      window.undo();
      assertThat(page.getByText("65 props,")).isVisible();
      window.noErrors();
    }
  }
}
