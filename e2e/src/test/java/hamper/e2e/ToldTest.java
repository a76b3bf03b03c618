package hamper.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

/** Numbers that two places show agree, and what is wrong or was done is told with its values. */
class ToldTest extends DemoCase {
  private Locator byLabel(String label) {
    return page.getByLabel(label, new Page.GetByLabelOptions().setExact(true));
  }

  private Locator finding(String code) {
    return page.locator("[data-code=%s]".formatted(code));
  }

  private void command(String text) {
    page.keyboard().press("/");
    page.keyboard().type(text);
    window.acknowledged(() -> page.keyboard().press("Enter"));
  }

  private static String match(String pattern, String text) {
    Matcher found = Pattern.compile(pattern).matcher(text);
    assertThat(found.find()).as("%s in %s", pattern, text).isTrue();
    return found.group(1);
  }

  @Test
  @Tag("whole")
  void twoCircuitsOnOneRelayAreAFaultThatNamesBoth() {
    command("tide bell to K7-R1");
    page.getByTestId("findings-pill").click();
    assertThat(finding("relay-shared")).containsText("Two circuits on one relay");
    assertThat(finding("relay-shared")).containsText("Tide bell");
    window.undo();
    assertThat(finding("relay-shared")).hasCount(0);
  }

  @Test
  @Tag("whole")
  void theLoadOfAPortIsTheSameInPatchInLoadsAndOnPaper() {
    window.go("Patch");
    String lane = window.lane("k1|PIXEL|1").innerText().replaceAll("\\s+", " ");
    String pixels = match("(\\d+/\\d+)", lane);
    String amps = match("(\\d+\\.\\d) (?:of|/)", lane.replace(" A", " of"));
    window.go("Loads");
    String row = page.locator("[data-port='K1-1']").first().innerText().replaceAll("\\s+", " ");
    assertThat(row).contains(amps);
    assertThat(pixels).matches("\\d+/\\d+");
  }

  @Test
  @Tag("whole")
  void aDevicesOwnStartIsTheSameUnderTheGlassAndOnItsSheet() {
    window.go("Patch");
    window.leg("winch-1").click();
    String start = match("device (\\S.*)", page.getByTestId("device-start").first().innerText());
    window.go("Handover");
    page.locator("[data-row=k1] button").click();
    assertThat(page.locator("main")).containsText(start);
  }

  @Test
  @Tag("whole")
  void noVoltageIsBelowNothing() {
    command("K8 brightness 100");
    window.go("Loads");
    assertThat(page.locator("main")).containsText(" V");
    assertThat(page.locator("main").innerText()).doesNotContainPattern("[-−]\\d+\\.\\d+ V");
    page.getByTestId("findings-pill").click();
    assertThat(page.locator("main").innerText()).doesNotContainPattern("[-−]\\d+\\.\\d+ V");
    window.undo();
  }

  @Test
  @Tag("whole")
  void whatComesOffWithAControllerIsToldInNumbersBeforeItGoes() {
    window.go("Controllers");
    page.getByLabel("Remove K2").click();
    Locator trial = page.getByTestId("trial");
    assertThat(trial).containsText("5 pieces back to the tray");
    trial.getByText("Leave it").click();
    assertThat(byLabel("Name of K2")).isVisible();
  }

  @Test
  @Tag("whole")
  void aDisplayIsRenamedAndUndoSaysFromWhatToWhat() {
    Locator menu = page.getByTestId("display-menu");
    menu.click();
    page.getByText("Rename this display…").click();
    byLabel("Name").fill("Quay 2026");
    window.acknowledged(() -> page.keyboard().press("Enter"));
    assertThat(menu).containsText("Quay 2026");
    assertThat(page.getByTestId("undo")).hasAttribute("aria-label", Pattern.compile("Quay 2026"));
    window.undo();
    assertThat(menu).containsText("Saltmarsh Quay");
  }

  @Test
  @Tag("whole")
  void aPropThatIsDarkByItsBrightnessIsFound() {
    command("K1-1 brightness 0");
    page.getByTestId("findings-pill").click();
    assertThat(finding("brightness-zero").first()).isVisible();
    assertThat(page.getByTestId("undo")).hasAttribute("aria-label", Pattern.compile("to 0 %"));
    window.undo();
    assertThat(finding("brightness-zero")).hasCount(0);
  }

  @Test
  @Tag("whole")
  void aRemedyAndTheUndoOfAnEditSayTheValue() {
    window.go("Controllers");
    Locator universe = byLabel("First universe of K2, where it is fixed");
    universe.fill("31");
    window.acknowledged(() -> universe.press("Enter"));
    assertThat(page.getByTestId("undo"))
        .hasAttribute("aria-label", "Undo: Set first universe of K2 to 31");
    window.undo();
    page.getByTestId("findings-pill").click();
    Locator tooMany = finding("port-limit");
    tooMany.getByTestId("settle").click();
    assertThat(tooMany).containsText(Pattern.compile("Move .+ to K|12 ports"));
  }

  @Test
  void aThingAtFaultIsMarkedWhereItStands() {
    page.getByTestId("findings-pill").click();
    finding("port-limit").getByText("Go there").click();
    assertThat(page.locator(".leg.wrong, .port.wrong").first()).isVisible();
    assertThat(page.locator("[data-test=cluster][data-code=not-patched]"))
        .containsText("10 × Not patched");
  }

  @Test
  @Tag("whole")
  void theSameWordsFilterEveryList() {
    window.go("Props");
    Locator filter = page.getByTestId("filter").locator("input");
    filter.fill("> 190");
    Locator props = page.locator("[data-prop]");
    assertThat(props.first()).isVisible();
    int large = props.count();
    filter.fill("slipway");
    assertThat(page.locator("[data-prop=net]")).isVisible();
    filter.fill("");
    assertThat(large).isLessThan(props.count());

    window.go("Controllers");
    Locator controllers = page.locator("main").getByTestId("filter").locator("input").first();
    controllers.fill("198.51.100.12");
    assertThat(byLabel("Name of K2")).isVisible();
    assertThat(byLabel("Name of K1")).hasCount(0);
    controllers.fill("footbridge");
    assertThat(byLabel("Name of K4")).isVisible();
    assertThat(byLabel("Name of K2")).hasCount(0);
    controllers.fill("");

    window.go("Patch");
    Locator tray = page.getByLabel("Filter the tray by zone, name or pixels");
    tray.fill("> 100");
    int some = page.locator("[data-tray] [data-piece]").count();
    tray.fill("slipway");
    assertThat(page.locator("[data-tray] [data-piece]")).hasCount(4);
    tray.fill("");
    assertThat(page.locator("[data-tray] [data-piece]")).hasCount(10);
    assertThat(some).isLessThan(10);
  }

  @Test
  @Tag("whole")
  void theFinderPatchesSeveralFindsAPortByItselfAndTakesBack() {
    window.go("Patch");
    command("red dinghy, blue dinghy to K1-12");
    assertThat(window.lane("k1|PIXEL|12").locator("[data-piece]")).hasCount(2);
    command("unpatch red dinghy");
    assertThat(window.loose("dinghy-red-1")).isVisible();
    command("red dinghy to K6");
    assertThat(window.loose("dinghy-red-1")).hasCount(0);
    assertThat(page.getByTestId("said")).containsText("Patch Red dinghy across K6");
    for (int i = 0; i < 3; i++) {
      window.undo();
    }
    assertThat(page.locator("[data-tray] [data-piece]")).hasCount(10);
  }
}
