package hamper.server.trial;

import hamper.server.Server;
import hamper.server.live.Displays;
import hamper.server.store.CopyRounds;
import hamper.server.store.DailyCopies;
import hamper.server.store.Engine;
import hamper.server.store.EngineSetting;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.util.concurrent.atomic.AtomicLong;

/**
 * The real server with another retention time; arguments are its data folder, that time in
 * milliseconds, and whether its days last a second, so that copies are made all the time.
 */
final class TrialServer {
  private static final Duration DAY = Duration.ofMillis(900);

  private TrialServer() {}

  public static void main(String[] args) {
    EngineSetting setting = new EngineSetting("ordered", Integer.parseInt(args[1]));
    Engine engine = Engine.open(Path.of(args[0]), setting);
    var context = Server.start(0, engine);
    context.getBean(Displays.class).openAll();
    if (Boolean.parseBoolean(args[2])) {
      new CopyRounds(engine, new DailyCopies(engine, new QuickDays())).begin(DAY);
    }
    System.out.println(
        "ready: http://localhost:" + context.getEnvironment().getProperty("local.server.port"));
  }

  /** Each look at it is a day later. */
  private static final class QuickDays extends Clock {
    private final AtomicLong days = new AtomicLong(System.currentTimeMillis() / 1000 % 100_000);

    @Override
    public ZoneId getZone() {
      return ZoneOffset.UTC;
    }

    @Override
    public Clock withZone(ZoneId zone) {
      return this;
    }

    @Override
    public Instant instant() {
      return Instant.EPOCH.plus(Duration.ofDays(days.incrementAndGet()));
    }
  }
}
