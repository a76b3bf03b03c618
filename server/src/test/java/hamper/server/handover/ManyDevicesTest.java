package hamper.server.handover;

import static org.assertj.core.api.Assertions.assertThat;

import hamper.display.Plan;
import hamper.facts.Facts;
import hamper.files.CatalogueFiles;
import hamper.samples.LargeDisplays;
import hamper.server.handover.GivingStep.Progress;
import hamper.server.live.Displays;
import hamper.server.output.Door;
import hamper.server.output.Seats;
import hamper.server.output.StandInGround;
import hamper.server.store.DisplayStore;
import hamper.server.store.Engine;
import hamper.server.store.HandoverStore;
import hamper.server.store.MilestoneStore;
import hamper.standin.Place;
import hamper.standin.StandIns;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.time.Duration;
import java.util.HashSet;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** A hundred devices are given at once, and a sluggish one holds up none of the others. */
class ManyDevicesTest {
  private static final int DEVICES = 100;

  @TempDir Path folder;

  @Test
  void aHundredAreGivenAndASluggishOneHoldsUpNone() throws Exception {
    Plan plan = LargeDisplays.of(CatalogueFiles.shipped(), DEVICES, 4_000, 20, 3);
    Facts facts = Facts.of(plan);
    try (Engine engine = Engine.open(folder);
        StandIns standIns = StandIns.start(Seats.of(facts), System::currentTimeMillis)) {
      Map<String, Place> places = standIns.places();
      String id =
          new Displays(new DisplayStore(engine), CatalogueFiles.shipped()).add(plan.display()).id();
      Seasons seasons =
          new Seasons(
              new HandoverStore(engine),
              new MilestoneStore(engine, CatalogueFiles.shipped()),
              CatalogueFiles.shipped());
      GivingRuns runs =
          new GivingRuns(
              new StandInGround((display, seats) -> places, (display, one) -> true), seasons);
      String sluggish = places.keySet().iterator().next();
      new Door()
          .put(
              places.get(sluggish),
              "misbehaviour",
              "{\"slow\":true}".getBytes(StandardCharsets.UTF_8));
      Set<String> all = new HashSet<>(places.keySet());
      long begin = System.nanoTime();
      runs.start(
          id,
          1,
          facts,
          new GivingRequest(all, all, Set.of(), false, false, Optional.empty(), "Ada"));
      Set<String> doneBefore = new HashSet<>();
      GivingRun run = runs.of(id).orElseThrow();
      while (run.running() && System.nanoTime() - begin < Duration.ofSeconds(60).toNanos()) {
        Thread.sleep(20);
        run = runs.of(id).orElseThrow();
        if (progress(run, sluggish) == Progress.WORKING) {
          run.steps().stream()
              .filter(step -> step.progress() == Progress.GIVEN)
              .forEach(step -> doneBefore.add(step.controller()));
        }
      }
      double seconds = (System.nanoTime() - begin) / 1e9;
      System.out.printf(
          "%d devices given in %.1f s; %d of them while the sluggish one was still being given%n",
          places.size(), seconds, doneBefore.size());
      assertThat(run.steps()).allMatch(step -> step.progress() == Progress.GIVEN);
      assertThat(places).hasSize(DEVICES);
      assertThat(doneBefore).as("others are not held up").hasSizeGreaterThan(20);
      runs.end();
    }
  }

  private static Progress progress(GivingRun run, String controller) {
    return run.steps().stream()
        .filter(step -> step.controller().equals(controller))
        .map(GivingStep::progress)
        .findFirst()
        .orElseThrow();
  }
}
