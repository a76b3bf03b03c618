package hamper.server.trial;

import static org.assertj.core.api.Assertions.assertThat;

import hamper.samples.Trial;
import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.springframework.util.FileSystemUtils;

/**
 * Somebody pulls the plug of the program, again and again, while two planners work and daily copies
 * are made: what was acknowledged is there, and every start succeeds.
 */
@Tag("trial")
class KillTest {
  /** Kills of one folder before a new one is begun, so that logs stay of an evening's length. */
  private static final int SERIES = 15;

  /** How long a planner thinks (ms). */
  private static final int THINKING = 25;

  /** One of so many starts is killed on its way. */
  private static final int KILLED_STARTS = 8;

  @TempDir Path folder;

  private final Random random = new Random(Trial.seed());
  private int kills;
  private int killedStarts;
  private int failedOpens;
  private int acknowledged;
  private int lost;

  @Test
  void whatWasAcknowledgedSurvivesKillsInQuickSuccession() throws Exception {
    trial(
        Trial.size(2, Integer.getInteger("hamper.trial.kills", 300)),
        1_000,
        Trial.size(3_000, 10_000),
        0);
  }

  /**
   * At production settings it is the length of a session that matters: nothing for a short form.
   */
  @Test
  @Tag("whole")
  void whatWasAcknowledgedSurvivesKillsAfterLongSessions() throws Exception {
    trial(Trial.size(1, 20), Trial.size(2_000, 61_000), Trial.size(3_000, 70_000), 45_000);
  }

  private void trial(int wanted, int shortest, int longest, int retention) throws Exception {
    for (int series = 0; kills < wanted; series++) {
      Path data = folder.resolve("series-" + series);
      series(data, Math.min(SERIES, wanted - kills), shortest, longest, retention);
    }
    Trial.say(
        "%d kills (and %d during start) with sessions of %d to %d ms at a retention time of %d ms: %,d edits acknowledged, %d lost, %d starts failed",
        kills, killedStarts, shortest, longest, retention, acknowledged, lost, failedOpens);
    assertThat(lost).as("acknowledged edits lost").isZero();
    assertThat(failedOpens).as("starts that failed").isZero();
  }

  private void series(Path data, int wanted, int shortest, int longest, int retention)
      throws Exception {
    List<Twin> twins = new ArrayList<>();
    for (int i = 0; i <= wanted; i++) {
      if (i > 0 && random.nextInt(KILLED_STARTS) == 0) {
        killWhileStarting(data, retention);
      }
      ServerProcess server = ServerProcess.start(data, retention, true, List.of());
      if (!server.ready()) {
        failedOpens++;
        Trial.say("a start failed:%n%s", server.said());
        return;
      }
      for (int n = twins.size(); n < 2; n++) {
        twins.add(Twin.begin(server, random.nextLong()));
      }
      int missing = 0;
      for (Twin twin : twins) {
        missing += twin.compare(server);
      }
      if (missing > 0) {
        Trial.say("kill %d: %d acknowledged edits are missing", kills, missing);
        lost += missing;
        server.kill();
        kills++;
        return;
      }
      if (i == wanted) {
        server.end();
      } else {
        // mostly short sessions, some long ones
        double length = random.nextDouble();
        workUntilKilled(server, twins, shortest + (int) ((longest - shortest) * length * length));
      }
    }
    acknowledged += twins.stream().mapToInt(Twin::acknowledged).sum();
    Trial.say("%d kills so far: %,d edits acknowledged, none lost", kills, acknowledged);
    FileSystemUtils.deleteRecursively(data);
  }

  private void workUntilKilled(ServerProcess server, List<Twin> twins, int millis)
      throws InterruptedException, ExecutionException {
    ExecutorService planners = Executors.newFixedThreadPool(twins.size());
    List<Future<?>> work = new ArrayList<>();
    for (Twin twin : twins) {
      work.add(planners.submit(() -> workOn(server, twin)));
    }
    Thread.sleep(millis);
    server.kill();
    kills++;
    for (Future<?> one : work) {
      one.get();
    }
    planners.shutdown();
  }

  private static void workOn(ServerProcess server, Twin twin) {
    try {
      while (true) {
        assertThat(twin.step(server)).as("no disk failed").isTrue();
        Thread.sleep(THINKING);
      }
    } catch (IOException | InterruptedException e) {
      // killed, as it is meant to be
    }
  }

  private void killWhileStarting(Path data, int retention) throws Exception {
    ServerProcess server = ServerProcess.start(data, retention, true, List.of());
    Thread.sleep(random.nextInt(4_000));
    server.kill();
    killedStarts++;
  }
}
