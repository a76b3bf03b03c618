package hamper.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Two strings are dragged onto a port and swapped: everything follows, and survives a SIGKILL. */
class PatchByMouseTest {
  private static final String RED = "dinghy-red-1";
  private static final String BLUE = "dinghy-blue-1";
  private static final String TWELVE = "K1-12";
  private static final String LANE = "k1|PIXEL|12";

  @TempDir Path data;

  /** What the planner sees of the two strings, everywhere it shows. */
  private record Seen(
      List<String> wire, List<String> starts, int onRuler, String findings, String sheet) {}

  /** What hangs on the port, in its order. */
  private static List<String> wire(Window window) {
    window.go("Patch");
    window.reveal(TWELVE, window.lane(LANE));
    Locator legs = window.lane(LANE).locator("[data-piece]");
    return legs.all().stream().map(leg -> leg.getAttribute("data-piece")).toList();
  }

  private static Seen look(Window window) {
    List<String> wire = wire(window);
    List<String> starts = wire.stream().map(window::startOf).toList();
    int onRuler = 0;
    for (String piece : wire) {
      onRuler += window.page.locator("[data-spans~='%s']".formatted(piece)).count();
    }
    String findings = window.findings();
    window.go("Handover");
    Locator sheet = window.page.getByTestId("sheet");
    assertThat(window.page.getByTestId("handover")).containsText("Harbour wall");
    sheet.waitFor();
    window.page.waitForFunction(
        "() => document.querySelector('main').dataset.version"
            + " === document.querySelector('[data-test=handover]').dataset.version");
    Seen seen =
        new Seen(wire, starts, onRuler, findings, sheet.innerText().replaceAll("\\s+", " "));
    window.go("Patch");
    return seen;
  }

  @Test
  void twoStringsAreDraggedSwappedUndoneAndAreThereAfterAKill() throws Exception {
    int port;
    Seen last;
    try (Program program = Program.demo(data, 0);
        Window window = new Window(program.url)) {
      port = program.port;
      window.opened();
      assertThat(wire(window)).isEmpty();

      // all that there is to take is taken and let go again: the next drag takes one thing still
      window.loose(BLUE).focus();
      window.page.keyboard().press("Control+a");
      window.page.keyboard().press("Escape");
      window.page.locator("h1").click();
      window.page.keyboard().press("Control+a");
      window.carry(window.loose(RED), window.lane(LANE), 40);
      assertThat(window.page.getByTestId("ghost"))
          .containsText("starts 13:103 · 88 px · 340 fps · 1.0 A");
      window.acknowledged(window.page.mouse()::up);
      Seen one = look(window);
      assertThat(one.wire()).containsExactly(RED);
      assertThat(one.starts()).containsExactly("13:103");
      assertThat(one.findings()).isEqualTo("4 faults · 13 risks · 1 hint");
      assertThat(one.sheet())
          .contains("Port 12 Red dinghy start 13:103 chip WS2811 pixels in all 88");

      window.reveal(TWELVE, window.lane(LANE));
      window.drag(window.loose(BLUE), window.lane(LANE), 300);
      Seen two = look(window);
      assertThat(two.wire()).containsExactly(RED, BLUE);
      assertThat(two.starts()).containsExactly("13:103", "13:367");
      assertThat(two.onRuler()).isEqualTo(2);
      assertThat(two.findings()).isEqualTo("4 faults · 13 risks · 1 hint");

      window.reveal(TWELVE, window.lane(LANE));
      window.drag(window.leg(BLUE), window.lane(LANE), 10);
      Seen swapped = look(window);
      assertThat(swapped.wire()).containsExactly(BLUE, RED);
      assertThat(swapped.starts()).containsExactly("13:103", "13:367");
      assertThat(swapped.sheet())
          .contains("Port 12, section 1 Blue dinghy start 13:103 pixels 88")
          .isNotEqualTo(two.sheet());

      window.undo();
      assertThat(look(window)).isEqualTo(two);
      window.undo();
      assertThat(look(window)).isEqualTo(one);
      window.redo();
      assertThat(look(window)).isEqualTo(two);

      window.reveal(TWELVE, window.lane(LANE));
      window.drag(window.leg(BLUE), window.lane(LANE), 10);
      program.kill();
      last = swapped;
      window.noErrors();
    }
    try (Program again = Program.demo(data, port);
        Window window = new Window(again.url)) {
      window.opened();
      assertThat(look(window)).isEqualTo(last);
      window.undo();
      assertThat(wire(window)).containsExactly(RED, BLUE);
      window.noErrors();
    }
  }
}
