package hamper.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.options.AriaRole;
import java.util.List;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

/** What all places have in common: findings beside them, contrast and names, widths, addresses. */
class PlacesTest extends DemoCase {
  @Test
  void aFindingIsSettledAfterItsPreviewAndARiskIsAcceptedWithAReason() {
    String before = window.findings();
    page.getByTestId("findings-pill").click();
    Locator overload = page.locator("[data-code=port-limit]");
    overload.getByTestId("settle").click();
    assertThat(overload.getByTestId("trial")).containsText("clears 1 finding");
    Accessibility.check(page, "findings with a remedy");
    window.acknowledged(() -> overload.getByTestId("apply").click());
    assertThat(overload).hasCount(0);
    assertThat(page.getByTestId("findings-pill")).containsText("2 faults");
    window.undo();
    assertThat(overload).hasCount(1);

    Locator loose = page.locator("[data-test=cluster][data-code=not-patched]");
    assertThat(loose).containsText("10 × Not patched");
    loose.getByRole(AriaRole.BUTTON).first().click();
    Locator vane = page.getByTestId("finding").filter(Window.hasText("Weather vane"));
    vane.getByTestId("accept").click();
    page.getByLabel("Why it may be so").fill("It stays in the store this year");
    window.acknowledged(() -> page.keyboard().press("Enter"));
    assertThat(vane).hasCount(0);
    assertThat(page.getByTestId("accepted").filter(Window.hasText("It stays in the store")))
        .isVisible();
    window.undo();
    assertThat(page.getByTestId("findings-pill")).containsText(before.split(" ")[0]);

    page.getByLabel("Area").selectOption("ADDRESSES");
    assertThat(page.getByTestId("finding")).hasCount(1);
    page.getByLabel("Area").selectOption("");
    page.getByLabel("Words that a finding has").fill("hangs on no dinghy");
    assertThat(page.getByTestId("finding")).hasCount(2);
    window.noErrors();
  }

  @Test
  void everyPlaceIsOpenToEverybodyInBothThemes() {
    for (String place :
        List.of(
            "Overview",
            "Network",
            "Controllers",
            "Props",
            "Patch",
            "Addresses",
            "Loads",
            "Handover",
            "Trial")) {
      window.go(place);
      if (place.equals("Props")) {
        page.locator("[data-prop]").first().focus();
        page.keyboard().press("Enter");
      }
      Accessibility.checkBothThemes(page, place);
    }
  }

  @Test
  @Tag("whole")
  void noPlaceFailsAtAnyWidth() {
    for (int width : new int[] {900, 600, 390, 240}) {
      page.setViewportSize(width, 844);
      for (String place :
          List.of(
              "overview",
              "network",
              "controllers",
              "props",
              "patch",
              "addresses",
              "loads",
              "handover")) {
        page.navigate(page.url().replaceAll("(/d/[^/]+/).*", "$1" + place));
        page.waitForTimeout(150);
        if (place.equals("network") && width == 390) {
          Object within =
              page.evaluate(
                  """
                  () => [...document.querySelectorAll('.flows .source, .flows .sink')]
                    .every((one) => one.getBoundingClientRect().right <= innerWidth)
                  """);
          assertThat(within).as("who sends to whom fits a phone").isEqualTo(true);
        }
      }
    }
  }

  @Test
  void whatIsOpenedHasAnAddressAndADisplayIsRemovedAndBroughtBack() {
    window.go("Patch");
    window.leg("winch-1").click();
    page.waitForURL(Pattern.compile(".*/d/[^/]+/patch/winch-1$"));
    page.reload();
    assertThat(page.getByTestId("glass")).containsText("Winch");

    Locator menu = page.getByTestId("display-menu");
    menu.click();
    page.getByText("New display…").click();
    page.getByLabel("Name of the display").fill("Attic");
    String before = page.url();
    page.keyboard().press("Enter");
    assertThat(menu).containsText("Attic");
    // one goes back from where one is, not from where one is about to be
    page.waitForURL(
        url -> !url.split("/d/")[1].startsWith(before.split("/d/")[1].substring(0, 36)));
    page.goBack();
    assertThat(menu).containsText("Saltmarsh Quay");
    assertThat(page.getByTestId("glass")).containsText("Winch");
    page.goForward();
    assertThat(menu).containsText("Attic");

    for (int times = 0; times < 2; times++) {
      menu.click();
      page.getByTestId("remove").click();
      page.getByTestId("remove-now").click();
      assertThat(menu).not().containsText("Attic");
      if (times == 0) {
        menu.click();
        page.getByTestId("removed").click();
        page.getByLabel("Bring back Attic").click();
        assertThat(menu).containsText("Attic");
      }
    }
  }

  @Test
  @Tag("whole")
  void aNewDisplayBeginsAsACopyOfLastYears() {
    page.getByTestId("display-menu").click();
    page.getByText("New display…").click();
    page.getByTestId("copy-of")
        .selectOption(new com.microsoft.playwright.options.SelectOption().setIndex(1));
    page.getByLabel("Name of the display").fill("Winter next year");
    page.keyboard().press("Enter");
    assertThat(page.getByTestId("display-menu")).containsText("Winter next year");
    assertThat(page.getByRole(AriaRole.MAIN)).containsText("65 props");
    page.getByTestId("display-menu").click();
    page.locator(".v-list-item").filter(Window.hasText("Saltmarsh Quay")).click();
    window.opened();
    window.noErrors();
  }
}
