package hamper.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** From nothing to two hundred props of every kind, by keyboard and paste alone. */
class FirstEveningTest {
  /** Counts what a planner's fingers do. */
  private static final class Fingers {
    private final Page page;
    private int strokes;

    Fingers(Page page) {
      this.page = page;
    }

    void press(String key) {
      page.keyboard().press(key);
      strokes++;
    }

    void type(String text) {
      page.keyboard().type(text);
      strokes += text.length();
    }
  }

  private static final List<String> TYPED =
      List.of(
          "Harbour rail, 85+60, Quay",
          "Signal mast, 4x200, Tower",
          "Quay lanterns, 24, Quay, rgbw-5v",
          "Winch lamp, circuit, Quay",
          "Fog machine, 6 slots at 1, Slipway",
          "Deck strip, 30 rgbw at 101, Boats",
          "Street lanterns, 16 dimmed unit 1, Town",
          "Tide wall, wall 64x32, Quay",
          "Buoy 1…20, 30, Boats",
          "Flood 1…10, 4 slots at 201, Tower");

  /** As copied from a spreadsheet: grouped and folded strings, and more of the others. */
  private static String pasted() {
    List<String> rows = new ArrayList<>();
    rows.add("name\tpixels\tzone\tgroup\tfold\tdirection\tdata in");
    for (int i = 1; i <= 60; i++) {
      rows.add("Eaves %d\t50\tTown\t\t\tbackward\tleft".formatted(i));
      rows.add("Net row %d\t100\tSlipway\t\t25\t\tright".formatted(i));
    }
    for (int i = 1; i <= 30; i++) {
      rows.add("Window %d\t48\tTown\t4\t\t\t".formatted(i));
    }
    for (int i = 1; i <= 12; i++) {
      rows.add("Beacon %d\trelay\tTower\t\t\t\t".formatted(i));
    }
    return String.join("\r\n", rows);
  }

  @Test
  void twoHundredPropsOfTenKindsAreEnteredByKeyboardAndPasteAlone() throws Exception {
    Program program = SharedProgram.empty();
    try (Window window = new Window(program.url)) {
      Page page = window.page;
      page.getByLabel("Name of the display").waitFor();
      window.copied(pasted());
      Fingers fingers = new Fingers(page);
      long begin = System.nanoTime();

      fingers.type("Pier lights");
      fingers.press("Enter");
      assertThat(page.getByTestId("display-menu")).containsText("Pier lights");
      fingers.press("/");
      fingers.type("prop");
      fingers.press("Enter");
      page.getByTestId("entry").waitFor();
      fingers.press("n");
      for (String line : TYPED) {
        fingers.type(line);
        window.acknowledged(() -> fingers.press("Enter"));
        assertThat(page.getByTestId("entry")).hasValue("");
      }
      fingers.press("Control+V");
      assertThat(page.getByTestId("rows-told")).containsText("162 props · 10,440 pixels");
      window.acknowledged(() -> fingers.press("Enter"));

      double seconds = (System.nanoTime() - begin) / 1e9;
      assertThat(page.getByText("200 props, 14,057 pixels")).isVisible();
      assertKinds(page);
      System.out.printf(
          "200 props of ten kinds: %d key strokes, %.1f s in the browser%n",
          fingers.strokes, seconds);

      window.undo();
      assertThat(page.getByText("38 props,")).isVisible();
      window.noErrors();
    }
  }

  @SuppressWarnings("unchecked")
  private static void assertKinds(Page page) {
    Map<String, Integer> kinds =
        (Map<String, Integer>)
            page.evaluate(
                """
                async () => {
                  const list = await (await fetch('/api/displays')).json()
                  const whole = await (await fetch('/api/displays/' + list[0].id)).json()
                  const counts = {}
                  const add = (kind) => (counts[kind] = (counts[kind] ?? 0) + 1)
                  for (const { prop } of whole.props) {
                    const piece = prop.pieces[0]
                    const first = piece.sections?.[0]
                    if (prop.pieces.length > 1) add('several strings')
                    else if (piece.sections?.length > 1) add('sections')
                    else if (first?.group > 1) add('grouped')
                    else if (first?.fold) add('folded')
                    else if (first?.backward) add('backward')
                    else if (piece.pixelType === 'rgbw-5v') add('RGBW')
                    else add(piece.kind)
                  }
                  return counts
                }
                """);
    assertThat(kinds)
        .containsOnly(
            Map.entry("several strings", 1),
            Map.entry("sections", 1),
            Map.entry("grouped", 30),
            Map.entry("folded", 60),
            Map.entry("backward", 60),
            Map.entry("RGBW", 1),
            Map.entry("string", 20),
            Map.entry("circuit", 13),
            Map.entry("fixture", 11),
            Map.entry("decoder", 1),
            Map.entry("dimmer", 1),
            Map.entry("wall", 1));
  }
}
