package hamper.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.assertions.LocatorAssertions;
import hamper.catalog.Catalog;
import hamper.display.Plan;
import hamper.facts.Facts;
import hamper.files.CatalogueFiles;
import hamper.samples.CaptureWriter;
import hamper.samples.PlayedAir;
import hamper.server.live.DemoDisplay;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.ByteOrder;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Who is there, what arrives, a capture frame by frame, and a slot set on a line. */
class NetworkLookTest extends DemoCase {
  private static final double SOON = 20_000;

  @TempDir Path folder;

  @AfterEach
  void dark() {
    page.evaluate("() => fetch('/api/output', { method: 'DELETE' })");
  }

  private void misbehave(String controller, String what, boolean on) {
    page.evaluate(
        "([c, m, on]) => fetch(`/api/displays/${location.hash.split('/')[2]}/trial/misbehaviour`,"
            + " { method: 'PUT', headers: { 'content-type': 'application/json' },"
            + " body: JSON.stringify({ controller: c, misbehaviour: m, on }) })",
        List.of(controller, what, on));
  }

  private Locator row(String controller) {
    return page.locator("[data-present=%s]".formatted(controller));
  }

  @Test
  void whoeverDiffersIsSeenAndAStrangerIsTakenIntoThePlanInOneStep() {
    window.go("Network");
    page.getByTestId("look-who").click();
    page.getByTestId("ask-who").click();
    assertThat(page.getByTestId("who-summary"))
        .containsText(
            "10 as planned", new LocatorAssertions.ContainsTextOptions().setTimeout(SOON));
    page.getByTestId("ask-who").waitFor();
    Accessibility.check(page, "who is there");
    misbehave("k2", "off", true);
    misbehave("k6", "other-name", true);
    page.getByTestId("stranger").check();
    assertThat(row("k2"))
        .hasAttribute(
            "data-state", "MISSING", new LocatorAssertions.HasAttributeOptions().setTimeout(SOON));
    assertThat(row("k6")).containsText("it calls itself \"Garage 2\"");
    assertThat(row("unknown")).containsText("nobody planned");
    // seen in Trial too
    window.go("Trial");
    assertThat(page.getByTestId("who-is-there"))
        .containsText("1 missing, 1 not planned, 1 by another name");
    assertThat(page.locator("[data-trial=k2]").getByTestId("presence")).containsText("missing");
    page.getByTestId("who-is-there").click();
    window.acknowledged(() -> row("unknown").getByTestId("take-in").click());
    assertThat(row("unknown"))
        .hasCount(0, new LocatorAssertions.HasCountOptions().setTimeout(SOON));
    assertThat(page.getByTestId("undo")).containsText("Take");
    window.acknowledged(() -> page.getByTestId("undo").click());
    misbehave("k2", "off", false);
    misbehave("k6", "other-name", false);
  }

  @Test
  @Tag("whole")
  void whatArrivesIsShownByUniverse() {
    page.keyboard().press("/");
    page.keyboard().type("light coping west");
    page.keyboard().press("Enter");
    page.getByTestId("lit-strip").waitFor();
    window.go("Network");
    page.getByTestId("look-arrives").click();
    page.getByTestId("listen").click();
    Locator k1 = page.locator("[data-air=k1] [data-state=COUNTED]");
    assertThat(k1).hasCount(14, new LocatorAssertions.HasCountOptions().setTimeout(SOON));
    assertThat(page.getByTestId("air-findings"))
        .containsText("Each of E1.31 universes 26–34 is planned for K4");
    Accessibility.check(page, "what arrives");
    page.getByTestId("stop-listening").click();
    page.getByTestId("listen").waitFor();
  }

  private Path capture() throws IOException {
    Catalog catalog = CatalogueFiles.shipped();
    Facts facts = Facts.of(new Plan(DemoDisplay.read(catalog), catalog));
    Path file = folder.resolve("dusk.pcap");
    try (OutputStream out = Files.newOutputStream(file)) {
      new PlayedAir(facts)
          .play(
              100,
              new CaptureWriter(
                  out, CaptureWriter.Framing.ETHERNET, ByteOrder.LITTLE_ENDIAN, false));
    }
    return file;
  }

  @Test
  @Tag("whole")
  void aCaptureIsWalkedFrameByFrame() throws IOException {
    window.go("Network");
    page.getByTestId("look-capture").click();
    page.getByTestId("capture-file")
        .setInputFiles(Files.writeString(folder.resolve("notes.txt"), "no capture"));
    assertThat(page.getByTestId("capture-refused")).containsText("neither pcap nor pcapng");
    page.getByTestId("capture-file").setInputFiles(capture());
    assertThat(page.getByTestId("air-agrees"))
        .isVisible(new LocatorAssertions.IsVisibleOptions().setTimeout(SOON));
    assertThat(page.getByTestId("second")).hasText("0.000 s");
    page.locator("[data-trial=k1]").waitFor();
    page.getByTestId("next-frame").click();
    assertThat(page.getByTestId("second")).hasText("0.025 s");
    page.locator("body").press("Shift+ArrowRight");
    assertThat(page.getByTestId("second")).hasText("1.025 s");
    page.locator("body").press("ArrowLeft");
    assertThat(page.getByTestId("second")).hasText("1.000 s");
    page.locator("body").press("End");
    assertThat(page.getByTestId("second")).hasText("2.475 s");
    Accessibility.check(page, "a capture");
  }

  @Test
  @Tag("whole")
  void aFixtureIsSetToAnotherSlotAfterALook() {
    window.go("Network");
    page.getByTestId("look-line").click();
    page.getByTestId("ask-line").click();
    assertThat(page.getByTestId("line-summary"))
        .containsText(
            "all as planned", new LocatorAssertions.ContainsTextOptions().setTimeout(SOON));
    page.getByTestId("open-slot").nth(1).click();
    page.getByTestId("slot").fill("3");
    assertThat(page.getByTestId("slot-forecast")).containsText("slots 3–8 are those of");
    Accessibility.check(page, "a line");
    page.keyboard().press("Enter");
    assertThat(page.locator("[data-line-state=OVERLAPS]")).hasCount(2);
    assertThat(page.getByTestId("line-summary")).containsText("2 differences");
    page.getByTestId("open-slot").nth(1).click();
    assertThat(page.getByTestId("slot")).hasValue("9");
    assertThat(page.getByTestId("slot-forecast")).hasText("as planned then");
    page.keyboard().press("Enter");
    assertThat(page.getByTestId("line-summary")).containsText("all as planned");
  }
}
