package hamper.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import com.microsoft.playwright.options.KeyboardModifier;
import java.util.List;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

/** What a hand or a key does is what one expects of it, and nothing else. */
class GesturesTest extends DemoCase {
  private static final Locator.ClickOptions SHIFT =
      new Locator.ClickOptions().setModifiers(List.of(KeyboardModifier.SHIFT));

  private Locator tray() {
    return page.locator("[data-tray]");
  }

  private Locator taken() {
    return tray().locator("[aria-selected=true]");
  }

  private Locator byLabel(String label) {
    return page.getByLabel(label, new Page.GetByLabelOptions().setExact(true));
  }

  @Test
  void theTrayIsTakenByRangeByZoneAndAsAWhole() {
    window.go("Patch");
    Locator chips = tray().getByRole(AriaRole.OPTION);
    chips.nth(0).click();
    chips.nth(2).click(SHIFT);
    assertThat(taken()).hasCount(3);
    page.keyboard().press("Shift+ArrowRight");
    assertThat(taken()).hasCount(4);
    page.keyboard().press("Control+a");
    assertThat(taken()).hasCount(10);
    assertThat((String) page.evaluate("() => getSelection().toString()"))
        .as("the page's text is not taken")
        .isEmpty();
    page.keyboard().press("Escape");
    assertThat(taken()).hasCount(0);
    tray().getByTitle(Pattern.compile("Take all .* of Slipway")).click();
    assertThat(taken()).hasCount(4);
    // zones stand in the order of the list, whatever is loose
    List<String> zones = tray().locator(".zonename").allInnerTexts();
    assertThat(zones).containsSubsequence("Boathouse", "Footbridge", "Slipway");
  }

  @Test
  void aRefusedAddressKeepsNobody() {
    window.go("Controllers");
    Locator address = byLabel("Address of K1");
    address.fill("198.51.100.999");
    Locator name = byLabel("Name of K2");
    name.click();
    assertThat(name).isFocused();
    assertThat(page.getByTestId("said")).containsText("four numbers from 0 to 255");
    assertThat(address).hasValue("198.51.100.11");
    name.press("End");
    page.keyboard().type("!");
    window.acknowledged(() -> page.keyboard().press("Enter"));
    assertThat(name).hasValue("Boathouse!");
    window.undo();
  }

  @Test
  void aDoubleClickOpensTheGlassAndWhatIsFoldedStaysFolded() {
    window.go("Patch");
    window.leg("winch-1").dblclick();
    assertThat(page.getByTestId("glass")).isVisible();
    page.keyboard().press("Escape");
    byLabel("Fold K1").click();
    assertThat(window.lane("k1|PIXEL|1")).hasCount(0);
    window.go("Loads");
    window.go("Patch");
    assertThat(byLabel("Unfold K1")).isVisible();
    assertThat(window.lane("k1|PIXEL|1")).hasCount(0);
    byLabel("Unfold K1").click();
    assertThat(window.lane("k1|PIXEL|1")).isVisible();
  }

  @Test
  void theLineThatOffersAnUndoGoesWithIt() {
    window.find("lamp posts to K1-12");
    Locator said = page.getByTestId("said");
    assertThat(said).containsText("Patch Lamp posts to K1-12");
    window.undo();
    assertThat(said).hasText("Undone: Patch Lamp posts to K1-12");
    assertThat(page.locator(".said button")).hasCount(0);
  }

  @Test
  void aDropOnABankHangsOnItsFirstFreePort() {
    window.go("Patch");
    window.reveal("K6-18", window.lane("k6|PIXEL|18"));
    Locator bank = page.locator("[data-bank=k6][data-from='17']");
    bank.scrollIntoViewIfNeeded();
    BoundingBox from = window.loose("buoys-1").boundingBox();
    page.mouse().move(from.x + 12, from.y + from.height / 2);
    page.mouse().down();
    BoundingBox to = bank.boundingBox();
    page.mouse().move(to.x + 190, to.y + to.height / 2 + 1);
    page.mouse().move(to.x + 200, to.y + to.height / 2);
    window.acknowledged(page.mouse()::up);
    assertThat(page.getByTestId("said")).containsText("Patch Buoys across K6");
    assertThat(window.leg("buoys-1")).isVisible();
    assertThat(window.loose("buoys-1")).hasCount(0);
    window.undo();
    assertThat(window.loose("buoys-1")).isVisible();
  }

  @Test
  void aDropBesideAnyPortSaysThatNothingWasHung() {
    window.go("Patch");
    BoundingBox from = window.loose("net-1").boundingBox();
    page.mouse().move(from.x + 12, from.y + from.height / 2);
    page.mouse().down();
    page.mouse().move(400, 80);
    page.mouse().move(410, 84);
    page.mouse().up();
    assertThat(page.getByTestId("said")).containsText("Nothing was hung");
    assertThat(window.loose("net-1")).isVisible();
  }

