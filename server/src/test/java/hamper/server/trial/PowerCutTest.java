package hamper.server.trial;

import static org.assertj.core.api.Assertions.assertThat;

import hamper.display.Display;
import hamper.display.Plan;
import hamper.edit.Edit;
import hamper.files.CatalogueFiles;
import hamper.samples.RandomEdits;
import hamper.server.live.DemoDisplay;
import hamper.server.store.DisplayStore;
import hamper.server.store.Engine;
import hamper.server.store.EngineSetting;
import hamper.server.store.LogEntry;
import hamper.server.trial.RecordedFiles.Acknowledged;
import hamper.server.trial.RecordedFiles.Event;
import hamper.server.trial.RecordedFiles.Forced;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.springframework.util.FileSystemUtils;

/**
 * The power goes. Whatever the engine had not forced onto the disk is there, is not there, or is
 * there in part; what was acknowledged is there.
 */
@Tag("trial")
class PowerCutTest {
  /** How long edits are made (ms): in the long form until freed space has long been used again. */
  private static final int SESSION = Trial.size(4_000, 100_000);

  private static final int CUTS = Trial.size(60, 1_000);

  /** How long a planner thinks (ms). */
  private static final int THINKING = 30;

  @TempDir Path folder;

  private final Random random = new Random(Trial.seed());

  /** The display at each version. */
  private final Map<Integer, Display> versions = new HashMap<>();

  @Test
  void whatWasAcknowledgedSurvivesCutsOfPower() throws Exception {
    RecordedFiles.record();
    work();
    List<Event> events = RecordedFiles.events();
    List<Integer> cuts = random.ints(CUTS, 0, events.size()).sorted().boxed().toList();
    Disk forced = new Disk(RecordedFiles.begin());
    List<Event> unforced = new ArrayList<>();
    int acknowledged = 0;
    int tested = 0;
    for (int i = 0; i < events.size(); i++) {
      Event event = events.get(i);
      if (event instanceof Acknowledged told) {
        acknowledged = told.version();
      } else if (event instanceof Forced) {
        unforced.forEach(forced::take);
        unforced.clear();
      } else {
        unforced.add(event);
      }
      while (tested < cuts.size() && cuts.get(tested) == i) {
        if (acknowledged > 0) {
          cutPower(forced, unforced, acknowledged);
        }
        tested++;
      }
    }
    Trial.say(
        "%d cuts of power within %,d edits, %,d writes to the file: nothing acknowledged is missing",
        tested, versions.size(), events.stream().filter(e -> !(e instanceof Acknowledged)).count());
  }

  private void work() throws InterruptedException {
    EngineSetting recorded =
        new EngineSetting(
            EngineSetting.PRODUCTION.scheme() + ":" + RecordedFiles.SCHEME,
            EngineSetting.PRODUCTION.retentionMillis());
    try (Engine engine = Engine.open(folder.resolve("worked"), recorded)) {
      DisplayStore store = new DisplayStore(engine);
      Plan plan = new Plan(DemoDisplay.read(CatalogueFiles.shipped()), CatalogueFiles.shipped());
      RandomEdits edits = new RandomEdits(Trial.seed());
      store.add("demo", plan.display());
      int version = 1;
      versions.put(version, plan.display());
      RecordedFiles.acknowledge(version);
      long end = System.currentTimeMillis() + SESSION;
      while (System.currentTimeMillis() < end) {
        Edit edit = edits.next(plan);
        Edit.Applied applied = edit.applyTo(plan);
        version++;
        versions.put(version, applied.plan().display());
        LogEntry entry =
            new LogEntry(version, LogEntry.Kind.EDIT, edit.label(plan), edit, applied.inverse());
        store.save("demo", plan.display(), applied.plan().display(), entry);
        RecordedFiles.acknowledge(version);
        plan = applied.plan();
        Thread.sleep(THINKING);
      }
    }
  }

  private void cutPower(Disk forced, List<Event> unforced, int acknowledged) throws IOException {
    Disk disk = forced.copy();
    unforced.forEach(event -> disk.takePerhaps(event, random));
    Path data = Files.createDirectories(folder.resolve("cut"));
    Files.write(data.resolve("hamper.mv.db"), disk.content());
    try (Engine engine = Engine.open(data)) {
      DisplayStore store = new DisplayStore(engine);
      DisplayStore.Stored stored = store.read("demo");
      assertThat(stored.version()).as("version after a cut").isGreaterThanOrEqualTo(acknowledged);
      assertThat(stored.display()).isEqualTo(versions.get(stored.version()));
      assertThat(store.log("demo")).hasSize(stored.version() - 1);
    }
    FileSystemUtils.deleteRecursively(data);
  }
}
