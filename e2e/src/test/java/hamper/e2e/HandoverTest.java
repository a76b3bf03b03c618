package hamper.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.assertions.LocatorAssertions.HasAttributeOptions;
import com.microsoft.playwright.assertions.LocatorAssertions.IsInViewportOptions;
import com.microsoft.playwright.options.ViewportSize;
import hamper.facts.Facts;
import hamper.files.CatalogueFiles;
import hamper.files.DisplayFile;
import hamper.server.output.Door;
import hamper.server.output.Seats;
import hamper.server.output.YardProcess;
import hamper.standin.Place;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse.BodyHandlers;
import java.nio.charset.StandardCharsets;
import java.util.Map;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** From plan to devices and through changes: each device ends in a state that is true. */
class HandoverTest extends DemoCase {
  private final Door door = new Door();
  private final HttpClient client = HttpClient.newHttpClient();
  private Map<String, Place> places;

  private byte[] bytes(String path) throws Exception {
    HttpRequest request = HttpRequest.newBuilder(URI.create(program.url + path)).build();
    return client.send(request, BodyHandlers.ofByteArray()).body();
  }

  private String display() throws Exception {
    return Door.JSON.readTree(bytes("/api/displays")).get(0).get("id").asString();
  }

  private Place place(String controller) throws Exception {
    if (places == null) {
      byte[] file = bytes("/api/displays/" + display() + "/file");
      Facts facts = Facts.of(DisplayFile.read(file, CatalogueFiles.shipped()));
      places = new YardProcess(data).seat(display(), Seats.of(facts));
    }
    return places.get(controller);
  }

  private void misbehave(String controller, String what) throws Exception {
    door.put(place(controller), "misbehaviour", what.getBytes(StandardCharsets.UTF_8));
  }

  private void has(String controller, String state) {
    Locator mark = page.locator("[data-row='%s'] [data-state]".formatted(controller)).first();
    assertThat(mark)
        .hasAttribute("data-state", state, new HasAttributeOptions().setTimeout(30_000));
  }

  private void openSheet(String controller) {
    page.locator("[data-row='%s'] button".formatted(controller)).click();
  }

  private int happened(String controller) throws Exception {
    JsonNode sheet =
        Door.JSON.readTree(
            bytes("/api/displays/%s/handover/controllers/%s".formatted(display(), controller)));
    return sheet.get("history").size();
  }

  private void pixels(String piece, int pixels) {
    window.acknowledged(
        () ->
            page.evaluate(
                """
                async ([piece, pixels]) => {
                  const [one] = await (await fetch('/api/displays')).json()
                  const edit = {
                    type: 'SetSections',
                    sections: [{ piece, index: 0 }],
                    set: { pixels },
                  }
                  await fetch(`/api/displays/${one.id}/edits`, {
                    method: 'POST',
                    headers: { 'Content-Type': 'application/json' },
                    body: JSON.stringify({ version: one.version, edit, moveStarts: true }),
                  })
                }
                """,
                new Object[] {piece, pixels}));
  }