  /** Near the edge the lanes scroll by themselves, and what passes under the pointer is plain. */
  @Test
  void whatIsCarriedToTheEdgeIsAimedAtRowsThatFlyBy() {
    window.go("Patch");
    BoundingBox from = window.loose("buoys-1").boundingBox();
    BoundingBox lanes = page.locator(".lanes").boundingBox();
    page.mouse().move(from.x + 12, from.y + from.height / 2);
    page.mouse().down();
    page.mouse().move(lanes.x + 300, lanes.y + 100);
    double edge = lanes.y + lanes.height - 6;
    int plain = 0;
    for (int i = 0; i < 100 && plain < 5; i++) {
      page.mouse().move(lanes.x + 300 + i % 2, edge);
      boolean flies =
          (boolean)
              page.evaluate(
                  "([x, y]) => !!document.elementFromPoint(x, y)?.closest('.plain.lane')",
                  List.of(lanes.x + 300, edge));
      plain += flies ? 1 : 0;
    }
    assertThat(plain).as("plain rows under the pointer").isEqualTo(5);
    page.mouse().move(lanes.x + 300, lanes.y + 60);
    window.lanesAreStill();
    window.noErrors();
    page.keyboard().press("Escape");
    page.mouse().up();
  }

  @Test
  @Tag("whole")
  void oneShowsWhatAnotherShowsByAKey() {
    window.go("Patch");
    window.leg("wall-coping-west-1").click();
    window.leg("winch-1").click(SHIFT);
    window.acknowledged(() -> page.keyboard().press("m"));
    assertThat(window.leg("winch-1")).hasAccessibleName(Pattern.compile("mirrors .*[Cc]oping"));
    window.undo();
    assertThat(window.leg("winch-1")).not().hasAccessibleName(Pattern.compile("mirrors"));
  }

  /** While the slider is dragged wires are drawn plainly, as one layer that is stretched. */
  @Test
  @Tag("whole")
  void zoomingStretchesAllWiresWhileItLastsAndAfterIt() {
    window.go("Patch");
    Locator leg = window.leg("wall-coping-west-1");
    assertThat(leg).hasCSS("background-image", "none");
    assertThat(window.leg("gangway-rail-1"))
        .hasCSS("background-image", Pattern.compile("^linear-gradient.*")); // where a section ends
    double width = leg.boundingBox().width;
    double fits = page.getByTestId("plain-wires").boundingBox().width;
    List<?> flying =
        (List<?>)
            page.evaluate(
                """
            async () => {
              const slider = document.querySelector('input[aria-label=Zoom]')
              const wires = document.querySelector('[data-test=plain-wires]')
              const seen = []
              for (let zoom = 1.25; zoom <= 4; zoom += 0.25) {
                slider.value = zoom
                slider.dispatchEvent(new Event('input', { bubbles: true }))
                await new Promise(requestAnimationFrame)
                if (wires.children.length) {
                  const told = [...document.querySelectorAll('.plain .hanging')]
                  seen.push([
                    wires.getBoundingClientRect().width / zoom,
                    told.map((one) => one.textContent).join('\\n'),
                  ])
                }
              }
              return seen
            }
            """);
    // on a busy machine some pictures are so far apart that rows are drawn whole in between
    assertThat(flying)
        .isNotEmpty()
        .allSatisfy(
            one ->
                assertThat(((Number) ((List<?>) one).get(0)).doubleValue())
                    .isCloseTo(fits, within(1.0)));
    assertThat(flying.toString())
        .as("what hangs there")
        .containsPattern("Street lanterns pack west, Street.*…");
    window.lanesAreStill();
    assertThat(leg.boundingBox().width).isCloseTo(4 * width, within(6.0));
    assertThat(page.getByTestId("plain-wires").locator("*")).hasCount(0);
    page.getByText("Fit").click();
    assertThat(leg.boundingBox().width).isCloseTo(width, within(1.0));
  }

  @Test
  @Tag("whole")
  void severalControllersAreSetAtOnce() {
    window.go("Controllers");
    page.locator("[data-row=k1]").focus();
    page.keyboard().press("Shift+ArrowDown");
    Locator bar = page.getByTestId("controllers-bar");
    assertThat(bar).containsText("2 controllers");
    Locator brightness = bar.getByLabel("Default brightness of all selected, percent");
    brightness.fill("35");
    window.acknowledged(() -> brightness.press("Enter"));
    assertThat(page.getByTestId("said")).containsText("Set brightness of 2 controllers to 35 %");
    window.acknowledged(
        () -> bar.getByLabel("Transport of all selected").selectOption("MULTICAST"));
    window.undo();
    window.undo();
  }
}
