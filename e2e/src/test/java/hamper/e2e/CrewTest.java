package hamper.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.PlaywrightException;
import com.microsoft.playwright.assertions.LocatorAssertions;
import com.microsoft.playwright.options.ColorScheme;
import hamper.samples.hosts.TwoHosts;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import java.security.GeneralSecurityException;
import java.security.KeyStore;
import java.security.MessageDigest;
import java.util.ArrayList;
import java.util.Base64;
import java.util.List;
import java.util.Random;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Assumptions;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/**
 * The crew door at an address that is not this machine's own: the program and the planner on one
 * host, a phone on another, and the cable between them pulled.
 */
class CrewTest {
  private static final String DOOR = "10.77.0.1";
  private static final int LIVE_MILLIS = 1_000;

  @TempDir static Path folder;
  private static TwoHosts hosts;
  private static Program program;
  private static Browser atDesk;
  private static int opened;
  private Browser inYard;
  private Browser atGate;
  private Page planner;
  private final List<String> errors = new ArrayList<>();

  @BeforeAll
  static void joinHosts() throws IOException {
    try {
      hosts = TwoHosts.joined(List.of(DOOR), List.of("10.77.0.2"));
    } catch (IOException e) {
      Assumptions.abort("The crew door was not tried, namespaces cannot be made: " + e);
    }
    program = Program.demoOn(hosts.deskCommand(), folder.resolve("data"));
    atDesk = Browsers.launch(browserOn("desk", hosts.deskCommand()), List.of());
  }

  @AfterAll
  static void end() {
    if (hosts != null) {
      if (atDesk != null) {
        atDesk.close();
      }
      if (program != null) {
        program.close();
      }
      hosts.close();
    }
  }

  /** A program that is the browser, on one of the hosts. */
  private static Path browserOn(String name, List<String> before) throws IOException {
    Path script = folder.resolve("browser-" + name);
    Files.writeString(
        script,
        "#!/bin/sh\nexec %s %s \"$@\"\n".formatted(String.join(" ", before), Browsers.program()));
    Files.setPosixFilePermissions(script, PosixFilePermissions.fromString("rwx------"));
    return script;
  }

  @BeforeEach
  void openPlanner() {
    planner =
        atDesk.newContext(new Browser.NewContextOptions().setViewportSize(1280, 900)).newPage();
    planner.navigate(program.url);
    assertThat(planner.getByTestId("display-menu")).containsText("Saltmarsh Quay");
  }

  @AfterEach
  void close() throws IOException {
    hosts.cable(true);
    planner.evaluate("() => fetch('/api/door', { method: 'DELETE' })");
    planner.context().close();
    for (Browser phones : new Browser[] {inYard, atGate}) {
      if (phones != null) {
        phones.close();
      }
    }
  }

  /** The planner opens the door, and makes a key. */
  private String link(boolean secure) {
    planner
        .getByRole(com.microsoft.playwright.options.AriaRole.NAVIGATION)
        .getByText("Paper")
        .click();
    planner.getByTestId("crew-door").click();
    planner.getByTestId("door-address").selectOption(DOOR);
    planner.getByTestId("door-port").fill(Integer.toString(8090 + opened++));
    if (secure) {
      planner.getByTestId("door-secure").check();
    }
    planner.getByTestId("open-door").click();
    // the first HTTPS door loads all that makes certificates, beside other tests
    assertThat(planner.getByTestId("door-open"))
        .containsText(DOOR, new LocatorAssertions.ContainsTextOptions().setTimeout(20_000));
    assertThat(planner.getByTestId("door-pill")).isVisible();
    planner.getByTestId("key-name").fill("Ladder two");
    planner.getByTestId("may-LIGHT").check();
    planner.getByTestId("may-RESCUE").check();
    planner.getByTestId("make-key").click();
    return planner.getByTestId("link").innerText().strip();
  }

  /** A phone in the yard; where it is told so it trusts the authority. */
  private Page phone(boolean secure) throws IOException, GeneralSecurityException {
    inYard = Browsers.launch(browserOn("yard", hosts.yardCommand()), trust(secure));
    return phone(inYard);
  }

  private static List<String> trust(boolean secure) throws IOException, GeneralSecurityException {
    return secure ? List.of("--ignore-certificate-errors-spki-list=" + authority()) : List.of();
  }

  private Page phone(Browser browser) {
    BrowserContext context =
        browser.newContext(
            new Browser.NewContextOptions()
                .setViewportSize(390, 844)
                .setHasTouch(true)
                .setColorScheme(ColorScheme.LIGHT));
    Page page = context.newPage();
    page.onPageError(errors::add);
    return page;
  }

