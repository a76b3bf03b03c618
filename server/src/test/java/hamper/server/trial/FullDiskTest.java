package hamper.server.trial;

import static org.assertj.core.api.Assertions.assertThat;

import hamper.files.Json;
import hamper.samples.Trial;
import hamper.server.store.DisplayStore;
import hamper.server.store.Engine;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** The disk is full, and then there is space again: work goes on without a restart. */
@Tag("trial")
class FullDiskTest {
  private static final int MEGABYTES = 64;
  private static final int TIMES = Trial.size(1, 20);

  @TempDir Path folder;
  private ServerProcess server;

  @AfterEach
  void stop() throws InterruptedException {
    server.kill();
  }

  @Test
  void workGoesOnWhenThereIsSpaceAgain() throws Exception {
    server = ServerProcess.start(folder, 45_000, true, SmallDisk.at(folder, MEGABYTES, "true"));
    assertThat(server.ready()).as(server.said()).isTrue();
    Path disk = SmallDisk.seenBy(server.pid(), folder);
    Twin twin = Twin.begin(server, Trial.seed());
    int refused = 0;
    for (int i = 0; i < TIMES; i++) {
      work(server, twin, 10);
      SmallDisk.fill(disk);
      refused += workUntilRefused(server, twin);
      // everything can be looked at meanwhile
      assertThat(server.get("/api/displays").statusCode()).isEqualTo(200);
      assertThat(server.get(twin.path()).statusCode()).isEqualTo(200);
      // what a copy took that could not be written is free again
      SmallDisk.fill(disk);
      refused += workUntilRefused(server, twin);
      SmallDisk.empty(disk);
      assertThat(twin.compare(server)).as("acknowledged edits lost").isZero();
      assertThat(twin.step(server)).as("the next edit").isTrue();
    }
    work(server, twin, 10);
    assertThat(twin.compare(server)).isZero();
    int version = Json.MAPPER.readTree(server.get(twin.path()).body()).get("version").asInt();
    Path copy = Files.createDirectories(folder.resolveSibling(folder.getFileName() + "-copy"));
    Files.copy(disk.resolve("hamper.mv.db"), copy.resolve("hamper.mv.db"));
    try (Engine engine = Engine.open(copy)) {
      assertThat(new DisplayStore(engine).list().get(0).version()).isEqualTo(version);
    }
    Trial.say(
        "the disk was full %d times: %d edits refused, %d acknowledged, none lost",
        TIMES, refused, twin.acknowledged());
    server.end();
  }

  private static void work(ServerProcess server, Twin twin, int steps) throws Exception {
    for (int i = 0; i < steps; i++) {
      assertThat(twin.step(server)).isTrue();
    }
  }

  /** There may be some room in the file itself. */
  private static int workUntilRefused(ServerProcess server, Twin twin) throws Exception {
    for (int i = 0; i < 2_000; i++) {
      if (!twin.step(server)) {
        return 1;
      }
    }
    throw new AssertionError("The disk is full, and edits are stored");
  }
}
