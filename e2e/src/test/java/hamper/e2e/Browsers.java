package hamper.e2e;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.BrowserType;
import com.microsoft.playwright.Playwright;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;

/** Debian's browser, started as all tests start it; it ends with them. */
final class Browsers {
  private static final List<String> QUIET =
      List.of(
          "--disable-gpu",
          "--disable-quic",
          "--no-first-run",
          "--disable-background-networking",
          "--disable-component-update",
          "--disable-sync",
          // one process less for what draws, and one for what fetches
          "--in-process-gpu",
          "--enable-features=NetworkServiceInProcess2",
          // a page of a test lives for seconds: what compiles it anew for speed is never paid back
          "--js-flags=--no-turbofan --no-maglev --single-threaded-gc");

  private static final Playwright PLAYWRIGHT = playwright();

  private Browsers() {}

  static Browser launch() {
    return launch(program(), List.of());
  }

  /**
   * @param program that is the browser, or starts it elsewhere
   * @param more arguments of it
   */
  static Browser launch(Path program, List<String> more) {
    List<String> arguments = new ArrayList<>(QUIET);
    arguments.addAll(more);
    return PLAYWRIGHT
        .chromium()
        .launch(
            new BrowserType.LaunchOptions()
                .setExecutablePath(program)
                .setChromiumSandbox(false)
                .setArgs(arguments));
  }

  private static Playwright playwright() {
    Playwright playwright =
        Playwright.create(
            new Playwright.CreateOptions()
                .setEnv(
                    Map.of(
                        "PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD",
                        "1",
                        "PLAYWRIGHT_NODEJS_PATH",
                        onPath("node").toString())));
    playwright.selectors().setTestIdAttribute("data-test");
    Runtime.getRuntime().addShutdownHook(new Thread(playwright::close));
    return playwright;
  }

  /** The browser without a window, which works less for the same page; else the whole one. */
  static Path program() {
    return found("chromium-headless-shell").orElseGet(() -> onPath("chromium"));
  }

  static Path onPath(String program) {
    return found(program)
        .orElseThrow(() -> new IllegalStateException(program + " is not on the PATH"));
  }

  private static Optional<Path> found(String program) {
    return Stream.of(System.getenv("PATH").split(":"))
        .map(folder -> Path.of(folder, program))
        .filter(Files::isExecutable)
        .findFirst();
  }
}
