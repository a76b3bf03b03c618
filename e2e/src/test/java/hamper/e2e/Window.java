package hamper.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import com.microsoft.playwright.options.ReducedMotion;
import com.microsoft.playwright.options.RequestOptions;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** A browser window on the program, and what a planner does in it. */
final class Window implements AutoCloseable {
  private static final Pattern STARTS = Pattern.compile("starts ([\\d:]+)");

  /** One browser for all tests; it ends with them. */
  private static final Browser BROWSER = Browsers.launch();

  private static final int WIDTH = 1280;
  private static final int HEIGHT = 900;

  /** The one that tests take after each other. */
  private static Window kept;

  private final BrowserContext context;
  final Page page;
  final List<String> errors = new ArrayList<>();

  Window(String url) {
    context =
        BROWSER.newContext(
            new Browser.NewContextOptions()
                .setViewportSize(WIDTH, HEIGHT)
                .setReducedMotion(ReducedMotion.REDUCE) // nothing is waited for that only glides
                .setPermissions(List.of("clipboard-read", "clipboard-write")));
    page = tab(url);
  }

  /**
   * The window that the test before has left, on a page that knows nothing of it: that costs half
   * of what another one does, since the browser has read the interface already.
   */
  static Window anew(String url) {
    if (kept == null) {
      kept = new Window(url);
    } else {
      kept.empty();
      kept.page.navigate(url);
    }
    return kept;
  }

  private void empty() {
    context.pages().stream().filter(tab -> tab != page).forEach(Page::close);
    page.unrouteAll();
    page.mouse().up();
    page.evaluate("() => { localStorage.clear(); sessionStorage.clear() }");
    page.navigate("about:blank");
    page.mouse().move(0, 0);
    page.setViewportSize(WIDTH, HEIGHT);
    errors.clear();
  }

  /** Has a script run before the page, from now on; the next test gets another window. */
  void startWith(String script) {
    kept = null;
    page.addInitScript(script);
    page.reload();
    opened();
  }

  /** One more tab of the same browser. */
  Page tab(String url) {
    Page tab = context.newPage();
    tab.onConsoleMessage(
        message -> {
          // a request that is refused on purpose is told by the browser itself
          boolean refused = message.text().startsWith("Failed to load resource");
          if (List.of("error", "warning").contains(message.type()) && !refused) {
            errors.add(message.text());
          }
        });
    tab.onPageError(errors::add);
    tab.navigate(url);
    return tab;
  }

  /** Opens a display of a file; answers its id. */
  String openFile(String url, byte[] file) {
    String answer =
        page.request()
            .post(
                url + "/api/displays/import",
                RequestOptions.create()
                    .setHeader("content-type", "application/octet-stream")
                    .setData(file))
            .text();
    String id = answer.replaceAll("(?s).*?\"id\":\"([^\"]+)\".*", "$1");
    page.navigate(url + "/#/d/" + id + "/overview");
    return id;
  }

  void go(String place) {
    Locator link =
        page.getByRole(AriaRole.NAVIGATION)
            .getByRole(AriaRole.LINK, new Locator.GetByRoleOptions().setName(place));
    link.click();
    // the keys that a test presses next are meant for that place
    assertThat(link).hasAttribute("aria-current", "page");
  }

  /** A leg on a lane. */
  Locator leg(String piece) {
    return page.locator("[data-lane] [data-piece='%s']".formatted(piece));
  }

  /** A piece in the tray. */
  Locator loose(String piece) {
    return page.locator("[data-tray] [data-piece='%s']".formatted(piece));
  }

  Locator lane(String key) {
    return page.locator("[data-lane='%s']".formatted(key));
  }

  /** Brings a port into view, as a planner does: only what is in view is in the page. */
  void reveal(String written, Locator lane) {
    page.keyboard().press("/");
    page.keyboard().type(written);
    page.keyboard().press("Enter");
    lane.waitFor();
  }

  /** Drags something to a place over a lane; the pointer is not let go. */
  void carry(Locator what, Locator lane, double right) {
    BoundingBox from = what.boundingBox();
    page.mouse().move(from.x + Math.min(12, from.width / 2), from.y + from.height / 2);
    page.mouse().down();
    lane.scrollIntoViewIfNeeded();
    lanesAreStill();
    BoundingBox to = lane.locator("[data-wire]").boundingBox();
    page.mouse().move(to.x + right - 4, to.y + to.height / 2 - 2);
    page.mouse().move(to.x + right, to.y + to.height / 2);
  }

  /**
   * Waits until lanes stand where they are measured: a busy machine scrolls on after the wheel, and
   * what flew by is drawn whole a moment later, by other elements.
   */
  void lanesAreStill() {
    page.waitForFunction(
        """
        () => {
          const lanes = document.querySelector('.lanes')
          const still = lanes.scrollTop === window.lanesWere && !lanes.querySelector('.plain')
          window.lanesWere = lanes.scrollTop
          return still
        }
        """,
        null,
        new Page.WaitForFunctionOptions().setPollingInterval(60));
  }

  /** Drags something onto a lane, and waits until the edit has come back. */
  void drag(Locator what, Locator lane, double right) {
    carry(what, lane, right);
    acknowledged(page.mouse()::up);
  }

  /** Does something that makes an edit, and waits until its answer is on the screen. */
  void acknowledged(Runnable work) {
    String before = page.locator("main").getAttribute("data-version");
    work.run();
    page.waitForFunction(
        "before => document.querySelector('main').dataset.version !== before", before);
  }

  /** Opens something by the finder: / and its name. */
  void find(String text) {
    page.keyboard().press("/");
    page.keyboard().type(text);
    page.getByRole(AriaRole.OPTION).first().waitFor();
    page.keyboard().press("Enter");
  }

  /** Puts a text on the clipboard, as a spreadsheet does. */
  void copied(String text) {
    page.evaluate("text => navigator.clipboard.writeText(text)", text);
  }

  void undo() {
    acknowledged(() -> page.getByTestId("undo").click());
  }

  void redo() {
    acknowledged(() -> page.getByTestId("redo").click());
  }

  /** Where a leg starts, as the planner reads it. */
  String startOf(String piece) {
    Matcher starts = STARTS.matcher(leg(piece).getAttribute("aria-label"));
    assertThat(starts.find()).as(piece).isTrue();
    return starts.group(1);
  }

  String findings() {
    return page.getByTestId("findings-pill").innerText().replaceAll("\\s+", " ");
  }

  void noErrors() {
    assertThat(errors).isEmpty();
  }

  /** Waits until the display is there. */
  void opened() {
    assertThat(page.getByTestId("display-menu")).containsText("Saltmarsh Quay");
  }

  /** Lets it go to the next test, or ends it where it is gone or there is to be another one. */
  void leave() {
    if (page.isClosed()) {
      kept = null;
    }
    if (this != kept) {
      close();
    }
  }

  @Override
  public void close() {
    context.close();
  }

  /** Of some elements those that have a text. */
  static Locator.FilterOptions hasText(String text) {
    return new Locator.FilterOptions().setHasText(text);
  }
}
