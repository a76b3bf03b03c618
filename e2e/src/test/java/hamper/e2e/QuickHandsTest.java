package hamper.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Route;
import com.microsoft.playwright.assertions.LocatorAssertions;
import com.microsoft.playwright.options.AriaRole;
import java.util.List;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

/** Hands that are quicker than the answers: nothing that was typed or held down is lost. */
class QuickHandsTest extends DemoCase {
  private static final int STEPS = 40;

  /** Every answer to an edit comes a tenth of a second late. */
  private void slowAnswers() {
    window.startWith(
        """
        const quick = window.fetch
        window.fetch = async (...asked) => {
          const answer = await quick(...asked)
          if (String(asked[0]).endsWith('/edits')) {
            await new Promise((late) => setTimeout(late, 100))
          }
          return answer
        }
        """);
  }

  private static LocatorAssertions.HasValueOptions patiently() {
    return new LocatorAssertions.HasValueOptions().setTimeout(20_000);
  }

  private static LocatorAssertions.HasAttributeOptions longer() {
    return new LocatorAssertions.HasAttributeOptions().setTimeout(30_000);
  }

  @Test
  void twoChangesOfOneControllerBeforeTheFirstIsAnsweredAreBothKept() {
    slowAnswers();
    window.go("Controllers");
    Locator brightness = page.getByLabel("Default brightness of K1, percent");
    Locator note = page.getByLabel("Note on K1", new Page.GetByLabelOptions().setExact(true));
    brightness.fill("41");
    brightness.press("Enter");
    note.fill("behind the shed");
    note.press("Enter");
    assertThat(page.getByTestId("said"))
        .containsText("Set note of K1 to behind the shed", saidLate());
    assertThat(brightness).hasValue("41", patiently());
    page.reload();
    window.opened();
    window.go("Controllers");
    assertThat(brightness).hasValue("41");
    assertThat(note).hasValue("behind the shed");
    window.noErrors();
  }

  private static LocatorAssertions.ContainsTextOptions saidLate() {
    return new LocatorAssertions.ContainsTextOptions().setTimeout(20_000);
  }

  @Test
  void aHeldArrowKeyMovesASlotByEveryStep() {
    slowAnswers();
    page.navigate(program.url + "/#/props/fog");
    Locator slot = page.getByLabel("Start slot of fog");
    int before = Integer.parseInt(slot.getAttribute("aria-valuenow"));
    slot.focus();
    for (int i = 0; i < STEPS; i++) {
      page.keyboard().press("ArrowRight");
    }
    assertThat(slot).hasAttribute("aria-valuenow", String.valueOf(before + STEPS), longer());
    window.noErrors();
  }

  @Test
  @Tag("whole")
  void aHeldArrowKeyMovesABoundaryAndAnAddressByEveryStep() {
    slowAnswers();
    window.go("Patch");
    window.leg("winch-1").click();
    Locator glass = page.getByTestId("glass");
    Locator pixels =
        glass.getByLabel("Pixels of section 1", new Locator.GetByLabelOptions().setExact(true));
    glass.locator(".body").first().dblclick();
    Locator boundary = glass.locator(".boundary");
    boundary.waitFor();
    int before = Integer.parseInt(pixels.inputValue());
    boundary.focus();
    for (int i = 0; i < STEPS; i++) {
      page.keyboard().press(i < STEPS - 15 ? "ArrowRight" : "ArrowLeft");
    }
    assertThat(pixels).hasValue(String.valueOf(before + STEPS - 30), patiently());

    window.go("Network");
    Locator address = page.getByLabel("Address of K2 Boathouse");
    assertThat(address).hasValue("198.51.100.12");
    page.locator("[data-occupant=k2]").focus();
    for (int i = 0; i < 5; i++) {
      page.keyboard().press("ArrowLeft");
    }
    // .11 is K1's, .6 and .5 are the hosts': five steps to addresses that nobody has
    assertThat(address).hasValue("198.51.100.4", patiently());
    // slower than the answers: the keyboard stays with the device, not with the address it had
    for (String at : List.of("198.51.100.3", "198.51.100.2", "198.51.100.1")) {
      page.keyboard().press("ArrowLeft");
      assertThat(address).hasValue(at, patiently());
    }
    window.noErrors();
  }

  @Test
  void anEditThatIsRefusedIsNotShownAsIfItWereMade() {
    window.go("Controllers");
    Locator brightness = page.getByLabel("Default brightness of K2, percent");
    String before = brightness.inputValue();
    page.route(
        "**/edits",
        route ->
            route.fulfill(
                new Route.FulfillOptions()
                    .setStatus(409)
                    .setContentType("application/problem+json")
                    .setBody("{\"title\":\"The display has moved on\",\"detail\":\"meanwhile\"}")));
    brightness.fill("77");
    brightness.press("Enter");
    assertThat(page.getByRole(AriaRole.ALERTDIALOG)).containsText("The display has moved on");
    page.getByText("Understood").click();
    assertThat(brightness).hasValue(before);
  }
}
