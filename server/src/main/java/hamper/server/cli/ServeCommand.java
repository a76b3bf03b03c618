package hamper.server.cli;

import hamper.catalog.Catalog;
import hamper.server.Server;
import hamper.server.live.Displays;
import hamper.server.store.CopyRounds;
import java.io.IOException;
import java.io.PrintWriter;
import java.net.BindException;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.net.ServerSocket;
import java.nio.file.Path;
import java.time.Duration;
import java.util.concurrent.Callable;
import org.springframework.context.ConfigurableApplicationContext;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Spec;

/** {@code hamper serve}: starts the server. */
@Command(
    name = "serve",
    mixinStandardHelpOptions = true,
    description = "Start Hamper with your own displays.")
public class ServeCommand implements Callable<Integer> {
  /** Not an exit code: the server goes on. */
  public static final int RUNNING = -1;

  /** How often it is looked whether the day has its copy; also how soon after the start. */
  private static final Duration COPY_ROUND = Duration.ofSeconds(30);

  @Option(names = "--port", description = "to listen on (default: ${DEFAULT-VALUE})")
  private int port = 8080;

  @Option(names = "--data", paramLabel = "DIR", description = "the data folder")
  private Path data;

  @Spec private CommandSpec spec;

  @Override
  public Integer call() throws IOException {
    checkPort();
    Path folder = data == null ? defaultData() : data;
    ConfigurableApplicationContext context = start(folder);
    PrintWriter out = spec.commandLine().getOut();
    out.printf(
        "Hamper is ready: http://localhost:%s  (data in %s; Ctrl+C stops it)%n",
        context.getEnvironment().getProperty("local.server.port"), folder);
    out.flush();
    return RUNNING;
  }

  /** Where displays are kept if nobody says otherwise. */
  protected Path defaultData() {
    return Path.of("data");
  }

  /** What is done before the server says that it is ready. */
  protected void prepare(Displays displays, Catalog catalog) throws IOException {}

  private ConfigurableApplicationContext start(Path folder) throws IOException {
    ConfigurableApplicationContext context = Server.start(port, folder);
    Displays displays = context.getBean(Displays.class);
    // trouble with any of them is said now; the others can be worked on
    displays.forgetOld();
    displays.openAll().forEach(spec.commandLine().getErr()::println);
    prepare(displays, context.getBean(Catalog.class));
    context.getBean(CopyRounds.class).begin(COPY_ROUND);
    return context;
  }

  private void checkPort() throws IOException {
    if (port < 0 || port > 65_535) {
      throw new Trouble("Port %d: allowed is 0 to 65535".formatted(port));
    }
    try (ServerSocket probe = new ServerSocket()) {
      probe.setReuseAddress(true);
      probe.bind(new InetSocketAddress(InetAddress.getByName("127.0.0.1"), port));
    } catch (BindException e) {
      throw new Trouble(
          "Port %d is already in use; stop what uses it, or choose another with --port %d"
              .formatted(port, port + 1));
    }
  }
}
