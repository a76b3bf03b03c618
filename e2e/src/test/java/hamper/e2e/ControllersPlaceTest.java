package hamper.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import java.util.List;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

/** Controllers: what is done there, seen beforehand, and taken back. */
class ControllersPlaceTest extends DemoCase {
  private Locator row(String controller) {
    return page.locator("[data-row=%s]".formatted(controller));
  }

  private List<String> order() {
    return page.locator("[data-row]").all().stream()
        .map(one -> one.getAttribute("data-row"))
        .toList();
  }

  @Test
  void controllersAreAddedSeveralAtOnceWithTagsAddressesAndASource() {
    window.go("Controllers");
    page.locator("[data-model=ostrand-five]").click();
    assertThat(page.getByTestId("model-facts")).containsText("Most universes");
    page.getByLabel("How many").fill("3");
    window.acknowledged(() -> page.getByTestId("add-model").click());
    assertThat(page.getByTestId("said")).containsText("Add 3 × Ostrand Five");
    assertThat(page.getByLabel("Name of K12")).hasValue("Five");
    assertThat(page.getByLabel("Address of K11")).hasValue("198.51.100.2");
    assertThat(page.getByLabel("Address of K13")).hasValue("198.51.100.4");
    assertThat(page.getByLabel("Source of K13")).hasValue("h1");
    window.undo();
    assertThat(page.getByLabel("Name of K12")).hasCount(0);

    page.getByLabel("Compare with").selectOption("quillby-wren");
    assertThat(page.getByTestId("model-facts")).containsText("the same");
    page.getByRole(AriaRole.COMPLEMENTARY, new Page.GetByRoleOptions().setName("Catalogue"))
        .getByTestId("filter")
        .locator("input")
        .fill("remote dmx no-such-word");
    assertThat(page.locator("[data-model]")).hasCount(0);
    window.noErrors();
  }

  @Test
  void aControllerIsMovedInTheListAndWhatMovesIsSeenBefore() {
    window.go("Controllers");
    row("k4").waitFor();
    List<String> before = order();
    Locator grip = row("k4").getByRole(AriaRole.BUTTON).first();
    grip.scrollIntoViewIfNeeded();
    BoundingBox from = grip.boundingBox();
    BoundingBox to = row("k2").boundingBox();
    page.mouse().move(from.x + 8, from.y + 8);
    page.mouse().down();
    page.mouse().move(to.x + 8, to.y + 20);
    page.mouse().move(to.x + 8, to.y + 10);
    assertThat(page.locator(".tried")).containsText("Move K4 to place 4");
    assertThat(page.locator(".tried")).containsText("legs moved to other universes on K4, K2");
    assertThat(page.locator(".ghost")).not().hasCount(0);
    assertThat(order()).isEqualTo(before);
    window.acknowledged(page.mouse()::up);
    assertThat(order().indexOf("k4")).isEqualTo(3);
    window.undo();
    assertThat(order()).isEqualTo(before);

    row("k4").focus();
    window.acknowledged(() -> page.keyboard().press("Alt+ArrowUp"));
    assertThat(row("k4")).isFocused();
    assertThat(order().indexOf("k4")).isEqualTo(before.indexOf("k4") - 1);
    window.undo();
    window.noErrors();
  }

  @Test
  @Tag("whole")
  void aModeWithLegsOnItAndAnotherModelSayWhatGoesBackToTheTray() {
    window.find("lamp posts to K4-20");
    assertThat(window.leg("lamp-posts-1")).isVisible();
    window.go("Controllers");
    page.getByLabel("Mode of K4").selectOption("12 ports");
    Locator trial = page.getByTestId("trial");
    assertThat(trial).containsText("1 piece back to the tray: Lamp posts");
    assertThat(page.getByLabel("Mode of K4")).hasValue("24 ports");
    trial.getByText("Leave it").click();
    assertThat(trial).hasCount(0);
    page.getByLabel("Mode of K4").selectOption("12 ports");
    window.acknowledged(() -> trial.getByTestId("apply").click());
    assertThat(page.getByLabel("Mode of K4")).hasValue("12 ports");
    window.undo();
    assertThat(page.getByLabel("Mode of K4")).hasValue("24 ports");
    window.undo();

    row("k2").focus();
    page.keyboard().press("Enter");
    assertThat(page.getByText("Exchange K2 for")).isVisible();
    page.locator("[data-model=quillby-wren]").click();
    page.getByText("What would change").click();
    assertThat(trial).containsText("pieces back to the tray");
    window.acknowledged(() -> trial.getByTestId("apply").click());
    assertThat(row("k2")).containsText("Quillby Wren");
    window.undo();
    assertThat(row("k2")).containsText("Ostrand Five");
    window.noErrors();
  }

  @Test
  void aFirstUniverseIsSeenOnTheStripWhileItIsTyped() {
    window.go("Controllers");
    Locator universe = page.getByLabel("First universe of K2, where it is fixed");
    universe.fill("100");
    assertThat(page.locator(".ghost")).not().hasCount(0);
    assertThat(page.locator(".tried")).containsText("on K2");
    window.acknowledged(() -> universe.press("Enter"));
    assertThat(universe).hasValue("100");
    window.undo();
    assertThat(universe).hasValue("");
    window.noErrors();
  }
}