  /** What is kept of the authority, as a browser is told to trust it. */
  private static String authority() throws IOException, GeneralSecurityException {
    KeyStore store = KeyStore.getInstance("PKCS12");
    byte[] kept =
        Files.readAllBytes(folder.resolve("data").resolve("door").resolve("authority.p12"));
    store.load(new ByteArrayInputStream(kept), "hamper".toCharArray());
    byte[] key = store.getCertificate("authority").getPublicKey().getEncoded();
    return Base64.getEncoder().encodeToString(MessageDigest.getInstance("SHA-256").digest(key));
  }

  private static void tick(Page phone, int times) {
    for (int i = 0; i < times; i++) {
      int left = phone.locator("[data-tick]").count();
      phone.locator("[data-tick]").first().click();
      assertThat(phone.locator("[data-tick]")).hasCount(left - 1);
    }
  }

  private static void sent(Page phone) {
    assertThat(phone.getByTestId("state")).hasAttribute("data-waiting", "0");
    assertThat(phone.getByTestId("state")).hasText("in reach");
  }

  /** How many facts there are of all strings. */
  private int facts() {
    return ((Number)
            planner.evaluate(
                """
                async () => {
                  const id = (await (await fetch('/api/displays')).json())[0].id
                  const at = `/api/displays/${id}/progress`
                  const { strings } = await (await fetch(at)).json()
                  let count = 0
                  for (const one of strings) {
                    count += (await (await fetch(`${at}/${one.piece}/history`)).json()).length
                  }
                  return count
                }
                """))
        .intValue();
  }

  private void enter(Page phone, String link) {
    phone.navigate(link);
    assertThat(phone.getByTestId("yard")).isVisible();
    assertThat(phone.url()).as("the key does not stay in the address").doesNotContain("#");
    // all controllers are kept for when it is out of reach
    assertThat(phone.getByTestId("yard")).containsText("keeps 12 of 12");
  }

  /** Ticked in reach, out of reach and by two at once: all are there, once, and seen at once. */
  private void anEvening(boolean secure, int inReach, int outOfReach) throws Exception {
    String link = link(secure);
    Page phone = phone(secure);
    enter(phone, link);
    atGate = Browsers.launch(browserOn("gate", hosts.deskCommand()), trust(secure));
    Page second = phone(atGate);
    int before = facts();
    forTheYard(phone);
    phone.getByTestId("left").click();
    phone.getByTestId("stage").selectOption("HUNG");
    int all = phone.locator("[data-tick]").count();
    phone.locator("[data-tick]").first().click();
    phone.getByTestId("name").fill("Tomás");
    phone.getByTestId("named").click();
    assertThat(phone.locator("[data-tick]")).hasCount(all - 1);
    tick(phone, inReach - 1);
    sent(phone);
    assertThat(facts() - before).isEqualTo(inReach);

    seenAtOnce(phone);

    // the second phone is in reach while the first is not
    enter(second, link);
    second.evaluate("() => localStorage.setItem('hamper.name', 'Ada')");
    second.reload();
    assertThat(second.getByTestId("yard")).isVisible();
    second.getByTestId("left").click();
    hosts.cable(false);
    tick(phone, outOfReach);
    assertThat(phone.getByTestId("state")).hasText("out of reach, " + outOfReach + " wait");
    assertThat(phone.getByTestId("away")).isVisible();
    tick(second, outOfReach / 2);
    sent(second);
    reloadedOutOfReach(phone, secure, link, outOfReach);
    hosts.cable(true);
    if (!secure) {
      phone.navigate(link.substring(0, link.indexOf('#')));
    }
    sent(phone);
    assertThat(facts() - before)
        .as("one more was seen at once; what both did is there once")
        .isEqualTo(inReach + 1 + outOfReach);
    movedBelowIt(phone);
    withdrawn(phone);
    assertThat(errors).isEmpty();
  }

  private static void forTheYard(Page phone) {
    Accessibility.checkOutdoors(phone, "the yard", false);
    phone.locator("[data-controller='k4']").click();
    assertThat(phone.getByTestId("controller")).isVisible();
    Accessibility.checkOutdoors(phone, "a controller", false);
    phone.goBack();
  }

