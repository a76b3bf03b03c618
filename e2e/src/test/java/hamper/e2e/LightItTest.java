package hamper.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.assertions.LocatorAssertions;
import com.microsoft.playwright.options.AriaRole;
import java.util.List;
import java.util.Map;
import java.util.regex.Pattern;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

/** Light it, see it, find the fault: in the place where that is done. */
class LightItTest extends DemoCase {
  private static final double SOON = 20_000;

  private static Locator controller(Page page, String id) {
    return page.locator("[data-trial=%s]".formatted(id));
  }

  private static void differing(Page page, String id, String pattern) {
    assertThat(controller(page, id))
        .hasAttribute(
            "data-differing",
            Pattern.compile(pattern),
            new LocatorAssertions.HasAttributeOptions().setTimeout(SOON));
  }

  private static void misbehave(Page page, String controller, String what, boolean on) {
    page.getByTestId("misbehave-" + controller).click();
    page.locator("[data-switch=%s]".formatted(what)).setChecked(on);
    page.keyboard().press("Escape");
  }

  private static void light(Page page, String what) {
    page.keyboard().press("/");
    page.keyboard().type("light " + what);
    page.keyboard().press("Enter");
    page.getByTestId("dark").waitFor();
  }

  @AfterEach
  void dark() {
    page.evaluate("() => fetch('/api/output', { method: 'DELETE' })");
  }

  @Test
  void wrongColoursAreSeenAskedAboutPlannedAndTakenBack() {
    window.go("Trial");
    Accessibility.check(page, "dark");
    light(page, "coping west");
    differing(page, "k1", "0");
    assertThat(page.getByTestId("as-meant")).isVisible();
    // the last name taken away is dark, and not everything lit
    page.getByTestId("what").locator(".v-chip__close").click();
    assertThat(page.getByTestId("light")).isVisible();
    assertThat(page.getByTestId("lit-strip")).hasCount(0);
    light(page, "coping west");
    differing(page, "k1", "0");
    misbehave(page, "k1", "colour-order", true);
    differing(page, "k1", "[1-9].*");
    assertThat(page.getByTestId("all-differing")).containsText("else than is meant");
    List<String> asked = GuideWalk.of(page, "WRONG_COLOURS", Map.of());
    assertThat(asked).containsExactly("channel-1=blue", "channel-2=green");
    Locator cause = page.locator("[data-cause^=order-]");
    assertThat(cause).hasCount(1);
    Accessibility.check(page, "a cause");
    cause.getByTestId("plan-it").click();
    assertThat(page.getByTestId("trial")).containsText("colour order");
    window.acknowledged(() -> page.getByTestId("apply").click());
    page.getByTestId("check-all").click();
    page.getByTestId("start-proof").click();
    // only K4, which carries too much
    assertThat(page.getByTestId("verdict"))
        .containsText(
            "1 controller did not take",
            new LocatorAssertions.ContainsTextOptions().setTimeout(60_000));
    page.getByTestId("check-all").click();
    window.undo();
    misbehave(page, "k1", "colour-order", false);
    differing(page, "k1", "0");
    window.noErrors();
  }

  @Test
  @Tag("whole")
  void threeLightAtOnceAFourthIsToldAndAnyStopsAll() {
    String url = page.url();
    window.go("Trial");
    Page second = window.tab(url);
    Page third = window.tab(url);
    Page fourth = window.tab(url);
    light(page, "coping west");
    light(second, "coping east");
    light(third, "boathouse ridge");
    assertThat(page.getByTestId("lit")).containsText("3 pieces lit by 3");
    fourth.keyboard().press("/");
    fourth.keyboard().type("light coping east");
    fourth.keyboard().press("Enter");
    assertThat(fourth.getByRole(AriaRole.DIALOG)).containsText("Coping east");
    assertThat(fourth.getByRole(AriaRole.DIALOG)).containsText(Pattern.compile("window \\w+"));
    fourth.keyboard().press("Escape");
    third.keyboard().press("Control+.");
    for (Page one : List.of(page, second, third, fourth)) {
      assertThat(one.getByTestId("lit-strip")).hasCount(0);
    }
    second.close();
    third.close();
    fourth.close();
  }

  @Test
  void whatMovesMovesWhileItIsHeldAndASecondAfterItsWindowIsGoneItIsSafe() {
    window.go("Trial");
    light(page, "K7");
    page.getByTestId("movers").click();
    page.locator("[data-test^=arm-]").first().click();
    Locator hold = page.locator("[data-test^=hold-]").first();
    hold.waitFor();
    assertThat(moving()).isZero();
    hold.hover();
    page.mouse().down();
    page.waitForFunction(MOVING + "1");
    page.mouse().up();
    page.waitForFunction(MOVING + "0");
    // the window of whoever holds it dies
    Page other = window.tab(page.url());
    hold.hover();
    page.mouse().down();
    page.waitForFunction(MOVING + "1");
    page.close();
    other.waitForFunction(MOVING + "0", null, new Page.WaitForFunctionOptions().setTimeout(5_000));
    other.evaluate("() => fetch('/api/output', { method: 'DELETE' })");
    page = other;
  }

  private static final String MOVING =
      "async () => (await (await fetch('/api/output')).json()).moving.length === ";

  private int moving() {
    return (int)
        page.evaluate("async () => (await (await fetch('/api/output')).json()).moving.length");
  }

  @Test
  @Tag("whole")
  void onAPhoneOneThumbCountsHalvesAndSaysThatItIsRight() {
    page.setViewportSize(390, 844);
    window.go("Trial");
    light(page, "coping west");
    page.getByTestId("pattern").click();
    page.getByText("one pixel, counted").click();
    for (int i = 0; i < 4; i++) {
      page.getByTestId("next").click();
    }
    assertThat(page.getByTestId("number")).containsText("5");
    assertThat(page.getByTestId("next").boundingBox().height).isGreaterThan(60);
    page.keyboard().press("Shift+ArrowRight");
    assertThat(page.getByTestId("number")).containsText("15");
    differing(page, "k1", "0");
    page.getByTestId("pattern").click();
    page.getByText("a part, halved").click();
    page.getByTestId("second-half").click();
    page.getByTestId("first-half").click();
    assertThat(page.getByTestId("part")).containsText("171–255 of 340");
    page.getByTestId("mark-seen").click();
    page.getByTestId("seen-who").fill("Ann");
    page.keyboard().press("Enter");
    assertThat(page.getByTestId("seen-by")).containsText("seen right by Ann");
    assertThat(page.getByTestId("seen-count")).containsText("1 of 62 strings");
    Accessibility.check(page, "phone");
    // another colour order, and nobody has seen that
    page.setViewportSize(1280, 900);
    window.go("Overview");
    assertThat(page.getByTestId("zones")).containsText("1 of");
    window.noErrors();
  }
}
