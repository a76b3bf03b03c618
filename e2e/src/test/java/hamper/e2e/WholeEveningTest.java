package hamper.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.List;
import java.util.regex.Pattern;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

/**
 * A display of one's own in one evening: network, controllers of every kind, and a piece of every
 * kind on them. A click, a choice, a key, and a line typed with its Enter are one action each. What
 * it does is done elsewhere too; here it is counted.
 */
@Tag("whole")
class WholeEveningTest {
  private static final int MOST_ACTIONS = 150;

  private static final List<String> CONTROLLERS =
      List.of(
          "show-computer",
          "ostrand-twelve",
          "velmo-reach-32",
          "quillby-wren-r",
          "tarn-hythe-dmx-bridge",
          "pelloway-wall-sender",
          "pelloway-screen");

  private static final List<String> PROPS =
      List.of(
          "Fan, 16x60, Lawn",
          "Post 1…5, 2x50, Drive",
          "Gate left, 80, Drive",
          "Gate right, 80, Drive",
          "Eaves, 120, Roof",
          "Board, wall 64x32, Lawn",
          "Window show, tv 58x33cm/5mm, House",
          "Star 1…3, circuit, Roof",
          "Flood 1…4, 6 slots at 1, Lawn");

  private static final List<String> HUNG =
      List.of(
          "post 1 to K1-1",
          "post 2 to K1-2",
          "post 3 to K1-3",
          "post 4 to K1-4",
          "post 5 to K1-5",
          "gate left to K1-6",
          "gate right to K1-7",
          "eaves to K1-8",
          "board to K5",
          "window show to K6",
          "star to K3",
          "flood to K4-1");

  private Program program;
  private Window window;
  private Page page;
  private int actions;

  @BeforeEach
  void start() throws Exception {
    program = SharedProgram.empty();
    window = new Window(program.url);
    page = window.page;
  }

  @AfterEach
  void stop() {
    window.close();
  }

  private void act(Runnable work) {
    work.run();
    actions++;
  }

  private void edit(Runnable work) {
    window.acknowledged(work);
    actions++;
  }

  /** A command in the finder. */
  private void command(String text) {
    page.keyboard().press("/");
    page.keyboard().type(text);
    page.locator(".finder").getByRole(AriaRole.OPTION).first().waitFor();
    edit(() -> page.keyboard().press("Enter"));
    // one looks where it hangs now
    page.waitForFunction("() => document.activeElement.closest('[data-lane]')");
  }

  private void fill(String label, String value) {
    Locator field = page.getByLabel(label);
    field.fill(value);
    edit(() -> field.press("Enter"));
    field.blur();
  }

  @Test
  void aWholeDisplayIsPlannedInAnEvening() {
    page.getByLabel("Name of the display").waitFor();
    page.getByLabel("Name of the display").fill("Mill Lane");
    act(() -> page.keyboard().press("Enter"));
    assertThat(page.getByTestId("display-menu")).containsText("Mill Lane");

    act(() -> window.go("Network"));
    edit(() -> page.getByText("Add a subnet").click());

    act(() -> window.go("Controllers"));
    for (String model : CONTROLLERS) {
      act(() -> page.locator("[data-model=%s]".formatted(model)).click());
      edit(() -> page.getByTestId("add-model").click());
    }
    act(() -> page.locator("[data-row]").nth(1).focus());
    act(() -> page.keyboard().press("Control+a"));
    Locator bar = page.getByTestId("controllers-bar");
    edit(() -> bar.getByLabel("Source of all selected").selectOption("H1"));
    act(() -> page.keyboard().press("Escape"));

    act(() -> window.go("Props"));
    act(() -> page.keyboard().press("n"));
    for (String line : PROPS) {
      page.keyboard().type(line);
      edit(() -> page.keyboard().press("Enter"));
      assertThat(page.getByTestId("entry")).hasValue("");
    }

    act(() -> window.go("Patch"));
    command("fan to K2");
    HUNG.forEach(this::command);
    command("gate right mirrors gate left");
    boxes();
    held();

    System.out.printf("a display of one's own in an evening: %d actions%n", actions);
    assertThat(actions).isLessThan(MOST_ACTIONS);
    act(() -> window.go("Overview"));
    assertThat(page.locator("main")).containsText("38 of 38 pieces hang");
    assertThat(window.findings()).startsWith("0 faults");
    window.noErrors();
  }

  /** The second bank's ports are on a chain of two boxes. */
  private void boxes() {
    act(() -> window.find("K2-5"));
    page.getByLabel("Add box B to bank 2").waitFor();
    edit(() -> page.getByLabel("Add box B to bank 2").click());
    fill("Cable to box A of bank 2, metres", "12");
    fill("Cable to box B of bank 2, metres", "8");
  }

  /** A start that was promised to somebody is typed, and held there. */
  private void held() {
    act(() -> window.find("eaves"));
    assertThat(page.getByTestId("glass")).containsText("Eaves");
    String start = "Start of section 1; a typed one is held there";
    // the first universe is not fixed, so it cannot be held at one: it flows, and the field says so
    fill(start, "12:1");
    assertThat(page.getByLabel(start)).hasValue("4:205");
    fill(start, "1801");
    assertThat(window.leg("eaves-1")).hasAccessibleName(Pattern.compile("starts 4:265\\D"));
  }
}
