package hamper.server.cli;

import hamper.catalog.Catalog;
import hamper.server.daemons.Daemons;
import hamper.server.live.DemoDisplay;
import hamper.server.live.Displays;
import hamper.server.output.Output;
import java.nio.file.Path;
import org.springframework.context.ConfigurableApplicationContext;
import picocli.CommandLine.Command;

/** {@code hamper demo}: starts the server with the demo display, Saltmarsh Quay. */
@Command(
    name = "demo",
    mixinStandardHelpOptions = true,
    description = "Start Hamper with the demo display, Saltmarsh Quay.")
public final class DemoCommand extends ServeCommand {
  @Override
  protected Path defaultData() {
    return Path.of("data", "demo");
  }

  /** The demo is added once; what somebody did to it stays. */
  @Override
  protected void prepare(Displays displays, Catalog catalog) {
    if (displays.list().isEmpty()) {
      displays.add(DemoDisplay.read(catalog));
    }
  }

  /** Its stand-ins start beside it; nothing waits for them. */
  @Override
  protected void ready(ConfigurableApplicationContext context) {
    Thread seating = Daemons.thread("seating", () -> context.getBean(Output.class).seatAll());
    seating.start();
  }
}
