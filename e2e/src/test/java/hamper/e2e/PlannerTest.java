package hamper.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Download;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.FilePayload;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** What a planner does in a first evening, in the real program. */
class PlannerTest extends DemoCase {
  @TempDir static Path files;

  @Test
  void theFirstStartShowsTheHarbourAndWhatStopsIt() {
    assertThat(page.getByRole(AriaRole.MAIN)).containsText("What stops you tonight");
    assertThat(page.getByRole(AriaRole.MAIN)).containsText("K4-3 carries 430 pixels");
    page.getByTestId("findings-pill").click();
    Locator first = page.getByTestId("finding").first();
    assertThat(first).containsText("Tide clock rim on K1-5 and Tide clock hands on K1-6");
    first.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Go there")).click();
    assertThat(page.getByTestId("glass")).containsText("Tide clock rim");
    assertThat(page.getByTestId("glass").getByTestId("start")).hasValue("9:1");
    page.getByTestId("theme").click();
    page.getByTestId("theme").click();
    window.noErrors();
  }

  @Test
  void aWindowThatIsLeftAloneAsksNothing() {
    page.waitForTimeout(500);
    int[] asked = {0};
    page.onRequest(request -> asked[0]++);
    page.waitForTimeout(1500);
    assertThat(asked[0]).isZero();
  }

  @Test
  void everythingIsPatchedWithoutAMouse() {
    window.go("Patch");
    window.loose("slip-edge-1").focus();
    page.keyboard().press("Enter");
    assertThat(page.getByText("1 in hand")).isVisible();
    window.acknowledged(() -> page.keyboard().press("Control+v"));
    assertThat(window.leg("slip-edge-1")).isFocused();
    String lane = window.leg("slip-edge-1").getAttribute("aria-label");
    assertThat(lane).contains("240 pixels").endsWith("on K1-12");

    window.acknowledged(() -> page.keyboard().press("Alt+ArrowUp"));
    assertThat(window.leg("slip-edge-1")).hasAccessibleName(ends("on K1-11"));
    // the keyboard follows once the answer is there
    assertThat(window.leg("slip-edge-1")).isFocused();
    window.acknowledged(() -> page.keyboard().press("Alt+ArrowRight"));
    assertThat(window.leg("harbour-office-1").getAttribute("data-cell")).isEqualTo("0");
    assertThat(window.leg("slip-edge-1").getAttribute("data-cell")).isEqualTo("1");
    assertThat(window.leg("slip-edge-1")).isFocused();

    page.keyboard().press("Enter");
    assertThat(page.getByTestId("glass")).containsText("Slipway edge");
    page.keyboard().press("Enter");
    assertThat(page.getByTestId("glass")).hasCount(0);

    window.acknowledged(() -> page.keyboard().press("Delete"));
    assertThat(window.loose("slip-edge-1")).isVisible();
    for (int i = 0; i < 4; i++) {
      window.acknowledged(() -> page.keyboard().press("Control+z"));
    }
    assertThat(page.getByTestId("undo")).isDisabled();
    window.noErrors();
  }

  private static java.util.regex.Pattern ends(String text) {
    return java.util.regex.Pattern.compile(text + "$");
  }

  @Test
  void theFinderGoesAnywhereAndPatches() {
    page.keyboard().press("/");
    page.keyboard().type("9:280");
    assertThat(page.getByRole(AriaRole.OPTION).first()).containsText("Tide clock rim, pixel 94");
    page.keyboard().press("Escape");
    page.keyboard().press("/");
    page.keyboard().type("weather vane to K2-5");
    assertThat(page.getByRole(AriaRole.OPTION).first()).containsText("Patch Weather vane to K2-5");
    window.acknowledged(() -> page.keyboard().press("Enter"));
    assertThat(window.leg("weather-vane-1")).isVisible();
    window.undo();
    assertThat(window.loose("weather-vane-1")).isVisible();
    window.noErrors();
  }

  @Test
  void valuesAreEditedUnderTheGlassWhereTheyAct() {
    window.go("Patch");
    window.leg("winch-1").dblclick();
    Locator glass = page.getByTestId("glass");
    assertThat(glass.getByTestId("start")).hasValue("6:352");
    // a number is selected by a double click, and its string is not split by it
    glass
        .getByLabel("Pixels of section 1", new Locator.GetByLabelOptions().setExact(true))
        .dblclick();
    assertThat(glass.locator(".boundary")).hasCount(0);
    Locator nulls = glass.getByLabel("Null pixels in the gap");
    nulls.fill("2000");
    nulls.press("Enter");
    assertThat(nulls.evaluate("field => field.validationMessage"))
        .isEqualTo("2000: allowed is 0 to 1000");
    nulls.press("Escape");

    Locator pixels =
        glass.getByLabel("Pixels of section 1", new Locator.GetByLabelOptions().setExact(true));
    window.acknowledged(
        () -> {
          pixels.fill("70");
          pixels.press("Enter");
        });
    assertThat(page.getByTestId("said"))
        .containsText("4 legs moved by up to 30 channels on K1, K4");
    window.acknowledged(() -> glass.getByTestId("hold").click());
    assertThat(glass.getByTestId("hold")).hasAttribute("aria-pressed", "true");
    window.acknowledged(() -> glass.getByLabel("Colour order of section 1").selectOption("GRB"));
    window.undo();
    window.undo();
    window.undo();
    assertThat(pixels).hasValue("60");
    window.noErrors();
  }

