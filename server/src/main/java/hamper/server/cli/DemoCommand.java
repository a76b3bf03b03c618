package hamper.server.cli;

import hamper.catalog.Catalog;
import hamper.files.DisplayFile;
import hamper.server.live.Displays;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Path;
import picocli.CommandLine.Command;

/** {@code hamper demo}: starts the server with the demo display, Saltmarsh Quay. */
@Command(
    name = "demo",
    mixinStandardHelpOptions = true,
    description = "Start Hamper with the demo display, Saltmarsh Quay.")
public final class DemoCommand extends ServeCommand {
  private static final String DEMO = "/hamper/demo/saltmarsh-quay.hamper.json";

  @Override
  protected Path defaultData() {
    return Path.of("data", "demo");
  }

  /** The demo is added once; what somebody did to it stays. */
  @Override
  protected void prepare(Displays displays, Catalog catalog) throws IOException {
    if (displays.all().isEmpty()) {
      try (InputStream in = DemoCommand.class.getResourceAsStream(DEMO)) {
        displays.add(DisplayFile.read(in.readAllBytes(), catalog).display());
      }
    }
  }
}