  /**
   * The planner's window shows a tick within a second; both pages read the clock of one machine.
   */
  private void seenAtOnce(Page phone) {
    planner.evaluate(
        "() => (location.hash = location.hash.replace('/paper/crew-door', '/overview/strings'))");
    String piece = phone.locator("[data-tick]").first().getAttribute("data-tick");
    Locator row = planner.locator("[data-string='%s'] .stages .has".formatted(piece));
    assertThat(planner.locator("[data-string='%s']".formatted(piece))).hasCount(1);
    assertThat(row).hasCount(0);
    planner.evaluate(
        """
        piece => {
          const ticked = `[data-string='${piece}'] .stages .has`
          const look = (seen) => document.querySelector(ticked) && seen(Date.now())
          window.seen = new Promise((seen) => {
            const all = { subtree: true, childList: true, attributes: true }
            new MutationObserver(() => look(seen)).observe(document.body, all)
          })
        }
        """,
        piece);
    phone.evaluate(
        """
        piece => {
          const now = () => (window.ticked = Date.now())
          addEventListener('click', now, { capture: true, once: true })
          const look = () => document.querySelector(`[data-tick='${piece}']`)
          new MutationObserver(() => look() || (window.gone ??= Date.now()))
            .observe(document.body, { subtree: true, childList: true })
        }
        """,
        piece);
    tick(phone, 1);
    row.first().waitFor(); // what drives the browsers may be late; the pages say how late it was
    long seen = ((Number) planner.evaluate("() => window.seen")).longValue();
    long ticked = ((Number) phone.evaluate("() => window.ticked")).longValue();
    long gone = ((Number) phone.evaluate("() => window.gone")).longValue();
    assertThat(seen - ticked).as("ms from tick to sight").isBetween(0L, 2L * LIVE_MILLIS);
    assertThat(seen - gone).as("ms after the phone took it").isLessThan(LIVE_MILLIS);
  }

  /** It opens again without a connection only where that is promised; what was ticked is kept. */
  private void reloadedOutOfReach(Page phone, boolean secure, String link, int waiting) {
    if (secure) {
      phone.reload();
      assertThat(phone.getByTestId("state")).hasText("out of reach, " + waiting + " wait");
      phone.navigate(link.substring(0, link.indexOf('#')) + "controller/k1");
      assertThat(phone.getByTestId("controller")).containsText("Harbour wall");
      assertThat(phone.locator("[data-port]").first()).isVisible();
    } else {
      assertThat(phone.getByTestId("away").locator("details")).containsText("Do not reload");
      assertThatThrownBy(phone::reload).isInstanceOf(PlaywrightException.class);
      // the browser's own page about it comes a little later, and would break the next navigation
      phone.waitForURL("chrome-error://**");
    }
  }

  /** A string that the planner moves is marked on the phone, with from, to and when. */
  private void movedBelowIt(Page phone) {
    phone.navigate(phone.url().replaceAll("(//[^/]+/).*", "$1controller/k1"));
    planner.evaluate(
        """
        async () => {
          const [{ id }] = await (await fetch('/api/displays')).json()
          const { version } = await (await fetch(`/api/displays/${id}`)).json()
          const edit = { type: 'UnpatchPieces', pieces: ['wall-coping-west-1'] }
          const body = JSON.stringify({ version, edit })
          const headers = { 'content-type': 'application/json' }
          await fetch(`/api/displays/${id}/edits`, { method: 'POST', headers, body })
        }
        """);
    assertThat(phone.getByTestId("moved")).hasText("1 moved");
    assertThat(phone.getByTestId("controller"))
        .containsText("is not here any more: moved from K1-1 to nowhere just now");
    phone.getByTestId("moved").click();
    phone.getByTestId("read-moves").click();
    assertThat(phone.getByTestId("moved-page")).containsText("Nothing was moved");
    planner.getByTestId("undo").click();
    assertThat(phone.getByTestId("moved-page")).containsText("moved from nowhere to K1-1");
  }

  private void withdrawn(Page phone) {
    planner.evaluate(
        "() => (location.hash = location.hash.replace('/overview/strings', '/paper/crew-door'))");
    planner.getByTestId("keys").getByText("Withdraw").first().click();
    assertThat(phone.getByTestId("shut")).containsText("The door does not open");
    planner.getByTestId("close-door").click();
    assertThat(planner.getByTestId("door-closed")).isVisible();
    assertThat(planner.getByTestId("door-pill")).hasCount(0);
  }

  @Test
  @Tag("whole")
  void anEveningByPlainHttp() throws Exception {
    anEvening(false, 2, 2);
  }

  @Test
  void anEveningByHttps() throws Exception {
    anEvening(true, 5, 4);
  }

