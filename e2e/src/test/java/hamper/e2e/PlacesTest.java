package hamper.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import java.util.List;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

/** Network, Controllers and Props: what is done there, seen beforehand, and taken back. */
class PlacesTest extends DemoCase {
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

  @Test
  void anAddressIsTypedDraggedAndGivenAndAClashIsSeen() {
    window.go("Network");
    Locator address = page.getByLabel("Address of K2 Boathouse");
    address.fill("198.51.100.11");
    window.acknowledged(() -> address.press("Enter"));
    assertThat(page.getByTestId("subnet").first()).containsText("198.51.100.11: more than one");
    assertThat(page.getByTestId("device").filter(hasText("K2 Boathouse")))
        .containsText("another device has it too");
    window.acknowledged(() -> page.getByLabel("Next free address for K2 Boathouse").click());
    assertThat(address).hasValue("198.51.100.2");
    window.undo();
    window.undo();
    assertThat(address).hasValue("198.51.100.12");

    // what cannot be is told, and holds nobody
    address.fill("198.51");
    Locator next = page.getByLabel("Address of K3 Signal tower");
    next.click();
    assertThat(next).isFocused();
    assertThat(address).hasValue("198.51.100.12");
    assertThat(page.getByTestId("said")).containsText("198.51: four numbers from 0 to 255");

    Locator flag = page.locator("[data-occupant=k2]");
    flag.focus();
    window.acknowledged(() -> page.keyboard().press("ArrowLeft"));
    assertThat(address).hasValue("198.51.100.10");
    window.undo();
    BoundingBox box = flag.boundingBox();
    page.mouse().move(box.x + 6, box.y + 6);
    page.mouse().down();
    page.mouse().move(box.x + 300, box.y + 6);
    assertThat(page.locator(".ghost")).hasCount(1);
    window.acknowledged(page.mouse()::up);
    assertThat(address).not().hasValue("198.51.100.12");
    window.undo();
    assertThat(page.getByText("127.0.0.1/8")).isVisible();
    window.noErrors();
  }

  @Test
  @Tag("whole")
  void anEnclosureHoldsWhatIsBuiltTogetherAndItsCableIsMeasured() {
    window.go("Network");
    String before = window.findings();
    window.acknowledged(() -> page.getByTestId("add-enclosure").click());
    Locator box = page.getByTestId("enclosure").last();
    assertThat(box).containsText("empty");
    window.acknowledged(
        () -> box.getByLabel("Put something into Box 6").selectOption("K7 Winch house"));
    assertThat(box).containsText("K7");
    window.acknowledged(() -> box.getByLabel("Link Box 6 to").selectOption("Boathouse box"));
    Locator linked = page.getByTestId("enclosure").filter(hasText("N5"));
    Locator length = page.getByLabel("Length of N5, metres");
    length.fill("95");
    window.acknowledged(() -> length.press("Enter"));
    assertThat(page.locator("[data-part=link]")).containsText("▲");
    assertThat(page.getByTestId("findings-pill")).containsText("13 risks");
    window.acknowledged(() -> page.getByLabel("Kind of N5").selectOption("fibre"));
    assertThat(page.getByTestId("findings-pill")).hasText(before);
    window.go("Overview");
    window.find("N5");
    assertThat(page.getByLabel("Name of the link to Box 6")).isFocused();
    for (int i = 0; i < 5; i++) {
      window.undo();
    }
    assertThat(linked).hasCount(0);
    assertThat(page.getByTestId("enclosure")).hasCount(5);
    window.noErrors();
  }

  private static Locator.FilterOptions hasText(String text) {
    return new Locator.FilterOptions().setHasText(text);
  }

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
    assertThat(page.locator("[data-prop=bollard-1]")).hasAccessibleName(ends("K\\d-"));
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

  private static java.util.regex.Pattern ends(String text) {
    return java.util.regex.Pattern.compile(text + "\\d+$");
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
    Locator vane = page.getByTestId("finding").filter(hasText("Weather vane"));
    vane.getByTestId("accept").click();
    page.getByLabel("Why it may be so").fill("It stays in the store this year");
    window.acknowledged(() -> page.keyboard().press("Enter"));
    assertThat(vane).hasCount(0);
    assertThat(page.getByTestId("accepted").filter(hasText("It stays in the store"))).isVisible();
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
    page.locator(".v-list-item").filter(hasText("Saltmarsh Quay")).click();
    window.opened();
    window.noErrors();
  }
}
