package hamper.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.options.AriaRole;
import java.util.List;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

/** Several legs moved by keys in one step, and steps walked back and forth by their list. */
class SeveralAtOnceTest extends DemoCase {
  @SuppressWarnings("unchecked")
  private List<String> on(String lane) {
    return (List<String>)
        page.evaluate(
            "lane => [...document.querySelectorAll(`[data-lane='${lane}'] [data-piece]`)]"
                + ".map((leg) => leg.dataset.piece)",
            lane);
  }

  @Test
  void twoLegsAreMovedAlongAndAcrossAndWalkedBackTo() {
    window.go("Patch");
    String lane = "k1|PIXEL|3";
    window.reveal("K1-3", window.lane(lane));
    List<String> before = on(lane);
    assertThat(before).hasSize(4);
    window.leg(before.get(0)).click();
    page.keyboard().press("Escape");
    window.leg(before.get(0)).focus();
    page.keyboard().press("Space");
    page.keyboard().press("Shift+ArrowRight");
    window.acknowledged(() -> page.keyboard().press("Alt+ArrowRight"));
    assertThat(on(lane))
        .containsExactly(before.get(2), before.get(0), before.get(1), before.get(3));
    window.acknowledged(() -> page.keyboard().press("Alt+ArrowDown"));
    assertThat(on(lane)).containsExactly(before.get(2), before.get(3));
    assertThat(on("k1|PIXEL|4")).contains(before.get(0), before.get(1));

    page.getByTestId("history").click();
    Locator steps = page.getByTestId("history-list").locator("li");
    assertThat(steps).hasCount(3);
    Accessibility.check(page, "history");
    steps.nth(2).getByRole(AriaRole.BUTTON).click();
    assertThat(steps.nth(2)).hasAttribute("aria-current", "step");
    page.keyboard().press("Escape");
    assertThat(page.getByTestId("history-list")).isHidden();
    assertThat(on(lane)).containsExactlyElementsOf(before);
    page.getByTestId("history").click();
    window.acknowledged(() -> steps.nth(1).getByRole(AriaRole.BUTTON).click());
    assertThat(on(lane))
        .containsExactly(before.get(2), before.get(0), before.get(1), before.get(3));
    page.keyboard().press("Escape");
    window.undo();
    window.noErrors();
  }

  @Test
  @Tag("whole")
  void aPixelOfARibbonTellsItsAddresses() {
    window.go("Patch");
    String lane = "k1|PIXEL|3";
    window.reveal("K1-3", window.lane(lane));
    var box = window.lane(lane).locator("[data-wire]").boundingBox();
    page.mouse().move(box.x + 8, box.y + 10);
    page.mouse().move(box.x + 6, box.y + 10);
    assertThat(page.getByTestId("very-pixel"))
        .containsText(Pattern.compile("Ladders ladder 1, .* · K1-3 · \\d+:\\d+ \\d+:\\d+"));
    window.noErrors();
  }

  @Test
  @Tag("whole")
  void portsOfABankHangOnOneCable() {
    window.go("Patch");
    window.reveal("K6-1", window.lane("k6|PIXEL|1"));
    Locator cable = window.lane("k6|PIXEL|1").getByTestId("cable");
    assertThat(cable).not().hasClass(Pattern.compile(".*last.*"));
    window.reveal("K6-4", window.lane("k6|PIXEL|4"));
    assertThat(window.lane("k6|PIXEL|4").getByTestId("cable"))
        .hasClass(Pattern.compile(".*last.*"));
    window.reveal("K1-3", window.lane("k1|PIXEL|3"));
    assertThat(window.lane("k1|PIXEL|3").getByTestId("cable")).hasCount(0);
    window.noErrors();
  }
}
