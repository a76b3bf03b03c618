package hamper.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.options.BoundingBox;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

/** Network: what is done there, seen beforehand, and taken back. */
class NetworkPlaceTest extends DemoCase {
  @Test
  void anAddressIsTypedDraggedAndGivenAndAClashIsSeen() {
    window.go("Network");
    Locator address = page.getByLabel("Address of K2 Boathouse");
    address.fill("198.51.100.11");
    window.acknowledged(() -> address.press("Enter"));
    assertThat(page.getByTestId("subnet").first()).containsText("198.51.100.11: more than one");
    assertThat(page.getByTestId("device").filter(Window.hasText("K2 Boathouse")))
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
    Locator linked = page.getByTestId("enclosure").filter(Window.hasText("N5"));
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
}
