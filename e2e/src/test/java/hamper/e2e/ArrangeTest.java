package hamper.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.assertions.LocatorAssertions;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

/** What hangs nowhere finds its places; they are looked at before anything is hung. */
class ArrangeTest extends DemoCase {
  private static final double SOON = 20_000;

  private void seen(Locator what) {
    assertThat(what).isVisible(new LocatorAssertions.IsVisibleOptions().setTimeout(SOON));
  }

  @Test
  void fromTheTrayByKeysAProposalIsSeenAndTakenInOneStep() {
    window.go("Patch");
    assertThat(window.findings()).isEqualTo("3 faults · 12 risks");
    window.loose("weather-vane-1").focus();
    page.keyboard().press("a");
    seen(page.locator("[data-hung='weather-vane-1']"));
    assertThat(page.getByTestId("arrange-panel")).containsText("has no place");
    Accessibility.check(page, "arrange");
    page.locator("[data-hung='weather-vane-1'] button").click();
    assertThat(window.leg("weather-vane-1")).isVisible();
    page.getByTestId("arrange-panel").focus();
    window.acknowledged(() -> page.keyboard().press("Enter"));
    assertThat(page.getByTestId("arrange-panel")).hasCount(0);
    assertThat(window.leg("weather-vane-1")).isVisible();
    assertThat(window.loose("weather-vane-1")).hasCount(0);
    assertThat(window.findings()).as("nothing new that is wrong").startsWith("3 faults · 7 risks");
    window.undo();
    assertThat(window.loose("weather-vane-1")).isVisible();
  }

  @Test
  @Tag("whole")
  void aZoneIsArrangedFromTheFinderAndAPieceIsLeftOut() {
    page.keyboard().press("/");
    page.keyboard().type("arrange slipway");
    assertThat(page.locator("#find-0")).containsText("Arrange Slipway");
    page.keyboard().press("Enter");
    Locator first = page.locator("[data-hung]").first();
    seen(first);
    String piece = first.getAttribute("data-hung");
    first.locator("input").uncheck();
    page.getByTestId("aim-FEWEST").click();
    seen(page.locator("[data-hung='%s'] input:checked".formatted(piece)));
    page.getByText("Leave it").click();
    assertThat(page.getByTestId("arrange-panel")).hasCount(0);
    assertThat(window.loose(piece)).isVisible();
    window.noErrors();
  }

  @Test
  @Tag("whole")
  void whatHangsMayMoveOnlyWhereSomebodySaysSo() {
    window.go("Patch");
    window.loose("weather-vane-1").focus();
    page.keyboard().press("a");
    seen(page.locator("[data-hung='weather-vane-1']"));
    assertThat(page.getByTestId("arrange-panel")).containsText("What hangs stays where it is.");
    assertThat(page.getByTestId("bound")).not().containsText("as it hangs now");
    page.getByTestId("move").check();
    // all three are worked out anew; that takes long enough to be told, and may be stopped
    Locator stop = page.getByTestId("stop");
    seen(stop);
    stop.click();
    seen(page.getByText("· stopped").first());
    seen(page.getByTestId("bound").getByText("as it hangs now: 11 controllers"));
    page.keyboard().press("Escape");
    window.noErrors();
  }
}
