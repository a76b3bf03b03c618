package hamper.server.store;

import static org.assertj.core.api.Assertions.assertThat;

import hamper.catalog.Catalog;
import hamper.display.Display;
import hamper.display.Plan;
import hamper.edit.Restore;
import hamper.files.CatalogueFiles;
import hamper.files.DisplayFile;
import hamper.value.RecordShape;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.List;
import java.util.zip.GZIPInputStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.jdbc.core.simple.JdbcClient;

/**
 * Folders that earlier versions of Hamper left behind, kept as they were: each opens, complete.
 *
 * <ul>
 *   <li>first: with an engine that lost edits (docs/decisions/9)
 *   <li>second: the last whose log holds edits with whole records, before they said what changes
 *   <li>third: the last that held nothing of what was handed over
 *   <li>fourth: the last that held nothing of what was seen in trials
 *   <li>fifth: the last that knew nothing of a crew at the door
 * </ul>
 */
class EarlierFoldersTest {
  private static final Catalog CATALOG = CatalogueFiles.shipped();

  @TempDir Path folder;
  private String version = "first";

  @ParameterizedTest
  @ValueSource(strings = {"first", "second", "third", "fourth", "fifth"})
  void aFolderOfAnEarlierServerOpensAndIsUndoneToItsBeginning(String of) throws IOException {
    version = of;
    unpack("server.mv.db");
    try (Engine engine = Engine.open(folder)) {
      DisplayStore store = new DisplayStore(engine);
      String id = store.list().get(0).id();
      DisplayStore.Stored stored = store.read(id);
      assertThat(stored.display()).isEqualTo(display("end"));
      Display begin = display("begin");
      // numbers of tags that were given once stay given
      assertThat(undoneToTheStart(store, id, stored))
          .isEqualTo(
              RecordShape.with(
                  begin, "workshop", begin.workshop().restoredOver(stored.display().workshop())));
    }
  }

  /** Takes back what has not been taken back already, the latest first. */
  private static Display undoneToTheStart(
      DisplayStore store, String id, DisplayStore.Stored stored) {
    Deque<Integer> done = new ArrayDeque<>();
    for (LogEntry.Head line : store.log(id)) {
      if (line.kind() == LogEntry.Kind.UNDO) {
        done.pop();
      } else {
        done.push(line.version());
      }
    }
    assertThat(done).hasSizeGreaterThan(200);
    Plan plan = new Plan(stored.display(), CATALOG);
    for (int version : done) {
      Restore inverse = store.inverse(id, version);
      plan = inverse.applyTo(plan).plan();
    }
    return plan.display();
  }

  /** A new folder begins with a database that was made by the build; earlier ones take steps. */
  @Test
  void theTablesOfAnEarlierFolderBecomeThoseOfANewOne() throws IOException {
    assertThat(EmptyDatabase.open()).as("made by the build").isPresent();
    List<String> ofNew = tables(folder.resolve("new"));
    unpack("server.mv.db");
    assertThat(ofNew).hasSizeGreaterThan(100);
    assertThat(tables(folder)).containsExactlyInAnyOrderElementsOf(ofNew);
  }

  /** What makes them, without the names that nobody gave. */
  private static List<String> tables(Path folder) {
    try (Engine engine = Engine.open(folder)) {
      return JdbcClient.create(engine.source())
          .sql("script nodata")
          .query(String.class)
          .list()
          .stream()
          .map(
              line -> line.replaceAll("CONSTRAINT_[0-9A-F]+(_\\w+)?|START WITH \\d+|RESTART.*", ""))
          .filter(line -> line.startsWith("CREATE") || line.startsWith("ALTER"))
          .filter(line -> !line.contains(" USER "))
          .toList();
    }
  }

  @Test
  void aFolderOfTheFirstCommandLineOpens() throws IOException {
    unpack("cli.mv.db");
    for (int times = 0; times < 2; times++) {
      try (Engine engine = Engine.open(folder)) {
        DisplayStore store = new DisplayStore(engine);
        assertThat(store.read(store.list().get(0).id()).display()).isEqualTo(display("end"));
      }
    }
  }

  /** Opened plainly, this one shows version 61. */
  @Test
  void aFileOfTheFirstEngineThatWasKilledHasAllThatWasAcknowledged() throws IOException {
    unpack("killed.mv.db");
    try (Engine engine = Engine.open(folder)) {
      DisplayStore store = new DisplayStore(engine);
      DisplayStore.Stored stored = store.read(store.list().get(0).id());
      assertThat(stored.version()).isEqualTo(63);
      assertThat(stored.display()).isEqualTo(display("killed"));
    }
    try (var kept = Files.list(folder.resolve("recovered"))) {
      assertThat(kept).as("before it was recovered, and before its tables were changed").hasSize(2);
    }
  }

  private Display display(String name) throws IOException {
    return DisplayFile.read(resource(name + ".hamper.json"), CATALOG).display();
  }

  private void unpack(String name) throws IOException {
    Files.write(folder.resolve("hamper.mv.db"), resource(name));
  }

  private byte[] resource(String name) throws IOException {
    try (InputStream in =
        new GZIPInputStream(
            EarlierFoldersTest.class.getResourceAsStream(
                "/folders/%s/%s.gz".formatted(version, name)))) {
      return in.readAllBytes();
    }
  }
}
