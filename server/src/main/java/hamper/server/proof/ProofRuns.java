package hamper.server.proof;

import hamper.facts.Facts;
import hamper.server.daemons.Daemons;
import hamper.server.store.TrialStore;
import jakarta.annotation.PreDestroy;
import java.io.IOException;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.function.Consumer;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;

/** Proofs on their way and the last of each display; one runs at a time. */
@Component
public final class ProofRuns {
  /**
   * A proof.
   *
   * @param version of the display that is proven
   * @param percent of its frames that were compared
   * @param failed why it could not be made
   */
  public record ProofRun(
      int version,
      boolean running,
      int percent,
      Optional<ProofReport> report,
      Optional<String> failed) {}

  private static final Logger LOG = LoggerFactory.getLogger(ProofRuns.class);

  private final TrialStore store;
  private final List<Consumer<String>> followers = new CopyOnWriteArrayList<>();
  private final ConcurrentHashMap<String, ProofRun> runs = new ConcurrentHashMap<>();
  private final ConcurrentHashMap<String, Future<?>> working = new ConcurrentHashMap<>();
  private final ExecutorService one = Executors.newSingleThreadExecutor(Daemons.named("proof"));

  ProofRuns(TrialStore store) {
    this.store = store;
  }

  /** Tells somebody of every check that is kept, by the id of the display. */
  public void follow(Consumer<String> follower) {
    followers.add(follower);
  }

  public Optional<ProofRun> of(String display) {
    return Optional.ofNullable(runs.get(display));
  }

  /** Begins one; where one is on its way it goes on, and answers itself. */
  public synchronized ProofRun start(String display, int version, Facts facts) {
    ProofRun now = runs.get(display);
    if (now != null && now.running()) {
      return now;
    }
    ProofRun begun = at(version, 0);
    runs.put(display, begun);
    working.put(display, one.submit(() -> prove(display, version, facts)));
    return begun;
  }

  private static ProofRun at(int version, int percent) {
    return new ProofRun(version, true, percent, Optional.empty(), Optional.empty());
  }

  private void prove(String display, int version, Facts facts) {
    ProofRun ended;
    try {
      ProofReport report = Proof.of(facts, percent -> runs.put(display, at(version, percent)));
      ended = new ProofRun(version, false, 100, Optional.of(report), Optional.empty());
      keep(display, version, report);
    } catch (InterruptedException e) {
      ended = failed(version, "It was stopped");
    } catch (IOException | RuntimeException e) {
      ended = failed(version, e.getMessage());
    }
    runs.put(display, ended);
    working.remove(display);
  }

  /** Beside the display; one that cannot be kept has been made all the same. */
  private void keep(String display, int version, ProofReport report) {
    int refused =
        (int) report.controllers().stream().filter(one -> !one.refused().isEmpty()).count();
    try {
      store.checked(
          display,
          new TrialStore.PlanCheck(
              Instant.now(),
              version,
              report.controllers().size(),
              refused,
              report.pixels(),
              report.wrong()));
      followers.forEach(one -> one.accept(display));
    } catch (RuntimeException e) {
      LOG.warn("The check of {} was not kept", display, e);
    }
  }

  private static ProofRun failed(int version, String why) {
    return new ProofRun(version, false, 0, Optional.empty(), Optional.of(String.valueOf(why)));
  }

  /** Stops the one on its way, if there is one. */
  public void stop(String display) {
    Future<?> work = working.remove(display);
    ProofRun run = runs.get(display);
    if (work != null && work.cancel(true) && run != null && run.running()) {
      runs.put(display, failed(run.version(), "It was stopped"));
    }
  }

  @PreDestroy
  void end() {
    one.shutdownNow();
  }
}
