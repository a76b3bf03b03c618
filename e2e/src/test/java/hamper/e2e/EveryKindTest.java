package hamper.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.options.BoundingBox;
import com.microsoft.playwright.options.KeyboardModifier;
import java.util.List;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** Banks, boxes, circuits, decoders and walls, each as its own kind of ribbon. */
class EveryKindTest {
  @Test
  void everyKindOfThingIsShownAndSeveralStringsSpreadOverAController() throws Exception {
    Program program = SharedProgram.demo();
    try (Window window = new Window(program.url)) {
      window.opened();
      window.go("Patch");

      window.reveal("K6-10", window.lane("k6|PIXEL|10"));
      Locator boxes = window.lane("k6|PIXEL|10");
      assertThat(boxes.locator(".box")).hasText(new String[] {"A", "B", "C"});
      Locator bank = window.page.getByTestId("bank").filter(Window.hasText("bank 3"));
      assertThat(bank).containsText("→ box C");
      Locator cable = bank.getByLabel("Cable to box B of bank 3, metres");
      String metres = cable.inputValue();
      cable.fill("14.5");
      window.acknowledged(() -> cable.press("Enter"));
      assertThat(cable).hasValue("14.5");
      window.undo();
      assertThat(cable).hasValue(metres);

      window.reveal("K7-R5", window.lane("k7|RELAY|5"));
      assertThat(window.lane("k7|RELAY|5")).containsText("Tide bell");
      window.reveal("H1-S1", window.lane("h1|SERIAL|1"));
      assertThat(window.leg("lanterns-2"))
          .hasAccessibleName("Street lanterns pack east unit 2 · 16 circuits, on H1-S1");

      window.reveal("K9-P1", window.lane("k9|PANEL|1"));
      window.leg("tide-wall-1").click();
      assertThat(window.page.getByTestId("glass")).containsText("128 × 64 pixels");
      assertThat(window.page.getByLabel("Corner of the first pixel, from the front"))
          .hasValue("TOP_LEFT");
      assertThat(window.page.getByLabel("How the pixels are run through")).hasValue("ROWS");
      window.page.keyboard().press("Escape");

      spread(window);
      window.noErrors();
    }
  }

  /** Two strings dropped on a controller's name take two free ports, one each. */
  private static void spread(Window window) {
    window.reveal("K6-18", window.lane("k6|PIXEL|18"));
    window.page.locator(".check input").check();
    Locator head = window.page.locator("[data-controller=k6]");
    window.reveal("fish hall", head);
    window.loose("dinghy-red-1").click();
    window
        .loose("dinghy-blue-1")
        .click(new Locator.ClickOptions().setModifiers(List.of(KeyboardModifier.SHIFT)));
    BoundingBox from = window.loose("dinghy-red-1").boundingBox();
    window.page.mouse().move(from.x + 12, from.y + from.height / 2);
    window.page.mouse().down();
    BoundingBox to = head.boundingBox();
    window.page.mouse().move(to.x + 200, to.y + to.height / 2 + 2);
    window.page.mouse().move(to.x + 210, to.y + to.height / 2);
    assertThat(head).hasClass(Pattern.compile("aimed"));
    window.acknowledged(window.page.mouse()::up);
    assertThat(window.page.getByTestId("undo"))
        .hasAttribute("aria-label", "Undo: Patch 2 pieces across K6");
    window.reveal("K6-11", window.lane("k6|PIXEL|11"));
    assertThat(window.leg("dinghy-red-1").getAttribute("aria-label")).endsWith("on K6-11");
    assertThat(window.leg("dinghy-blue-1").getAttribute("aria-label")).endsWith("on K6-12");
    window.undo();
    assertThat(window.loose("dinghy-red-1")).isVisible();
  }
}
