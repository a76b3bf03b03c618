package hamper.server.crew;

import hamper.server.daemons.Daemons;
import hamper.server.output.MachineAdapter;
import hamper.server.safety.Gates;
import hamper.value.RefusedException;
import hamper.value.Require;
import jakarta.annotation.PreDestroy;
import java.io.IOException;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.net.ServerSocket;
import java.security.GeneralSecurityException;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.ScheduledFuture;
import java.util.concurrent.TimeUnit;
import org.apache.catalina.LifecycleException;
import org.apache.catalina.connector.Connector;
import org.apache.coyote.http11.AbstractHttp11Protocol;
import org.apache.tomcat.util.net.SSLHostConfig;
import org.apache.tomcat.util.net.SSLHostConfigCertificate;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.tomcat.TomcatWebServer;
import org.springframework.boot.web.server.servlet.context.ServletWebServerApplicationContext;
import org.springframework.stereotype.Component;

/**
 * The door for the crew's phones: another listening address, closed until somebody opens it for a
 * time. It has a connector of its own, whose port tells who comes by it.
 */
@Component
public final class CrewDoor {
  private static final Logger LOG = LoggerFactory.getLogger(CrewDoor.class);

  /** Where the certificate lies that phones are to trust. */
  static final String AUTHORITY = "/authority.crt";

  /** Longest time that the door stays open (h): a week. */
  private static final int MOST_HOURS = 7 * 24;

  private static final int LEAST_PORT = 1024;
  private static final int MOST_PORT = 65_535;
  private static final int MOST_THREADS = 24;
  private static final int MOST_CONNECTIONS = 300;
  private static final int MOST_SWALLOWED = 64 * 1024 * 1024;
  private static final int PATIENCE_MILLIS = 20_000;

  private final ServletWebServerApplicationContext context;
  private final Gates gates;
  private final CrewKeys keys;
  private final Guesses guesses;
  private final Authority authority;
  private final List<Runnable> followers = new CopyOnWriteArrayList<>();
  private final ScheduledExecutorService timer =
      Executors.newSingleThreadScheduledExecutor(Daemons.named("crew door"));
  private Connector connector;
  private Open open;
  private ScheduledFuture<?> end;

  CrewDoor(
      ServletWebServerApplicationContext context,
      Gates gates,
      CrewKeys keys,
      Guesses guesses,
      Authority authority) {
    this.context = context;
    this.gates = gates;
    this.keys = keys;
    this.guesses = guesses;
    this.authority = authority;
  }

  /**
   * How the door is to be opened.
   *
   * @param address of this machine
   * @param port 1024..65535, or 0 for any that is free
   * @param secure HTTPS, with Hamper's own authority; else plain HTTP
   * @param hours after which it closes by itself, 1..168
   */
  public record Opening(String address, int port, boolean secure, int hours) {
    public Opening {
      Require.that(
          port == 0 || port >= LEAST_PORT && port <= MOST_PORT,
          "port",
          port,
          "%d to %d, or 0 for any that is free".formatted(LEAST_PORT, MOST_PORT));
      Require.inRange("hours", hours, 1, MOST_HOURS);
    }
  }

  /**
   * An open door.
   *
   * @param origin where its pages are, such as "http://192.168.1.20:8090"
   * @param fingerprint of the authority, SHA-256, where it is secure
   */
  public record Open(
      String address,
      int port,
      boolean secure,
      String origin,
      Instant until,
      Optional<String> fingerprint) {}

  /** Something needs it open. */
  public static final class ClosedException extends RuntimeException {
    private static final long serialVersionUID = 1L;

    ClosedException() {
      super("The crew door is closed; open it first, for a link says where it is");
    }
  }

  /**
   * @throws ClosedException where it is closed
   */
  public Open existing() {
    return state().orElseThrow(ClosedException::new);
  }

  public synchronized Optional<Open> state() {
    return Optional.ofNullable(open);
  }

  /** The certificate that phones are to trust, as DER. */
  public byte[] authority() throws IOException {
    try {
      return authority.certificate();
    } catch (GeneralSecurityException e) {
      throw new IOException(e);
    }
  }

  /**
   * Opens it, in place of one that is open.
   *
   * @throws RefusedException where this machine has no such address, or the port is taken
   */
  public synchronized Open open(Opening wanted) throws IOException {
    InetAddress address = own(wanted);
    close();
    Require.that(
        wanted.port() != gates.ownPort(),
        "port",
        wanted.port(),
        "another than Hamper itself listens on, for the port tells who comes by it");
    probe(address, wanted.port());
    try {
      begin(wanted, address);
    } catch (GeneralSecurityException e) {
      throw new IOException(e);
    }
    LOG.info("The crew door is open at {} until {}", open.origin(), open.until());
    return open;
  }