  /** A photo of 12 MB is made small on the phone; what is none is refused in a sentence. */
  private void photographed(Page phone) throws IOException {
    BufferedImage noise = new BufferedImage(2000, 2000, BufferedImage.TYPE_INT_RGB);
    Random random = new Random(1);
    for (int y = 0; y < 2000; y++) {
      for (int x = 0; x < 2000; x++) {
        noise.setRGB(x, y, random.nextInt(1 << 24));
      }
    }
    Path large = folder.resolve("large.png");
    ImageIO.write(noise, "png", large.toFile());
    assertThat(Files.size(large)).isGreaterThan(12_000_000);
    phone.getByTestId("note").click();
    phone.getByTestId("photo").setInputFiles(large);
    phone.getByTestId("said").click();
    sent(phone);
    phone.getByText("What happened to it").click();
    Locator photo = phone.locator("main img").first();
    photo.scrollIntoViewIfNeeded();
    phone.waitForFunction("() => document.querySelector('main img').naturalWidth === 1600");
    Path other = Files.writeString(folder.resolve("other.jpg"), "no picture at all");
    phone.getByTestId("note").click();
    phone.getByTestId("text").fill("with a photo that is none");
    phone.getByTestId("photo").setInputFiles(other);
    phone.getByTestId("said").click();
    assertThat(phone.getByTestId("refused")).containsText("send a JPEG or a PNG");
    phone.getByTestId("refused").getByText("Put away").click();
    sent(phone);
  }

  /** Read in the sun and by night, touched with a cold thumb, small enough for a slow phone. */
  @Test
  @Tag("whole")
  void itsPagesAreForTheYard() throws Exception {
    String link = link(false);
    Page phone = phone(false);
    enter(phone, link);
    long script =
        ((Number)
                phone.evaluate(
                    """
                    () => performance.getEntriesByType('resource')
                      .filter((one) => one.name.endsWith('.js'))
                      .reduce((sum, one) => sum + one.decodedBodySize, 0)
                    """))
            .longValue();
    assertThat(script).isBetween(20_000L, 150_000L);
    for (ColorScheme scheme : List.of(ColorScheme.LIGHT, ColorScheme.DARK)) {
      boolean again = scheme == ColorScheme.DARK;
      phone.emulateMedia(new Page.EmulateMediaOptions().setColorScheme(scheme));
      phone.navigate(link.substring(0, link.indexOf('#')));
      assertThat(phone.getByTestId("yard")).isVisible();
      Accessibility.checkOutdoors(phone, "the yard, " + scheme, again);
      phone.locator("[data-controller='k4']").click();
      assertThat(phone.getByTestId("controller")).isVisible();
      Accessibility.checkOutdoors(phone, "a controller, " + scheme, again);
      phone.locator("[data-string]").first().click();
      phone.getByTestId("count").click();
      phone.getByTestId("next-pixel").click();
      assertThat(phone.getByTestId("pixel")).containsText("2");
      assertThat(phone.getByTestId("lit")).containsText("pixel 2");
      assertThat(planner.getByTestId("lit")).containsText("1 piece lit");
      Accessibility.checkOutdoors(phone, "a string, " + scheme, again);
      phone.getByTestId("dark").click();
      assertThat(phone.getByTestId("lit")).hasCount(0);
      phone.getByTestId("guide").locator("summary").click();
      phone.locator("[data-guide]").first().waitFor();
      phone.getByTestId("trouble").click();
      Accessibility.checkOutdoors(phone, "trouble, " + scheme, again);
      for (String at : List.of("left", "trouble", "moved", "rescue/k4")) {
        phone.navigate(link.substring(0, link.indexOf('#')) + at);
        assertThat(phone.locator("main h1")).isVisible();
        phone.waitForTimeout(500);
        Accessibility.checkOutdoors(phone, at + ", " + scheme, again);
      }
      phone.navigate(link.substring(0, link.indexOf('#')) + "string/wall-coping-west-1");
    }
    phone.getByTestId("trouble").click();
    phone.getByTestId("text").fill("no light from pixel 20");
    phone.getByTestId("said").click();
    assertThat(phone.getByTestId("say")).containsText("Say who you are");
    phone.getByLabel("Your name").fill("Tomás");
    phone.getByTestId("said").click();
    assertThat(phone.getByTestId("settle")).isVisible();
    sent(phone);
    phone.getByTestId("settle").click();
    assertThat(phone.getByTestId("settle")).hasCount(0);
    photographed(phone);
    assertThat(planner.getByTestId("link")).isVisible();
    planner.getByTestId("close-door").click();
    assertThat(errors).isEmpty();
  }
}
