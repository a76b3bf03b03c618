package hamper.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.options.BoundingBox;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

/** Props: what is done there, seen beforehand, and taken back. */
class PropsPlaceTest extends DemoCase {
  @Test
  void sectionsAreSplitShiftedAndJoinedOnTheRibbon() {
    window.go("Props");
    open("winch", "winch");
    Locator editor = page.locator("[data-prop=winch] .editors");
    window.acknowledged(
        () -> editor.getByText("split", new Locator.GetByTextOptions().setExact(true)).click());
    assertThat(pixelsOf(editor, 2)).hasValue("30");
    editor.locator("[data-boundary='0']").focus();
    window.acknowledged(() -> page.keyboard().press("Shift+ArrowRight"));
    assertThat(pixelsOf(editor, 1)).hasValue("40");
    window.acknowledged(() -> editor.getByLabel("Colour order of section 2").selectOption("GRB"));
    BoundingBox seam = editor.locator("[data-boundary='0']").boundingBox();
    page.mouse().move(seam.x + 5, seam.y + 20);
    page.mouse().down();
    page.mouse().move(seam.x + 60, seam.y + 20);
    window.acknowledged(page.mouse()::up);
    assertThat(pixelsOf(editor, 1)).not().hasValue("40");
    editor.locator("[data-boundary='0']").focus();
    window.acknowledged(() -> page.keyboard().press("x"));
    assertThat(editor).containsText("string 2");
    window.undo();
    window.acknowledged(() -> editor.getByLabel("Join sections 1 and 2").click());
    assertThat(pixelsOf(editor, 1)).hasValue("60");
    for (int i = 0; i < 5; i++) {
      window.undo();
    }
    assertThat(pixelsOf(editor, 2)).hasCount(0);
    window.noErrors();
  }

  private static Locator pixelsOf(Locator editor, int section) {
    return editor.getByLabel(
        "Pixels of section " + section, new Locator.GetByLabelOptions().setExact(true));
  }

  private void open(String prop, String name) {
    page.getByTestId("filter").locator("input").first().fill(name);
    page.locator("[data-prop=%s]".formatted(prop)).focus();
    page.keyboard().press("Enter");
    page.locator("[data-prop=%s] .editors".formatted(prop)).waitFor();
  }

  @Test
  @Tag("whole")
  void aWallsCornerIsPutRight() {
    window.go("Props");
    open("tide-wall", "tide clock wall");
    assertThat(page.getByLabel("First pixel top left")).hasAttribute("aria-pressed", "true");
    window.acknowledged(() -> page.getByLabel("First pixel bottom right").click());
    assertThat(page.getByLabel("First pixel bottom right")).hasAttribute("aria-pressed", "true");
    window.acknowledged(
        () -> page.getByLabel("Whether every second line runs back").selectOption("yes"));
    window.undo();
    window.undo();
    assertThat(page.getByLabel("First pixel top left")).hasAttribute("aria-pressed", "true");
    window.noErrors();
  }

  @Test
  void severalPropsAreChangedCopiedAndHungAtOnceWithoutAMouse() {
    window.go("Props");
    page.keyboard().press("n");
    page.keyboard().type("Bollard 1…3, 20, Footbridge");
    window.acknowledged(() -> page.keyboard().press("Enter"));
    Locator selection = page.getByTestId("selection");
    assertThat(selection).containsText("3 props");
    window.acknowledged(() -> selection.getByLabel("Pixel type").selectOption("node-12v-slow"));
    window.acknowledged(
        () -> {
          selection.getByLabel("End where data enters").fill("left");
          page.keyboard().press("Enter");
        });
    // wires are entered before anything hangs, for all of them
    Locator wire = selection.getByLabel("Wire of the string");
    assertThat(wire.locator("option:checked")).hasText("AWG 20, as usual †");
    window.acknowledged(() -> wire.selectOption("AWG 16"));
    assertThat(wire).hasValue("AWG 16");
    selection.getByTestId("arrange").click();
    assertThat(page.getByTestId("take-proposal")).hasText("Hang 3 pieces");
    window.acknowledged(() -> page.getByTestId("take-proposal").click());
    window.go("Props");
    page.getByTestId("filter").locator("input").fill("Bollard");
    page.locator("[data-prop=bollard-1]").click();
    page.keyboard().press("Shift+ArrowDown");
    page.keyboard().press("Shift+ArrowDown");
    assertThat(selection).containsText("3 props");
    assertThat(page.locator("[data-prop=bollard-1]"))
        .hasAccessibleName(Pattern.compile("K\\d-\\d+$"));
    window.acknowledged(() -> selection.getByText("Mirror image").click());
    Locator copy = page.locator("[data-prop=bollard]");
    copy.focus();
    page.keyboard().press("Enter");
    assertThat(copy).containsText("data in right");
    assertThat(copy).containsText("not patched");
    page.keyboard().press("Control+a");
    page.keyboard().press("Escape");
    assertThat(selection).hasCount(0);
    copy.focus();
    page.keyboard().press("ArrowUp");
    page.keyboard().press("Shift+ArrowDown");
    assertThat(selection).containsText("2 props");
    window.acknowledged(() -> page.keyboard().press("Delete"));
    for (int i = 0; i < 7; i++) {
      window.undo();
    }
    page.getByTestId("filter").locator("input").fill("");
    assertThat(page.getByText("65 props,")).isVisible();
    window.noErrors();
  }

  @Test
  @Tag("whole")
  void aZonesPlaceGivesACableItsLengthUntilSomebodyEntersOne() {
    window.find("lamp posts to K2-5");
    Locator cable = page.getByTestId("glass").getByLabel("Cable in the gap, metres");
    assertThat(cable).hasValue("");
    String estimate = cable.getAttribute("placeholder");
    assertThat(estimate).startsWith("≈");
    window.go("Props");
    page.getByTestId("show-site").click();
    page.locator("[data-zone=boathouse]").focus();
    window.acknowledged(() -> page.keyboard().press("Shift+ArrowRight"));
    window.go("Patch");
    window.find("lamp posts");
    assertThat(cable).not().hasAttribute("placeholder", estimate);
    window.acknowledged(
        () -> {
          cable.fill("7.5");
          cable.press("Enter");
        });
    assertThat(cable).hasValue("7.5");
    for (int i = 0; i < 3; i++) {
      window.undo();
    }
    window.noErrors();
  }
}