  private static InetAddress own(Opening wanted) throws IOException {
    List<MachineAdapter> adapters =
        MachineAdapter.all().stream().filter(MachineAdapter::up).toList();
    Require.that(
        adapters.stream().anyMatch(one -> one.address().text().equals(wanted.address())),
        "address",
        Require.quoted(wanted.address()),
        "one of this computer: "
            + String.join(", ", adapters.stream().map(one -> one.address().text()).toList()));
    InetAddress address = InetAddress.getByName(wanted.address());
    Require.that(
        !wanted.secure() || Authority.mayVouchFor(address),
        "address",
        Require.quoted(wanted.address()),
        "for HTTPS one of a private network: Hamper's authority speaks for no other");
    return address;
  }

  private static void probe(InetAddress address, int port) throws IOException {
    try (ServerSocket probe = new ServerSocket()) {
      probe.setReuseAddress(true);
      probe.bind(new InetSocketAddress(address, port));
    } catch (IOException e) {
      throw new RefusedException(
          "port",
          "%d".formatted(port),
          "one that is free at " + address.getHostAddress() + "; choose another");
    }
  }

  private void begin(Opening wanted, InetAddress address)
      throws IOException, GeneralSecurityException {
    Connector made = new Connector("org.apache.coyote.http11.Http11NioProtocol");
    made.setPort(wanted.port());
    made.setXpoweredBy(false);
    AbstractHttp11Protocol<?> protocol = (AbstractHttp11Protocol<?>) made.getProtocolHandler();
    protocol.setAddress(address);
    protocol.setMaxThreads(MOST_THREADS);
    protocol.setMaxConnections(MOST_CONNECTIONS);
    protocol.setConnectionTimeout(PATIENCE_MILLIS);
    // so that whoever sends too much reads why
    protocol.setMaxSwallowSize(MOST_SWALLOWED);
    protocol.setCompression("on");
    protocol.setCompressibleMimeType(
        "application/json,text/html,text/css,text/javascript,image/svg+xml");
    Optional<byte[]> certificate = Optional.empty();
    if (wanted.secure()) {
      made.setScheme("https");
      made.setSecure(true);
      protocol.setSSLEnabled(true);
      made.addSslHostConfig(believed(wanted.address()));
      certificate = Optional.of(authority.certificate());
    }
    try {
      tomcat().getTomcat().getService().addConnector(made);
    } catch (IllegalArgumentException e) {
      throw new IOException("The door did not open: " + e.getMessage(), e);
    }
    connector = made;
    int port = made.getLocalPort();
    String host = wanted.address() + ":" + port;
    open =
        new Open(
            wanted.address(),
            port,
            wanted.secure(),
            (wanted.secure() ? "https://" : "http://") + host,
            Instant.now().plus(Duration.ofHours(wanted.hours())),
            certificate.isPresent()
                ? Optional.of(Authority.fingerprint(certificate.get()))
                : Optional.empty());
    gates.open(port, new CrewGate(host, keys, guesses, certificate));
    end = timer.schedule(this::close, wanted.hours(), TimeUnit.HOURS);
    followers.forEach(Runnable::run);
  }

  private SSLHostConfig believed(String address) throws IOException, GeneralSecurityException {
    SSLHostConfig config = new SSLHostConfig();
    config.setProtocols("TLSv1.2+TLSv1.3");
    SSLHostConfigCertificate certificate =
        new SSLHostConfigCertificate(config, SSLHostConfigCertificate.Type.EC);
    certificate.setCertificateKeystore(authority.forDoor(address));
    certificate.setCertificateKeystorePassword(Authority.word());
    config.addCertificate(certificate);
    return config;
  }

  private TomcatWebServer tomcat() {
    return (TomcatWebServer) context.getWebServer();
  }

  /** Closes it: nobody is listened to any more, and whoever is inside is out. */
  public synchronized void close() {
    if (open == null) {
      return;
    }
    gates.close(open.port());
    end.cancel(false);
    open = null;
    followers.forEach(Runnable::run);
    try {
      tomcat().getTomcat().getService().removeConnector(connector);
      connector.stop();
      connector.destroy();
    } catch (LifecycleException e) {
      LOG.debug("It was closed already", e);
    }
    connector = null;
    LOG.info("The crew door is closed");
  }

  /** Tells somebody that it was opened or closed. */
  public void follow(Runnable follower) {
    followers.add(follower);
  }

  @PreDestroy
  synchronized void end() {
    timer.shutdownNow();
  }
}
