package hamper.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/**
 * On a ladder, with names as long as they may be: nothing has to be looked for beside the screen.
 */
class PhoneTest {
  private static final Path DEMO =
      Path.of("../server/src/main/resources/hamper/demo/saltmarsh-quay.hamper.json");
  private static final Pattern NAME = Pattern.compile("\"name\"\\s*:\\s*\"([^\"]*)\"");
  private static final String MORE =
      " of the long northern balustrade beside the harbour master's lodge";
  private static final int LONGEST = 64;

  /** What slides sideways within the place, but for the strip of sheets and the line of entry. */
  private static final String SLIDES =
      "() => [...document.querySelectorAll('main, main *')]"
          + ".filter((e) => e.scrollWidth > e.clientWidth + 2"
          + " && /auto|scroll/.test(getComputedStyle(e).overflowX)"
          + " && e.tagName !== 'TEXTAREA' && !e.matches('.which, .lanes'))"
          + ".map((e) => `${e.className || e.tagName} ${e.scrollWidth} of ${e.clientWidth}`)";

  /** What is wider than its room: the place, or the bar above it. */
  private static final String WIDER =
      "() => [...document.querySelectorAll('main, header')]"
          + ".filter((e) => e.scrollWidth > e.clientWidth)"
          + ".map((e) => `${e.tagName} ${e.scrollWidth} of ${e.clientWidth}`)";

  private static final String PLACES =
      "overview overview/strings network network/who controllers props patch addresses loads"
          + " loads/supplies handover paper trial trial/check";

  @Test
  void noPlaceSlidesSideways() throws Exception {
    Program program = SharedProgram.empty();
    try (Window window = new Window(program.url)) {
      window.page.setViewportSize(390, 844);
      empty(window);
      window.openFile(program.url, withLongNames().getBytes(StandardCharsets.UTF_8));
      window.opened();
      for (String place : PLACES.split(" ")) {
        String address = window.page.url().replaceAll("(/d/[^/]+/).*", "$1" + place);
        window.page.navigate(address);
        window.page.waitForTimeout(400);
        assertThat((List<?>) window.page.evaluate(SLIDES)).as(place).isEmpty();
      }
      besideFindings(window);
      window.noErrors();
    }
  }

  /** On a small laptop findings leave a place little more room than a phone has. */
  private static void besideFindings(Window window) {
    window.page.setViewportSize(1024, 800);
    window.page.getByTestId("findings-pill").click();
    for (String place : List.of("overview", "overview/strings", "network")) {
      window.page.navigate(window.page.url().replaceAll("(/d/[^/]+/).*", "$1" + place));
      window.page.waitForTimeout(400);
      assertThat((List<?>) window.page.evaluate(WIDER)).as(place).isEmpty();
    }
  }

  /**
   * Where there is no controller yet, the catalogue stands below; what is empty says where to go.
   */
  private static void empty(Window window) {
    window.page.getByLabel("Name of the display").fill("Empty");
    window.page.keyboard().press("Enter");
    window.page.getByTestId("display-menu").getByText("Empty").waitFor();
    window.go("Patch");
    window.page.locator(".empty a").click();
    window.page.locator("[data-model]").first().click();
    window.page.getByTestId("add-model").click();
    window.page.locator("[data-row]").first().waitFor();
  }

  private static String withLongNames() throws Exception {
    return NAME.matcher(Files.readString(DEMO))
        .replaceAll(
            found -> {
              String name = (found.group(1) + MORE).substring(0, LONGEST);
              return Matcher.quoteReplacement("\"name\": \"" + name + "\"");
            });
  }
}
