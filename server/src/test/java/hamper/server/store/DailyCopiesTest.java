package hamper.server.store;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import hamper.display.Display;
import hamper.files.CatalogueFiles;
import hamper.server.live.DemoDisplay;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Instant;
import java.time.ZoneOffset;
import java.time.temporal.ChronoUnit;
import java.util.concurrent.atomic.AtomicBoolean;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** A copy of everything a day, read back before it counts, and brought back with one command. */
class DailyCopiesTest {
  private static final Instant FIRST = Instant.parse("2026-11-01T20:00:00Z");
  private static final Display DEMO = DemoDisplay.read(CatalogueFiles.shipped());

  @TempDir Path folder;

  private static Clock day(int number) {
    return Clock.fixed(FIRST.plus(number - 1, ChronoUnit.DAYS), ZoneOffset.UTC);
  }

  @Test
  void aDayHasOneCopyAndFourteenAreKept() {
    try (Engine engine = Engine.open(folder)) {
      new DisplayStore(engine).add("quay", DEMO);
      for (int day = 1; day <= 16; day++) {
        assertThat(new DailyCopies(engine, day(day)).takeIfDue()).isTrue();
        assertThat(new DailyCopies(engine, day(day)).takeIfDue()).isFalse();
      }
    }
    assertThat(DailyCopies.names(folder))
        .hasSize(14)
        .startsWith("2026-11-16")
        .endsWith("2026-11-03");
  }

  @Test
  void everythingIsAsItWasOnThatDay() throws IOException {
    try (Engine engine = Engine.open(folder)) {
      DisplayStore store = new DisplayStore(engine);
      store.add("quay", DEMO);
      new DailyCopies(engine, day(1)).takeIfDue();
      store.add("later", Display.empty("Later"));
    }
    DailyCopies.restore(folder, "2026-11-01");
    try (Engine engine = Engine.open(folder)) {
      DisplayStore store = new DisplayStore(engine);
      assertThat(store.list()).extracting(DisplayStore.Listed::id).containsExactly("quay");
      assertThat(store.read("quay").display()).isEqualTo(DEMO);
    }
    try (var kept = Files.list(folder.resolve("recovered"))) {
      assertThat(kept).as("what was replaced").hasSize(1);
    }
  }

  @Test
  void aDamagedFolderIsBroughtBack() throws IOException {
    try (Engine engine = Engine.open(folder)) {
      new DisplayStore(engine).add("quay", DEMO);
      new DailyCopies(engine, day(1)).takeIfDue();
    }
    Files.writeString(folder.resolve("hamper.mv.db"), "nothing left");
    DailyCopies.restore(folder, "2026-11-01");
    try (Engine engine = Engine.open(folder)) {
      assertThat(new DisplayStore(engine).read("quay").display()).isEqualTo(DEMO);
    }
  }

  @Test
  void onlyTheFoldersOwnCopiesAreTaken() throws IOException {
    Files.createDirectories(folder.resolve("copies"));
    Files.writeString(folder.resolve("copies/2026-11-01.sql.gz"), "no copy at all");
    Files.writeString(folder.resolve("evil.sql.gz"), "drop everything");
    for (String name : new String[] {"../evil", "evil", "2026-11-02", "", "/etc/passwd"}) {
      assertThatThrownBy(() -> DailyCopies.restore(folder, name))
          .isInstanceOf(StoreException.class)
          .hasMessageContaining("there is no copy called \"" + name + "\"");
    }
    assertThatThrownBy(() -> DailyCopies.restore(folder, "2026-11-01"))
        .isInstanceOf(StoreException.class)
        .hasMessageContaining("2026-11-01.sql.gz");
    assertThat(folder.resolve("hamper.mv.db")).doesNotExist();
  }

  @Test
  void editsGoOnWhileACopyIsMade() throws Exception {
    try (Engine engine = Engine.open(folder)) {
      DisplayStore store = new DisplayStore(engine);
      store.add("quay", DEMO);
      AtomicBoolean done = new AtomicBoolean();
      Thread planner =
          new Thread(
              () -> {
                for (int i = 0; !done.get(); i++) {
                  store.add("more-" + i, Display.empty("More " + i));
                }
              });
      planner.start();
      for (int day = 1; day <= 10; day++) {
        new DailyCopies(engine, day(day)).takeIfDue();
      }
      done.set(true);
      planner.join();
    }
    assertThat(DailyCopies.names(folder)).hasSize(10);
  }
}
