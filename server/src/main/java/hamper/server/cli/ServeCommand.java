package hamper.server.cli;

import hamper.catalog.Catalog;
import hamper.server.Server;
import hamper.server.live.Displays;
import hamper.server.output.MachineAdapter;
import hamper.server.output.OutputSetting;
import hamper.server.store.CopyRounds;
import java.io.IOException;
import java.io.PrintWriter;
import java.net.BindException;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.net.ServerSocket;
import java.nio.file.Path;
import java.time.Duration;
import java.util.List;
import java.util.Optional;
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

  @Option(
      names = "--live",
      description =
          "send light to the devices of the yard, on the plan's own addresses, instead of to"
              + " stand-ins on this computer")
  private boolean live;

  @Option(
      names = "--adapter",
      paramLabel = "NAME",
      description = "with --live: the only network adapter to send by (default: whichever fits)")
  private String adapter;

  @Option(
      names = "--ttl",
      paramLabel = "N",
      description =
          "with --live: how many routers what goes to a group may pass, and one (default:"
              + " ${DEFAULT-VALUE})")
  private int ttl = 1;

  @Spec private CommandSpec spec;

  @Override
  public Integer call() throws IOException {
    checkPort();
    checkLive();
    Path folder = data == null ? defaultData() : data;
    ConfigurableApplicationContext context = start(folder);
    PrintWriter out = spec.commandLine().getOut();
    out.printf(
        "Hamper is ready: http://localhost:%s  (data in %s; Ctrl+C stops it)%n",
        context.getEnvironment().getProperty("local.server.port"), folder);
    if (live) {
      out.println("LIVE: light goes to the devices of the yard, not to stand-ins.");
    }
    out.flush();
    ready(context);
    return RUNNING;
  }

  /** Where displays are kept if nobody says otherwise. */
  protected Path defaultData() {
    return Path.of("data");
  }

  /** What is done before the server says that it is ready. */
  protected void prepare(Displays displays, Catalog catalog) throws IOException {}

  /** What is done once it has said so. */
  protected void ready(ConfigurableApplicationContext context) {}

  private void checkLive() throws IOException {
    if (!live && (adapter != null || ttl != 1)) {
      throw new Trouble("--adapter and --ttl are for --live only");
    }
    if (ttl < 1 || ttl > 255) {
      throw new Trouble("--ttl %d: allowed is 1 to 255".formatted(ttl));
    }
    if (adapter != null) {
      List<String> names = MachineAdapter.all().stream().map(MachineAdapter::name).toList();
      if (!names.contains(adapter)) {
        throw new Trouble(
            "--adapter %s: there is none of that name; there is %s"
                .formatted(adapter, String.join(", ", names)));
      }
    }
  }

  private ConfigurableApplicationContext start(Path folder) throws IOException {
    OutputSetting output = new OutputSetting(live, Optional.ofNullable(adapter), ttl, folder);
    ConfigurableApplicationContext context = Server.start(port, folder, output);
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
