package hamper.server.store;

import hamper.server.daemons.Daemons;
import java.time.Duration;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/** Looks from time to time whether the day's copy is due. Trouble with it is told, and waits. */
public final class CopyRounds implements AutoCloseable {
  private static final Logger LOG = LoggerFactory.getLogger(CopyRounds.class);

  private final DailyCopies copies;
  private final Engine engine;
  private final ScheduledExecutorService rounds =
      Executors.newSingleThreadScheduledExecutor(Daemons.named("daily-copy"));

  public CopyRounds(Engine engine, DailyCopies copies) {
    this.engine = engine;
    this.copies = copies;
  }

  /** Begins; the first round is a period from now. */
  public void begin(Duration period) {
    rounds.scheduleWithFixedDelay(
        this::round, period.toMillis(), period.toMillis(), TimeUnit.MILLISECONDS);
  }

  private void round() {
    try {
      if (copies.takeIfDue()) {
        engine.pack();
      }
    } catch (RuntimeException e) {
      LOG.warn("The daily copy was not made: {}", e.getMessage());
    }
  }

  @Override
  public void close() {
    rounds.shutdown();
  }
}
