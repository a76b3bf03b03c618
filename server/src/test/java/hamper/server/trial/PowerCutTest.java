package hamper.server.trial;

import static org.assertj.core.api.Assertions.assertThat;

import hamper.display.Display;
import hamper.display.Plan;
import hamper.edit.Edit;
import hamper.files.CatalogueFiles;
import hamper.samples.RandomEdits;
import hamper.samples.Trial;
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
import java.util.Locale;
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
  @TempDir Path folder;

  private final Random random = new Random(Trial.seed());

  /** The display at each version. */
  private final Map<Integer, Display> versions = new HashMap<>();

  /** In the long form freed space has long been used again when the power goes. */
  @Test
  void whatWasAcknowledgedSurvivesCutsOfPower() throws Exception {
    trial(
        How.CUTS_OF_POWER,
        EngineSetting.PRODUCTION.retentionMillis(),
        Trial.size(2_000, 100_000),
        30,
        Trial.size(30, 1_000));
  }

  /**
   * A kill leaves what was written, in order, and the last of it in part. What a commit freed, the
   * next one may use here: the shortest way to a moment at which something would be lost.
   */
  @Test
  void whatWasAcknowledgedSurvivesKillsAtAnyMoment() throws Exception {
    trial(How.KILLS, 0, Trial.size(1_000, 20_000), 0, Trial.size(20, 1_000));
  }

  private enum How {
    CUTS_OF_POWER,
    KILLS;

    @Override
    public String toString() {
      return name().toLowerCase(Locale.ROOT).replace('_', ' ');
    }

    Disk disk(Disk forced, List<Event> unforced, Random random) {
      Disk disk = forced.copy();
      for (int i = 0; i < unforced.size(); i++) {
        if (this == CUTS_OF_POWER) {
          disk.takePerhaps(unforced.get(i), random);
        } else if (i < unforced.size() - 1) {
          disk.take(unforced.get(i));
        } else {
          disk.takeBeginning(unforced.get(i), random);
        }
      }
      return disk;
    }
  }

  /**
   * @param session how long edits are made (ms)
   * @param thinking how long a planner thinks (ms)
   */
  private void trial(How how, int retention, int session, int thinking, int times)
      throws Exception {
    RecordedFiles.record();
    work(retention, session, thinking);
    List<Event> events = RecordedFiles.events();
    List<Integer> cuts = random.ints(times, 0, events.size()).sorted().boxed().toList();
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
          look(how.disk(forced, unforced, random), retention, acknowledged);
        }
        tested++;
      }
    }
    Trial.say(
        "%d %s within %,d edits at a retention time of %,d ms, %,d writes to the file: nothing acknowledged is missing",
        tested,
        how,
        versions.size(),
        retention,
        events.stream().filter(e -> !(e instanceof Acknowledged)).count());
  }

  private void work(int retention, int session, int thinking) throws InterruptedException {
    EngineSetting recorded =
        new EngineSetting(
            EngineSetting.PRODUCTION.scheme() + ":" + RecordedFiles.SCHEME, retention);
    try (Engine engine = Engine.open(folder.resolve("worked"), recorded)) {
      DisplayStore store = new DisplayStore(engine);
      Plan plan = new Plan(DemoDisplay.read(CatalogueFiles.shipped()), CatalogueFiles.shipped());
      RandomEdits edits = new RandomEdits(Trial.seed());
      store.add("demo", plan.display());
      int version = 1;
      versions.put(version, plan.display());
      RecordedFiles.acknowledge(version);
      long end = System.currentTimeMillis() + session;
      while (System.currentTimeMillis() < end) {
        Edit edit = edits.next(plan);
        Edit.Applied applied = edit.applyTo(plan);
        version++;
        versions.put(version, applied.plan().display());
        LogEntry entry =
            new LogEntry(
                version, "", LogEntry.Kind.EDIT, edit.label(plan), edit, applied.inverse());
        store.save("demo", plan.display(), applied.plan().display(), entry);
        RecordedFiles.acknowledge(version);
        plan = applied.plan();
        Thread.sleep(thinking);
      }
    }
  }

  private void look(Disk disk, int retention, int acknowledged) throws IOException {
    Path data = Files.createDirectories(folder.resolve("cut"));
    Files.write(data.resolve("hamper.mv.db"), disk.content());
    Files.createFile(data.resolve("hamper.ordered"));
    int version = looked(data, retention, acknowledged);
    // what was found is there the next time too
    assertThat(looked(data, retention, acknowledged)).isEqualTo(version);
    FileSystemUtils.deleteRecursively(data);
  }

  private int looked(Path data, int retention, int acknowledged) {
    EngineSetting setting = new EngineSetting(EngineSetting.PRODUCTION.scheme(), retention);
    try (Engine engine = Engine.open(data, setting)) {
      DisplayStore store = new DisplayStore(engine);
      DisplayStore.Stored stored = store.read("demo");
      assertThat(stored.version()).as("version after a cut").isGreaterThanOrEqualTo(acknowledged);
      assertThat(stored.display()).isEqualTo(versions.get(stored.version()));
      assertThat(store.log("demo")).hasSize(stored.version() - 1);
      return stored.version();
    }
  }
}
