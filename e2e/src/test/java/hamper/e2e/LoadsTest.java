package hamper.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import java.util.regex.Pattern;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

/** Loads: what ports carry, how far voltage reaches, where power comes from. */
class LoadsTest extends DemoCase {
  @BeforeEach
  void goThere() {
    window.go("Loads");
  }

  private Locator port(String written) {
    return page.locator("[data-port='%s']".formatted(written));
  }

  private Locator panel() {
    return page.getByTestId("run-panel");
  }

  private Locator feed(int index) {
    return panel().locator("[data-feed='%d']".formatted(index));
  }

  /** The curve as it is drawn. */
  private Locator curve() {
    return panel().locator("svg.curve");
  }

  private static Pattern saying(String text) {
    return Pattern.compile(text.replace(".", "\\."));
  }

  @Test
  void theFullestPortComesFirstAndABrightnessIsTriedBeforeItIsSet() {
    Locator rows = page.locator("[data-port]");
    assertThat(rows.first()).hasAttribute("data-port", "K4-3");
    assertThat(rows.first()).containsText("430 / 400");
    page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Planned").setExact(true))
        .click();
    Locator hottest = port("K8-2");
    assertThat(rows.first()).hasAttribute("data-port", "K8-2");
    String before = hottest.textContent();

    Locator tried = page.getByTestId("what-if");
    tried.getByLabel("Brightness that is tried, percent").fill("50");
    assertThat(tried).containsText("ports would change, shown below");
    assertThat(hottest).not().hasText(before);
    tried.getByText("Leave it").click();
    assertThat(hottest).hasText(before);

    tried.getByLabel("What is made brighter or darker").selectOption("controller k2");
    tried.getByLabel("Brightness that is tried, percent").fill("60");
    assertThat(tried).containsText("4 ports would change");
    window.acknowledged(() -> tried.getByText("Apply").click());
    assertThat(page.getByTestId("said")).containsText("Set brightness of K2 to 60 %");
    window.undo();
    assertThat(hottest).hasText(before);
    page.getByTestId("filter").locator("input").fill("footbridge arch");
    assertThat(port("K1-1")).hasCount(0);
    window.noErrors();
  }

  @Test
  void aFeedIsDraggedAndWalkedAlongItsRunWithTheCurveFollowing() {
    port("K1-1").locator(".what").click();
    assertThat(curve()).hasAttribute("aria-label", saying("11.72 V at pixel 224 of Coping west"));
    String path = curve().locator("path.planned").getAttribute("d");
    BoundingBox box = feed(2).boundingBox();
    page.mouse().move(box.x + box.width / 2, box.y + 8);
    page.mouse().down();
    page.mouse().move(box.x + box.width / 2 - 60, box.y + 8);
    page.mouse().move(box.x + box.width / 2 - 120, box.y + 8);
    assertThat(curve()).not().hasAttribute("aria-label", saying("11.72 V"));
    assertThat(curve().locator("path.planned")).not().hasAttribute("d", path);
    assertThat(page.getByTestId("undo")).isDisabled();
    window.acknowledged(page.mouse()::up);
    assertThat(page.getByTestId("said")).containsText("Set position of a feed of Coping west");
    window.undo();
    assertThat(curve().locator("path.planned")).hasAttribute("d", path);
    Accessibility.check(page, "an open run");

    feed(1).focus();
    page.keyboard().press("Shift+ArrowRight");
    page.keyboard().press("ArrowRight");
    assertThat(feed(1)).hasAttribute("aria-label", saying("pixel 161 of Coping west"));
    page.keyboard().press("Escape");
    assertThat(feed(1)).hasAttribute("aria-label", saying("pixel 150 of Coping west"));
    page.keyboard().press("ArrowLeft");
    assertThat(feed(1)).hasAttribute("aria-label", saying("pixel 149 of Coping west"));
    window.acknowledged(() -> page.keyboard().press("Enter"));
    window.undo();
    window.noErrors();
  }

  @Test
  @Tag("whole")
  void oneFeedIsSeenLostItsFuseAndWireAreSetAndAJointIsCut() {
    port("K1-4").locator(".what").click();
    feed(1).click();
    assertThat(page.getByTestId("feed-editor")).containsText("The feed at pixel 1 of Winch");
    page.getByTestId("lose").click();
    assertThat(curve().locator("path.lost")).isVisible();
    page.getByTestId("lose").click();
    assertThat(curve().locator("path.lost")).hasCount(0);

    String pill = window.findings();
    window.acknowledged(
        () -> {
          Locator fuse = page.getByLabel("Fuse of this feed, amperes");
          fuse.fill("15");
          fuse.press("Enter");
        });
    assertThat(page.getByTestId("findings-pill")).containsText("4 faults");
    window.undo();

    Locator joint = panel().getByLabel("Cut positive before Winch");
    window.acknowledged(joint::click);
    assertThat(joint).hasAttribute("aria-pressed", "true");
    assertThat(page.getByTestId("said")).containsText("Cut positive before Winch");
    window.undo();

    panel().locator("[data-piece='winch-1']").click();
    window.acknowledged(
        () -> page.getByTestId("wiring").getByLabel("Wire of the string").selectOption("AWG 24"));
    assertThat(page.getByTestId("wiring").getByLabel("Wire of the string")).hasValue("AWG 24");
    window.undo();
    assertThat(page.getByTestId("findings-pill")).containsText(pill.split(" ")[0]);
    window.noErrors();
  }

