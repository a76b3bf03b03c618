package hamper.server.handover;

import hamper.check.Checks;
import hamper.check.Finding;
import hamper.check.Severity;
import hamper.facts.Facts;
import hamper.server.daemons.Daemons;
import hamper.server.output.Giving;
import hamper.server.output.Ground;
import hamper.standin.Place;
import jakarta.annotation.PreDestroy;
import java.io.IOException;
import java.time.InstantSource;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import org.springframework.stereotype.Component;

/**
 * Givings on their way, and the last of each display; one a display at a time. Devices are begun in
 * list order, several at once, so that a slow one holds up none.
 */
@Component
public class GivingRuns {
  private static final int AT_ONCE = 16;

  private final Ground ground;
  private final Seasons seasons;
  private final InstantSource clock = InstantSource.system();
  private final Map<String, Work> works = new ConcurrentHashMap<>();
  private final ExecutorService visits =
      Executors.newFixedThreadPool(AT_ONCE, Daemons.named("giving"));
  private final ExecutorService runs = Executors.newCachedThreadPool(Daemons.named("giving"));

  public GivingRuns(Ground ground, Seasons seasons) {
    this.ground = ground;
    this.seasons = seasons;
  }

  /** The one on its way, or the last. */
  public Optional<GivingRun> of(String display) {
    return Optional.ofNullable(works.get(display)).map(Work::run);
  }

  /** Begins one; where one is on its way it goes on, and answers itself. */
  public synchronized GivingRun start(
      String display, int version, Facts facts, GivingRequest request) {
    Work now = works.get(display);
    if (now != null && now.run().running()) {
      return now.run();
    }
    Work work = new Work(display, version, facts, request);
    works.put(display, work);
    runs.execute(work::all);
    return work.run();
  }

  /** Begins no device more of the one on its way; those begun are ended. */
  public void stop(String display) {
    Work work = works.get(display);
    if (work != null) {
      work.stopped = true;
    }
  }

  @PreDestroy
  void end() {
    works.values().forEach(work -> work.stopped = true);
    runs.shutdownNow();
    visits.shutdownNow();
  }

  /** One giving. */
  private final class Work {
    private final String display;
    private final int version;
    private final Facts facts;
    private final GivingRequest request;
    private final Map<String, String> faults = new HashMap<>();
    private final List<GivingStep> steps = new ArrayList<>();
    private volatile boolean stopped;
    private volatile boolean running = true;
    private volatile String failed;

    Work(String display, int version, Facts facts, GivingRequest request) {
      this.display = display;
      this.version = version;
      this.facts = facts;
      this.request = request;
      facts.plan().display().controllers().stream()
          .filter(one -> request.controllers().contains(one.id()))
          .forEach(
              one ->
                  steps.add(new GivingStep(one.id(), one.tag(), GivingStep.Progress.WAITING, "")));
    }

    synchronized GivingRun run() {
      return new GivingRun(
          version, request.readBack(), running, steps, Optional.ofNullable(failed));
    }

    private void set(int index, GivingStep.Progress progress, String why) {
      synchronized (this) {
        steps.set(index, steps.get(index).now(progress, why));
      }
      seasons.tell(display);
    }

    void all() {
      try {
        if (!request.readBack()) {
          lookForFaults();
        }
        Ground.Doors doors = doors();
        Map<String, Giving.Gift> gifts = Giving.all(facts);
        List<Future<?>> visiting = new ArrayList<>();
        for (int i = 0; i < steps.size(); i++) {
          int index = i;
          visiting.add(visits.submit(() -> one(index, doors, gifts)));
        }
        for (Future<?> one : visiting) {
          one.get();
        }
      } catch (InterruptedException e) {
        failed = "it was stopped";
      } catch (IOException | RuntimeException | ExecutionException e) {
        failed = String.valueOf(e.getMessage());
      }
      running = false;
      seasons.tell(display);
    }

    private Ground.Doors doors() throws IOException, InterruptedException {
      Ground.Doors planned = ground.doors(display, facts);
      if (request.at().isEmpty() || steps.size() != 1) {
        return planned;
      }
      Map<String, Place> at = Map.of(steps.get(0).controller(), ground.doorAt(request.at().get()));
      return new Ground.Doors(at, Map.of());
    }

    /** The first fault of each controller, in words. */
    private void lookForFaults() {
      for (Finding finding : Checks.all(facts)) {
        if (finding.severity() == Severity.FAULT) {
          finding.subjects().stream()
              .flatMap(subject -> subject.controller().stream())
              .forEach(id -> faults.putIfAbsent(id, finding.message()));
        }
      }
    }

    private void one(int index, Ground.Doors doors, Map<String, Giving.Gift> gifts) {
      GivingStep step = steps.get(index);
      String id = step.controller();
      if (stopped) {
        set(index, GivingStep.Progress.STOPPED, "");
        return;
      }
      if (!request.back() && faults.containsKey(id) && !request.faultsSeen().contains(id)) {
        set(index, GivingStep.Progress.HAS_FAULTS, faults.get(id));
        return;
      }
      if (!doors.at().containsKey(id) || !gifts.containsKey(id)) {
        set(
            index,
            GivingStep.Progress.AWAY,
            doors.away().getOrDefault(id, "nothing is sent to it over the network"));
        return;
      }
      set(index, GivingStep.Progress.WORKING, "");
      try {
        GivingVisit visit = new GivingVisit(seasons, display, version, facts, request, clock);
        GivingVisit.Ended ended =
            request.back()
                ? visit.back(id, doors.at().get(id))
                : visit.of(id, doors.at().get(id), gifts.get(id));
        set(index, ended.progress(), ended.why());
      } catch (InterruptedException e) {
        set(index, GivingStep.Progress.FAILED, "it was interrupted");
      } catch (RuntimeException e) {
        set(index, GivingStep.Progress.FAILED, String.valueOf(e.getMessage()));
      }
    }
  }
}
