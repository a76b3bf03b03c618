package hamper.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Download;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.BoundingBox;
import com.microsoft.playwright.options.FilePayload;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

/** Every address visible, every number explained, spreadsheets in and out. */
class AddressesTest extends DemoCase {
  private void point(int row, double share) {
    BoundingBox box = page.getByTestId("address-grid").boundingBox();
    // 512 slots between the names of rows and the edge
    double wire = box.width - 118 - 12;
    page.mouse().move(box.x + 118 + share * wire, box.y + row * 22 + 10);
  }

  @Test
  void theGridNamesThePixelThatIsPointedAtAndOpensSlotBySlot() {
    window.go("Addresses");
    Locator pointed = page.getByTestId("pointed");
    point(4, 184.5 / 512);
    assertThat(pointed).containsText("5:185");
    assertThat(pointed).containsText("Ladders ladder 3, pixel 16");
    assertThat(pointed).containsText("display 2,225");
    page.getByTestId("address-grid").press("ArrowRight");
    assertThat(pointed).containsText("5:186");
    page.getByTestId("address-grid").press("Enter");
    assertThat(page.getByTestId("slots").locator("tbody tr")).hasCount(510);
    assertThat(page.getByTestId("slots")).containsText("Gangway rail");
    Accessibility.check(page, "addresses, grid");
    // what is pointed at in one window is shown in another
    Page other = window.tab(page.url().replaceAll("/addresses.*", "/patch"));
    other.locator("[data-lane]").first().waitFor();
    page.bringToFront();
    point(0, 0.3);
    assertThat(pointed).containsText("Coping west");
    other.waitForFunction(
        "() => document.querySelector('[data-lane] .leg.pointed')?.dataset.piece"
            + " === 'wall-coping-west-1'");
    other.close();
    page.getByTestId("address-grid").press("p");
    assertThat(page).hasURL(Pattern.compile(".*/patch/wall-coping-west-1"));
  }

  @Test
  void anyNumberAnswersWhyByPointerAndByKey() {
    window.go("Addresses");
    page.getByTestId("view-table").click();
    Locator row = page.locator("[data-row='gangway-rail-1 0']");
    row.locator("[data-why]").click();
    Locator why = page.getByTestId("why");
    assertThat(why).containsText("5:427");
    assertThat(why).containsText("K1-1: Coping west");
    why.getByText("why?").first().click();
    assertThat(why).containsText("First universe of K1");
    page.keyboard().press("Escape");
    assertThat(why).hasCount(0);
    window.go("Patch");
    window.reveal("K1-4", window.lane("k1|PIXEL|4"));
    page.keyboard().press("w");
    assertThat(why).containsText("Most pixels on K1-4");
    page.keyboard().press("w");
    assertThat(why).containsText("Time of a frame on K1-4");
    page.keyboard().press("Escape");
    window.go("Loads");
    page.locator("[data-port='K1-4'] [data-column='volts'] [data-why]").click();
    assertThat(why).containsText("Voltage at position");
    Accessibility.check(page, "why");
    page.keyboard().press("Escape");
  }

  /** Where there are bytes and no universes a start is held as a channel of the controller. */
  @Test
  @Tag("whole")
  void aStartOnDdpIsHeldWhereItStands() {
    window.go("Addresses");
    page.getByTestId("view-table").click();
    page.getByTestId("filter").locator("input").fill("K3-1");
    page.getByLabel("How addresses are counted").selectOption("controller");
    Locator start =
        page.getByLabel(Pattern.compile("Start of .*; a typed one is held there")).last();
    String before = start.inputValue();
    window.acknowledged(
        () -> {
          start.fill("600");
          start.press("Enter");
        });
    assertThat(start).hasValue("600");
    window.undo();
    assertThat(start).hasValue(before);
    page.getByLabel("How addresses are counted").selectOption("wire");
  }