  @Test
  void theDemoIsGivenAndGivenAgainThroughTheSeason() throws Exception {
    misbehave("k2", "{\"other-model\":true}");
    misbehave("k6", "{\"vanishes\":true}");
    window.go("Handover");
    page.getByTestId("give-open").click();
    has("k3", "GIVEN");
    has("k2", "REFUSED");
    has("k6", "UNKNOWN");
    has("k1", "NEVER");
    assertThat(page.getByTestId("giving")).containsText("share 90 channels");
    page.getByTestId("seen-K1").click();
    has("k1", "GIVEN");
    Accessibility.check(page, "handover");

    // back with power it says what it has; a spare is asked about, and one forgets
    misbehave("k6", "{\"vanishes\":false,\"off\":false}");
    misbehave("k5", "{\"other-unit\":true}");
    misbehave("k7", "{\"forgets\":true}");
    door.post(place("k7"), "restart");
    page.getByTestId("read-all").click();
    has("k6", "GIVEN");
    has("k7", "DIFFERENT");
    openSheet("k5");
    page.getByTestId("give-one").click();
    page.getByTestId("replaces-K5").click();
    assertThat(page.getByTestId("stands")).containsText("over the network");
    has("k5", "GIVEN");
    openSheet("k7");
    assertThat(page.getByTestId("stands")).containsText("it has no configuration");
    misbehave("k7", "{\"forgets\":false}");
    page.getByTestId("give-one").click();
    has("k7", "GIVEN");
    misbehave("k2", "{\"other-model\":false}");
    openSheet("k2");
    page.getByTestId("give-one").click();
    has("k2", "GIVEN");

    // a change: stale in words, for what it changes and nothing else
    pixels("gangway-rail-1", 90);
    has("k1", "STALE");
    staleIsMarkedInEachPlace();
    assertThat(page.getByTestId("stale-pill")).containsText("1 stale");
    ViewportSize wide = page.viewportSize();
    page.setViewportSize(1110, wide.height); // the narrowest window whose bar is one line
    assertThat(page.getByTestId("theme")).isInViewport(new IsInViewportOptions().setRatio(1));
    page.setViewportSize(wide.width, wide.height);
    openSheet("k1");
    assertThat(page.getByTestId("differs")).containsText("Port 4: 210 → 215 pixels");
    assertThat(page.getByTestId("differs")).containsText("start 15 channels later");
    assertThat(page.getByTestId("start-ribbons")).containsText("7:22 → 7:37");
    for (String other : new String[] {"k2", "k3", "k5", "k6", "k7", "k9", "k10"}) {
      has(other, "GIVEN");
    }
    int before = happened("k3");
    page.getByTestId("give-one").click();
    assertThat(page.getByTestId("seen-K1")).isVisible();
    page.getByTestId("seen-K1").click();
    has("k1", "GIVEN");
    assertThat(page.getByTestId("stale-pill")).hasCount(0);
    page.getByTestId("read-all").click();
    assertThat(page.getByTestId("giving")).containsText("had it already");
    has("k1", "GIVEN");
    org.assertj.core.api.Assertions.assertThat(happened("k3"))
        .as("nothing is noted where nothing changed")
        .isEqualTo(before);

    aTypedValueIsForeseen();
    whatADeviceHasIsTakenOver();
    milestonesAreComparedAndGoneBackTo();
    aDeadControllerIsRescuedInOneStep();
  }

  private void staleIsMarkedInEachPlace() {
    for (String place :
        new String[] {"Overview", "Controllers", "Patch", "Loads", "Network", "Handover"}) {
      window.go(place);
      assertThat(page.locator("main [data-state='STALE']").first()).isVisible();
    }
  }

  private void aTypedValueIsForeseen() {
    window.go("Controllers");
    Locator first = page.getByLabel("First universe of K1, where it is fixed");
    first.fill("40");
    assertThat(page.getByTestId("said")).containsText("Enter would do this");
    assertThat(page.getByTestId("said"))
        .containsText("K1, K2, K4, K5 and 3 more would want the configuration anew");
    first.press("Escape");
    assertThat(page.getByTestId("said")).not().containsText("Enter would");
    window.go("Handover");
    has("k1", "GIVEN");
    openSheet("k1");
  }

  private void whatADeviceHasIsTakenOver() {
    pixels("gangway-rail-1", 50);
    has("k1", "STALE");
    page.getByTestId("what-it-has").click();
    Locator panel = page.getByTestId("take-over");
    assertThat(panel).containsText("Port 4: 175 → 215 pixels");
    panel.getByLabel("Take K1 port 4").check();
    window.acknowledged(() -> page.getByTestId("take").click());
    assertThat(panel).hasCount(0);
    window.undo();
    window.undo();
    has("k1", "GIVEN");
  }

  private void milestonesAreComparedAndGoneBackTo() {
    page.getByTestId("go-milestones").click();
    page.getByTestId("milestone-name").fill("Opening night");
    page.getByTestId("milestone-name").press("Enter");
    assertThat(page.getByTestId("milestones")).containsText("Nothing differs");
    pixels("gangway-rail-1", 70);
    assertThat(page.getByTestId("comparison")).containsText("Gangway rail");
    assertThat(page.getByTestId("comparison")).containsText("Port 4: 215 → 195 pixels");
    Accessibility.check(page, "milestones");
    window.acknowledged(() -> page.getByTestId("restore-Opening night").click());
    assertThat(page.getByTestId("milestones")).containsText("Nothing differs");
    page.getByTestId("go-log").click();
    assertThat(page.getByTestId("log")).containsText("Go back to Opening night");
    page.getByTestId("log").getByText("Look").nth(1).click();
    assertThat(page.getByTestId("then")).containsText("How it was at version");
    window.undo();
  }

  private void aDeadControllerIsRescuedInOneStep() {
    openSheet("k1");
    page.getByTestId("dead").click();
    Locator rescue = page.getByTestId("rescue");
    Locator other = page.getByTestId("take-OTHER_MODEL");
    other.waitFor(new Locator.WaitForOptions().setTimeout(30_000));
    assertThat(rescue).containsText("A spare");
    window.acknowledged(other::click);
    assertThat(rescue).hasCount(0);
    window.undo();
  }
}
