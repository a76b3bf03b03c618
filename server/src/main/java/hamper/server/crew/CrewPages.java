package hamper.server.crew;

import java.io.IOException;
import java.io.InputStream;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Pattern;

/** Files of the crew's pages: every address of a page is the one page, which reads it. */
final class CrewPages {
  private static final String FOLDER = "/META-INF/crew/";
  private static final Pattern PAGE =
      Pattern.compile("/(left|trouble|moved|(controller|string|rescue)/[A-Za-z0-9._~-]+)?");
  private static final Pattern FILE = Pattern.compile("/(assets/)?[A-Za-z0-9_-]+(\\.[a-z0-9]+)+");
  private static final Map<String, String> TYPES =
      Map.of(
          "html", "text/html;charset=UTF-8",
          "js", "text/javascript;charset=UTF-8",
          "css", "text/css;charset=UTF-8",
          "svg", "image/svg+xml",
          "png", "image/png",
          "webmanifest", "application/manifest+json");

  /**
   * @param lasting whether its name changes with what is in it
   */
  record File(byte[] bytes, String type, boolean lasting) {}

  private CrewPages() {}

  /** Of the path of a request; empty where there is nothing. */
  static Optional<File> find(String path) throws IOException {
    if (FILE.matcher(path).matches()) {
      return read(path.substring(1));
    }
    return PAGE.matcher(path).matches() ? read("index.html") : Optional.empty();
  }

  private static Optional<File> read(String name) throws IOException {
    String type = TYPES.get(name.substring(name.lastIndexOf('.') + 1));
    if (type == null) {
      return Optional.empty();
    }
    try (InputStream in = CrewPages.class.getResourceAsStream(FOLDER + name)) {
      return in == null
          ? Optional.empty()
          : Optional.of(new File(in.readAllBytes(), type, name.startsWith("assets/")));
    }
  }
}
