package hamper.samples.hosts;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.TimeUnit;

/**
 * Two hosts of the test's own, in network namespaces joined by a cable; nothing else is on it, and
 * nothing of it is left behind.
 */
public final class TwoHosts implements AutoCloseable {
  /** Network of the cable: one that is for documentation. */
  public static final String DESK = "198.51.100.1";

  private final String desk;
  private final String yard;

  private TwoHosts(String name) {
    desk = name + "d";
    yard = name + "y";
  }

  /**
   * @param devices addresses of the yard's devices
   * @throws IOException where this machine lets nobody make namespaces, with the reason
   */
  public static TwoHosts joined(List<String> devices) throws IOException {
    return joined(List.of(DESK), devices);
  }

  /**
   * @param desks addresses of the host where Hamper runs
   * @param devices addresses of the yard's devices
   * @throws IOException where this machine lets nobody make namespaces, with the reason
   */
  public static TwoHosts joined(List<String> desks, List<String> devices) throws IOException {
    TwoHosts hosts = new TwoHosts("hp" + ProcessHandle.current().pid() % 100_000);
    try {
      run("ip", "netns", "add", hosts.desk);
      run("ip", "netns", "add", hosts.yard);
      run("ip", "link", "add", hosts.desk, "type", "veth", "peer", "name", hosts.yard);
      hosts.plug(hosts.desk, desks);
      hosts.plug(hosts.yard, devices);
      return hosts;
    } catch (IOException e) {
      hosts.close();
      throw e;
    }
  }

  private void plug(String host, List<String> addresses) throws IOException {
    run("ip", "link", "set", host, "netns", host);
    in(host, "ip", "link", "set", "lo", "up");
    in(host, "ip", "link", "set", host, "up");
    for (String address : addresses) {
      in(host, "ip", "addr", "add", address + "/24", "brd", "+", "dev", host);
    }
  }

  private static void in(String host, String... command) throws IOException {
    List<String> all = new ArrayList<>(command(host));
    all.addAll(List.of(command));
    run(all.toArray(String[]::new));
  }

  private static void run(String... command) throws IOException {
    Process process = new ProcessBuilder(command).redirectErrorStream(true).start();
    String said = new String(process.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
    try {
      if (!process.waitFor(20, TimeUnit.SECONDS) || process.exitValue() != 0) {
        throw new IOException(String.join(" ", command) + ": " + said.strip());
      }
    } catch (InterruptedException e) {
      throw new IOException(e);
    }
  }

  /** The name of the yard's only adapter. */
  public String yardAdapter() {
    return yard;
  }

  public String deskAdapter() {
    return desk;
  }

  /** Starts a program on the host where Hamper runs. */
  public HostProcess onDesk(List<String> command) throws IOException {
    return on(desk, command);
  }

  /** Starts a program on the host that has the devices' addresses. */
  public HostProcess inYard(List<String> command) throws IOException {
    return on(yard, command);
  }

  /** What goes before a command so that it runs on the host where Hamper runs. */
  public List<String> deskCommand() {
    return command(desk);
  }

  /** What goes before a command so that it runs in the yard. */
  public List<String> yardCommand() {
    return command(yard);
  }

  private static List<String> command(String host) {
    return List.of("ip", "netns", "exec", host);
  }

  /** Pulls the yard's end of the cable, or plugs it in again. */
  public void cable(boolean plugged) throws IOException {
    in(yard, "ip", "link", "set", yard, plugged ? "up" : "down");
  }

  private static HostProcess on(String host, List<String> command) throws IOException {
    List<String> all = new ArrayList<>(command(host));
    all.addAll(command);
    return new HostProcess(new ProcessBuilder(all).redirectErrorStream(true).start());
  }

  @Override
  public void close() {
    for (String host : List.of(desk, yard)) {
      try {
        run("ip", "netns", "del", host);
      } catch (IOException e) {
        // it was not made
      }
    }
  }
}