  private static Page.GetByLabelOptions exact() {
    return new Page.GetByLabelOptions().setExact(true);
  }

  @Test
  void anotherWindowFollows() {
    try (Window other = new Window(program.url)) {
      other.opened();
      other.go("Patch");
      window.go("Patch");
      page.keyboard().press("/");
      page.keyboard().type("lamp posts to K1-12");
      window.acknowledged(() -> page.keyboard().press("Enter"));
      assertThat(other.leg("lamp-posts-1")).hasCount(1);
      window.undo();
      assertThat(other.loose("lamp-posts-1")).isVisible();

      // what one types stays, whatever comes from another window; and one is told what came
      other.go("Controllers");
      window.go("Controllers");
      Locator typed = other.page.getByLabel("Name of K1", exact());
      typed.fill("Quay wall");
      Locator name = page.getByLabel("Name of K1", exact());
      name.fill("Wall");
      window.acknowledged(() -> name.press("Enter"));
      assertThat(other.page.getByTestId("said")).containsText("Name of K1 is Wall now");
      assertThat(typed).hasValue("Quay wall");
      typed.press("Escape");
      assertThat(typed).hasValue("Wall");
      window.undo();
    }
  }

  @Test
  @Tag("whole")
  void aConfigurationAndTheSendListAreDownloaded() throws IOException {
    window.go("Handover");
    page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("K2 Boathouse")).click();
    assertThat(page.getByTestId("sheet")).containsText("first universe17");
    Download sheet = page.waitForDownload(() -> page.getByTestId("download-configuration").click());
    assertThat(sheet.suggestedFilename()).isEqualTo("K2.configuration.json");
    assertThat(Files.readString(sheet.path()))
        .contains("\"format\" : \"hamper-configuration\"")
        .contains("\"fingerprint\" : \"sha256:");
    page.getByTestId("list-source").first().click();
    assertThat(page.getByTestId("send-list")).containsText("198.51.100.13");
    Download list = page.waitForDownload(() -> page.getByTestId("download-send-list").click());
    assertThat(Files.readString(list.path())).contains("\"destination\" : \"239.255.0.1\"");
    window.noErrors();
  }

  @Test
  void badFilesAreRefusedWithThePlaceAndNothingIsLost() throws IOException {
    String example = Files.readString(Path.of("../docs/formats/example.hamper.json"));
    refuses("not JSON", "{ hello", "line 1, column 3", "not JSON");
    refuses(
        "another version",
        example.replace("Version\": 2", "Version\": 7"),
        "formatVersion",
        "7; this Hamper reads versions 1 to 4");
    refuses(
        "a negative count",
        example.replace("\"pixels\": 100", "\"pixels\": -1"),
        "props[0].pieces[0].sections[0].pixels",
        "minimum value of 1");
    refuses(
        "a controller that is not there",
        example.replace("\"universeSize\": 510", "\"source\": \"k9\""),
        "controllers[0].settings.source",
        "no controller or host of this display has this id");
    refuses(
        "30 MB", " ".repeat(30 * 1024 * 1024), "file", "31,457,280 bytes; allowed are 20,971,520");
    window.opened();
    page.getByTestId("display-menu").click();
    assertThat(page.locator(".v-list-item-subtitle")).hasCount(1);
    page.keyboard().press("Escape");

    // the first by name is what other tests open
    String last = example.replace("Net loft", "Windmill loft");
    page.getByTestId("import-file")
        .setInputFiles(new FilePayload("loft.hamper.json", "application/json", bytes(last)));
    assertThat(page.getByTestId("display-menu")).containsText("Windmill loft");
  }

  private void refuses(String what, String content, String place, String words) throws IOException {
    Path file = Files.writeString(files.resolve(what + ".json"), content);
    page.getByTestId("import-file").setInputFiles(file);
    Locator dialog = page.getByRole(AriaRole.ALERTDIALOG);
    assertThat(dialog).containsText("This file cannot be used; nothing was stored");
    assertThat(dialog).containsText(place);
    assertThat(dialog).containsText(words);
    dialog.getByRole(AriaRole.BUTTON).click();
    assertThat(dialog).hasCount(0);
  }

  private static byte[] bytes(String text) {
    return text.getBytes(StandardCharsets.UTF_8);
  }

  @Test
  @Tag("whole")
  void aSecondHamperOnTheSameDataOrPortSaysSoInOneSentence() throws Exception {
    assertThat(Program.run("demo", "--port", "0", "--data", data.toString()))
        .startsWith("2: ")
        .contains("is in use by another Hamper")
        .hasLineCount(1);
    assertThat(Program.run("demo", "--port", "" + program.port, "--data", data.toString()))
        .startsWith("2: Port %d is already in use".formatted(program.port))
        .hasLineCount(1);
  }
}