  @Test
  @Tag("whole")
  void feedsForEveryRunThatWantsSomeAreOneStep() {
    assertThat(port("K8-2")).containsText("7.70 V");
    page.getByTestId("plan-feeds").click();
    Locator trial = page.getByTestId("trial");
    assertThat(trial).containsText("Add 2 feeds to 1 run");
    assertThat(trial).containsText("clears 3 findings");
    window.acknowledged(() -> trial.getByTestId("apply").click());
    assertThat(port("K8-2")).not().containsText("7.70 V");
    assertThat(page.getByTestId("findings-pill")).containsText("2 faults");
    assertThat(page.getByTestId("plan-feeds")).hasCount(0);
    window.undo();
    assertThat(port("K8-2")).containsText("7.70 V");
    window.noErrors();
  }

  @Test
  void aFindingLeadsToItsRunAndItsRemedyShowsWhatItChanges() {
    window.go("Overview");
    page.getByTestId("findings-pill").click();
    Locator low = page.locator("[data-code=voltage-low]");
    low.getByTestId("settle").click();
    assertThat(low.getByTestId("trial")).containsText("changes K8-2");
    assertThat(low.getByText("Lower K8-2 to")).isVisible();
    low.getByText("Go there").click();
    assertThat(curve()).hasAttribute("aria-label", saying("7.70 V at pixel 200 of Pontoon edge"));
    window.acknowledged(() -> low.getByTestId("apply").click());
    assertThat(low).hasCount(0);
    assertThat(feed(1)).isVisible();
    window.undo();
    window.noErrors();
  }

  @Test
  @Tag("whole")
  void suppliesAndMainsCircuitsAreAddedLoadedAndRemoved() {
    page.getByTestId("view-power").click();
    Locator board = page.getByTestId("power-board");
    Locator wall = board.locator("[data-power='supply-wall']");
    assertThat(wall).containsText("23.5 / 40 A");
    window.acknowledged(
        () -> {
          Locator amps = wall.getByLabel("Rating of the supply, amperes");
          amps.fill("25");
          amps.press("Enter");
        });
    assertThat(wall).containsText("23.5 / 25 A");
    assertThat(page.getByTestId("findings-pill")).containsText("13 risks");
    window.undo();

    window.acknowledged(() -> page.getByTestId("add-mains").click());
    assertThat(board.getByLabel("Name of the mains circuit").last()).hasValue("Circuit 5");
    window.acknowledged(
        () -> wall.getByLabel("Mains circuit of the supply").selectOption("Circuit 5"));
    assertThat(board.locator("[data-power='mains-quay']")).not().containsText("841");
    window.acknowledged(() -> wall.getByLabel("Remove Quay wall supply").click());
    assertThat(wall).hasCount(0);
    window.undo();
    window.undo();
    window.undo();

    wall.getByText("K1-7", new Locator.GetByTextOptions().setExact(true)).click();
    assertThat(panel()).isVisible();
    assertThat(port("K1-7")).isVisible();
    window.noErrors();
  }

  @Test
  @Tag("whole")
  void everybodySeesTheRunAndTheSuppliesInBothThemes() {
    port("K1-4").locator(".what").click();
    feed(1).click();
    Accessibility.checkBothThemes(page, "a run");
    page.getByTestId("view-power").click();
    Accessibility.checkBothThemes(page, "supplies");
  }

  @Test
  @Tag("whole")
  void onAPhoneNothingIsCutOffAndFindingsAreRead() {
    page.setViewportSize(390, 844);
    page.getByTestId("findings-pill").click();
    Locator panel =
        page.getByRole(AriaRole.COMPLEMENTARY, new Page.GetByRoleOptions().setName("Findings"));
    BoundingBox box = panel.boundingBox();
    assertThat(box.width).isEqualTo(390);
    page.getByTestId("finding").first().getByText("Go there").waitFor();
    page.getByLabel("Close findings").click();
    page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Loads")).click();
    Object wide = page.evaluate("document.documentElement.scrollWidth");
    assertThat(((Number) wide).intValue()).isEqualTo(390);
    port("K4-3").scrollIntoViewIfNeeded();
    window.noErrors();
  }
}
