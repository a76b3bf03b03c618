package hamper.server.network;

import hamper.display.Controller;
import hamper.facts.Facts;
import hamper.server.daemons.Daemons;
import hamper.server.output.Asking;
import hamper.server.output.Ground;
import hamper.standin.Place;
import hamper.who.Answer;
import hamper.who.Present;
import hamper.who.Questions;
import hamper.who.Roster;
import jakarta.annotation.PreDestroy;
import java.io.IOException;
import java.time.Instant;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import org.springframework.stereotype.Component;

/** Who was there when it was last asked, by display; it is asked for one display at a time. */
@Component
public final class WhoRuns {
  /**
   * Who answered.
   *
   * @param at when it was asked
   * @param version of the display that they are held beside
   * @param percent of the time that is waited for answers
   * @param live whether the yard was asked, and not stand-ins
   * @param present while it is running those who have answered already; who has not may still
   * @param failed why nobody could be asked
   */
  public record WhoRun(
      Instant at,
      int version,
      boolean running,
      int percent,
      boolean live,
      List<Present> present,
      Optional<String> failed) {
    public WhoRun {
      present = List.copyOf(present);
    }
  }

  private final Ground ground;
  private final Map<String, WhoRun> runs = new ConcurrentHashMap<>();
  private final Map<String, List<Answer>> answers = new ConcurrentHashMap<>();
  private final Map<String, Set<String>> asked = new ConcurrentHashMap<>();
  private final Map<String, Future<?>> working = new ConcurrentHashMap<>();
  private final ExecutorService one =
      Executors.newSingleThreadExecutor(Daemons.named("who is there"));

  WhoRuns(Ground ground) {
    this.ground = ground;
  }

  /** The last one, beside the plan as it is now. */
  public Optional<WhoRun> of(
      String display, int version, Facts facts, Map<String, String> serials) {
    WhoRun run = runs.get(display);
    if (run == null || run.failed().isPresent()) {
      return Optional.ofNullable(run);
    }
    List<Present> present =
        Roster.of(
            facts.plan(),
            answers.getOrDefault(display, List.of()),
            serials,
            run.running() ? Set.of() : asked.getOrDefault(display, Set.of()));
    List<Present> known =
        run.running() ? present.stream().filter(each -> !each.ways().isEmpty()).toList() : present;
    return Optional.of(
        new WhoRun(
            run.at(), version, run.running(), run.percent(), run.live(), known, Optional.empty()));
  }

  /** Begins to ask; where it is being asked already, that goes on. */
  public synchronized void start(String display, int version, Facts facts) {
    WhoRun now = runs.get(display);
    if (now != null && now.running()) {
      return;
    }
    Instant at = Instant.now();
    answers.put(display, List.of());
    runs.put(display, run(at, version, true, 0, Optional.empty()));
    working.put(display, one.submit(() -> ask(display, at, version, facts)));
  }

  private WhoRun run(
      Instant at, int version, boolean running, int percent, Optional<String> failed) {
    return new WhoRun(at, version, running, percent, ground.live(), List.of(), failed);
  }

  private void ask(String display, Instant at, int version, Facts facts) {
    Optional<String> failed = Optional.empty();
    try {
      Asking asking = ground.asking(display, facts);
      asked.put(display, asked(asking, facts));
      List<Answer> all =
          new RollCall(
                  asking,
                  facts,
                  (known, percent) -> {
                    answers.put(display, known);
                    runs.put(display, run(at, version, true, percent, Optional.empty()));
                  })
              .call();
      answers.put(display, all);
    } catch (InterruptedException e) {
      failed = Optional.of("it was stopped");
    } catch (IOException | RuntimeException e) {
      failed = Optional.of(String.valueOf(e.getMessage()));
    }
    runs.put(display, run(at, version, false, 100, failed));
    working.remove(display);
  }

  /** Controllers that would have answered. */
  private static Set<String> asked(Asking asking, Facts facts) {
    Set<String> addresses = new HashSet<>();
    Set<String> all = new HashSet<>();
    for (Asking.From from : asking.from()) {
      for (Place place : from.doors()) {
        asking.seat(place).ifPresent(all::add);
        addresses.add(place.address());
      }
    }
    if (asking.live()) {
      for (Controller one : facts.plan().display().controllers()) {
        boolean answers = !Questions.of(facts.plan().modelOf(one)).isEmpty();
        if (answers && one.address().filter(at -> addresses.contains(at.text())).isPresent()) {
          all.add(one.id());
        }
      }
    }
    return all;
  }

  public void stop(String display) {
    Future<?> work = working.remove(display);
    if (work != null) {
      work.cancel(true);
    }
  }

  @PreDestroy
  void end() {
    one.shutdownNow();
  }
}
