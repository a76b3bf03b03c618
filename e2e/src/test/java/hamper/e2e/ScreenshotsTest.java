package hamper.e2e;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.ColorScheme;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.condition.EnabledIfSystemProperty;

/**
 * Takes all pictures of docs/screenshots anew, from the demo: with {@code
 * -Dhamper.screenshots=true} (CONTRIBUTING.md).
 */
@EnabledIfSystemProperty(named = "hamper.screenshots", matches = "true")
class ScreenshotsTest extends DemoCase {
  private static final Path FOLDER = Path.of("../docs/screenshots");

  private void shoot(String name) {
    page.mouse().move(640, 2);
    page.waitForTimeout(1_500);
    page.screenshot(new Page.ScreenshotOptions().setPath(FOLDER.resolve(name + ".png")));
  }

  /** Lays the first leg of a port under the glass. */
  private void under(String written, String lane) {
    window.reveal(written, window.lane(lane));
    window.lane(lane).locator("[data-piece]").first().click();
    page.waitForTimeout(500);
  }

  @Test
  void allAreTakenAnew() {
    page.setViewportSize(1280, 800);
    page.emulateMedia(new Page.EmulateMediaOptions().setColorScheme(ColorScheme.LIGHT));
    for (String place : new String[] {"Overview", "Network", "Controllers", "Props", "Loads"}) {
      window.go(place);
      shoot(place.toLowerCase(Locale.ROOT));
    }
    addresses();
    throughTheSeason();
    window.go("Paper");
    page.getByTestId("paper-K1").click();
    page.getByTestId("pages").locator("img").first().waitFor();
    shoot("paper");
    crew();
    trial();
    whoIsThere();
    window.go("Handover");
    page.getByTestId("go-proof").click();
    page.getByTestId("start-proof").click();
    page.getByTestId("verdict").waitFor(new Locator.WaitForOptions().setTimeout(60_000));
    shoot("proof");
    window.go("Overview");
    page.getByTestId("findings-pill").click();
    page.getByTestId("finding").nth(1).getByTestId("settle").click();
    shoot("findings");
    page.getByTestId("findings-pill").click();
    window.go("Patch");
    shoot("patch");
    page.keyboard().press("Escape");
    page.locator("[data-tray]").getByTestId("arrange").click();
    page.getByTestId("bound").waitFor();
    page.waitForTimeout(3_000);
    page.locator("[data-hung] .to").last().click();
    shoot("arrange");
    page.getByText("Leave it").click();
    under("K9-P1", "k9|PANEL|1");
    shoot("patch-kinds");
  }

  /** A controller and a string with its counting pixel, as a phone shows them, side by side. */
  private void crew() {
    page.getByTestId("crew-door").click();
    page.getByTestId("door-address").selectOption("127.0.0.1");
    page.getByTestId("door-port").fill("8190");
    page.getByTestId("open-door").click();
    page.getByTestId("key-name").fill("Ladder two");
    page.getByTestId("may-LIGHT").check();
    page.getByTestId("make-key").click();
    String link = page.getByTestId("link").innerText().strip();
    Page phone =
        page.context()
            .browser()
            .newContext(new Browser.NewContextOptions().setViewportSize(390, 844))
            .newPage();
    phone.navigate(link);
    phone.locator("[data-controller=k4]").click();
    phone.locator("[data-tick]").first().click();
    phone.getByTestId("name").fill("Tomás");
    phone.getByTestId("named").click();
    phone.locator("[data-port='K4-1']").scrollIntoViewIfNeeded();
    phone.waitForTimeout(500);
    byte[] controller = phone.screenshot();
    phone.locator("[data-string]").first().click();
    phone.getByTestId("count").click();
    for (int i = 0; i < 4; i++) {
      phone.getByTestId("next-pixel").click();
    }
    phone.waitForTimeout(1_000);
    byte[] string = phone.screenshot();
    phone.context().close();
    try {
      BufferedImage both = new BufferedImage(800, 844, BufferedImage.TYPE_INT_RGB);
      both.getGraphics().drawImage(ImageIO.read(new ByteArrayInputStream(controller)), 0, 0, null);
      both.getGraphics().drawImage(ImageIO.read(new ByteArrayInputStream(string)), 410, 0, null);
      ImageIO.write(both, "png", FOLDER.resolve("crew.png").toFile());
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    page.getByTestId("close-door").click();
  }

  /** One missing, one by another name, one that nobody planned. */
  private void whoIsThere() {
    window.go("Trial");
    for (String one : List.of("k2 off", "k6 other-name", "k3 other-model")) {
      String[] words = one.split(" ");
      page.getByTestId("misbehave-" + words[0]).click();
      page.locator("[data-switch=%s]:visible".formatted(words[1])).check();
      page.keyboard().press("Escape");
      page.waitForTimeout(400);
    }
    window.go("Network");
    page.getByTestId("look-who").click();
    page.getByTestId("ask-who").click();
    page.getByTestId("stop-asking").waitFor();
    page.getByTestId("stranger").check();
    page.getByTestId("stop-asking").waitFor();
    page.getByTestId("ask-who").waitFor();
    shoot("who-is-there");
  }

  /** Healthy, and with a fault that a guide is after. */
  private void trial() {
    window.go("Trial");
    page.keyboard().press("/");
    page.keyboard().type("light K1");
    page.keyboard().press("Enter");
    page.getByTestId("dark").waitFor();
    page.waitForTimeout(4_000);
    shoot("trial");
    page.getByTestId("misbehave-k1").click();
    page.locator("[data-switch=colour-order]").check();
    page.keyboard().press("Escape");
    page.getByTestId("about").selectOption("wall-coping-west-1");
    page.locator("[data-guide=WRONG_COLOURS]").click();
    page.getByTestId("read").waitFor();
    page.waitForTimeout(1_000);
    shoot("trial-guide");
    page.getByTestId("leave-guide").click();
    page.getByTestId("misbehave-k1").click();
    page.locator("[data-switch=colour-order]").uncheck();
    page.keyboard().press("Escape");
    page.getByTestId("stop-output").click();
  }

  /** As a grid and as a table, with a number explained. */
  private void addresses() {
    window.go("Addresses");
    page.getByTestId("address-grid").press("ArrowDown");
    shoot("addresses");
    page.getByTestId("view-table").click();
    page.locator("[data-row='gangway-rail-1 0'] [data-why]").click();
    page.getByTestId("why-number").first().waitFor();
    shoot("why");
    page.keyboard().press("Escape");
    page.getByTestId("view-grid").click();
  }

  /** Given, a milestone set, and a rail that grew since. */
  private void throughTheSeason() {
    window.go("Handover");
    page.getByTestId("give-open").click();
    page.getByTestId("seen-K1").click();
    page.locator("[data-row='k1'] [data-state=GIVEN]").waitFor();
    page.getByTestId("go-milestones").click();
    page.getByTestId("milestone-name").fill("Opening night");
    page.getByTestId("milestone-name").press("Enter");
    window.go("Patch");
    window.find("Gangway rail");
    Locator pixels = page.getByLabel("Pixels of section 1").first();
    pixels.fill("90");
    window.acknowledged(() -> pixels.press("Enter"));
    window.go("Handover");
    page.locator("[data-row='k1'] button").click();
    page.getByTestId("start-ribbons").waitFor();
    shoot("handover");
    page.getByTestId("go-milestones").click();
    page.getByTestId("comparison").waitFor();
    shoot("milestones");
    window.undo();
  }
}