  @Test
  void theTableIsFilteredGroupedAndSetWhereItStands() {
    window.go("Addresses");
    page.getByTestId("view-table").click();
    assertThat(page.getByTestId("totals")).containsText("90 rows");
    page.getByTestId("filter").locator("input").fill("overlapping");
    assertThat(page.getByTestId("totals")).containsText("2 rows");
    page.getByTestId("filter").locator("input").fill("coping");
    Locator start = page.getByLabel("Start of Coping middle; a typed one is held there");
    window.acknowledged(
        () -> {
          start.fill("30:1");
          start.press("Enter");
        });
    assertThat(page.locator("[data-row='wall-coping-mid-1 0']")).containsText("held");
    window.undo();
    page.getByLabel("Grouped").selectOption("zone");
    assertThat(page.getByTestId("address-table")).containsText("Harbour wall");
    page.getByTestId("sheet-out").click();
    page.getByTestId("copy-seen").click();
    String copied = (String) page.evaluate("() => navigator.clipboard.readText()");
    assertThat(copied.lines().toList()).hasSize(4);
    assertThat(copied).startsWith("Port\tAs\tWhat\tZone\tPixels").contains("Coping west");
    page.getByTestId("filter").locator("input").fill("");
    Accessibility.check(page, "addresses, table");
    page.getByLabel("Grouped").selectOption("");
  }

  @Test
  @Tag("whole")
  void universesArePutInOrderAfterTheMovesWereSeen() {
    window.go("Addresses");
    page.getByTestId("put-in-order").click();
    page.getByTestId("by-ZONE").check();
    assertThat(page.getByTestId("moves")).containsText("K6 41 → 46");
    window.acknowledged(() -> page.getByTestId("apply").click());
    assertThat(page.getByTestId("order")).hasCount(0);
    assertThat(page.getByTestId("said")).containsText("Universes zone by zone");
    window.undo();
  }

  @Test
  void aSpreadsheetGoesOutAndComesBackChanged() throws Exception {
    window.go("Addresses");
    page.getByTestId("sheet-out").click();
    Download download = page.waitForDownload(() -> page.locator("a[href$='/plan.csv']").click());
    String csv = Files.readString(download.path(), StandardCharsets.UTF_8);
    page.keyboard().press("Escape");
    sheet(csv);
    assertThat(page.getByTestId("sheet")).containsText("nothing would change");
    String changed =
        csv.replaceFirst("(?m)^Tide clock rim,([^,]*),120,", "Tide clock rim,$1,122,")
            .replaceFirst("(?m)^Anchor,([^,]*),92,", "Anchor,$1,many,");
    page.getByTestId("sheet").getByText("Leave it").click();
    sheet(changed);
    assertThat(page.getByTestId("sheet")).containsText("1 cell in 1 row differ");
    assertThat(page.getByTestId("sheet-bad")).containsText("1 cannot be taken");
    assertThat(page.getByTestId("sheet")).containsText("pixels 120 → 122");
    Accessibility.check(page, "a spreadsheet");
    window.acknowledged(() -> page.getByTestId("take-sheet").click());
    assertThat(page.getByTestId("said")).containsText("1 changed");
    window.undo();
  }

  private void sheet(String csv) {
    page.getByTestId("sheet-file")
        .setInputFiles(
            new FilePayload("plan.csv", "text/csv", csv.getBytes(StandardCharsets.UTF_8)));
  }

  @Test
  @Tag("whole")
  void theFinderReadsCommandsCompletesThemAndShowsWhatTheyWouldDo() {
    page.keyboard().press("/");
    page.keyboard().type("hol");
    page.keyboard().press("Tab");
    Locator finder = page.getByTestId("finder");
    assertThat(finder).hasValue("hold ");
    page.keyboard().type("winch at 40:1");
    assertThat(page.getByTestId("finder-would")).containsText("moved");
    page.keyboard().press("Escape");
    page.keyboard().press("/");
    page.keyboard().type("K1-7 pixel 88");
    assertThat(page.locator("#finds")).containsText("Mooring rope, pixel 16");
    page.keyboard().press("Escape");
    page.keyboard().press("/");
    page.keyboard().type("display 2225");
    assertThat(page.locator("#finds")).containsText("Ladders ladder 3, pixel 16 G");
    page.keyboard().press("Escape");
    page.keyboard().press("/");
    page.keyboard().type("k2 brightness 31");
    assertThat(page.locator("#finds")).containsText("K2 brightness 31 %");
    window.acknowledged(() -> page.keyboard().press("Enter"));
    assertThat(page.getByTestId("said")).containsText("brightness of K2 to 31 %");
    window.undo();
  }
}
