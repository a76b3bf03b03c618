package hamper.server.store;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import hamper.display.Display;
import java.io.IOException;
import java.io.RandomAccessFile;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import java.sql.Connection;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.stream.Stream;
import org.h2.jdbcx.JdbcDataSource;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.springframework.jdbc.core.simple.JdbcClient;

/** Whatever lies in a data folder: it is opened, or one sentence says what to do. */
class DataFolderTest {
  @TempDir Path temporary;

  private Path folder() {
    return temporary.resolve("data");
  }

  private Path file() {
    return folder().resolve("hamper.mv.db");
  }

  private void fill(String... names) {
    try (Engine engine = Engine.open(folder())) {
      DisplayStore store = new DisplayStore(engine);
      for (String name : names) {
        store.add(name, Display.empty(name));
      }
    }
  }

  private void sql(String statements) throws SQLException {
    try (Connection connection = source().getConnection();
        Statement statement = connection.createStatement()) {
      statement.execute(statements);
    }
  }

  private JdbcDataSource source() {
    JdbcDataSource source = new JdbcDataSource();
    source.setURL("jdbc:h2:file:" + folder().resolve("hamper"));
    source.setUser("sa");
    return source;
  }

  /** What is made may wait for the file; what is open never does. */
  @Test
  void whatIsCommittedInAnOpenDatabaseIsInItsFile() {
    for (String time : new String[] {"made", "opened again"}) {
      try (Engine engine = Engine.open(folder())) {
        assertThat(
                JdbcClient.create(engine.source())
                    .sql(
                        "select setting_value from information_schema.settings"
                            + " where setting_name = 'WRITE_DELAY'")
                    .query(String.class)
                    .list())
            .as(time)
            .isNotEmpty()
            .containsOnly("0");
      }
    }
  }

  private void refused(String... words) {
    assertThatThrownBy(() -> Engine.open(folder()))
        .isInstanceOf(StoreException.class)
        .satisfies(
            e -> assertThat(e.getMessage()).contains(words).doesNotContain("\n", "Exception"));
  }

  @Test
  void nobodyElseOnTheMachineReadsWhatIsPlanned() throws IOException {
    fill("Quay");
    try (Engine engine = Engine.open(folder())) {
      new DailyCopies(engine, java.time.Clock.systemUTC()).takeIfDue();
    }
    try (Stream<Path> all = Files.walk(folder())) {
      assertThat(all)
          .hasSizeGreaterThan(3)
          .allSatisfy(
              path ->
                  assertThat(PosixFilePermissions.toString(Files.getPosixFilePermissions(path)))
                      .as(path.toString())
                      .endsWith("------"));
    }
  }

  @Test
  void aFolderThatIsSomebodyElsesKeepsItsRights() throws IOException {
    Files.createDirectories(folder());
    Files.writeString(folder().resolve("letter.txt"), "Dear…");
    Files.setPosixFilePermissions(folder(), PosixFilePermissions.fromString("rwxr-xr-x"));
    fill("Quay");
    assertThat(Files.getPosixFilePermissions(folder()))
        .isEqualTo(PosixFilePermissions.fromString("rwxr-xr-x"));
    assertThat(Files.getPosixFilePermissions(file()))
        .isEqualTo(PosixFilePermissions.fromString("rw-------"));
  }

  @Test
  void anEmptyFileIsNoNewDatabase() throws IOException {
    Files.createDirectories(folder());
    Files.createFile(file());
    refused("it is empty (0 bytes)", "hamper restore --data " + folder());
    assertThat(file()).isEmptyFile();
  }

  @Test
  void aFileThatHasGoneIsNoNewDatabase() throws IOException, SQLException {
    fill("Quay");
    try (Engine engine = Engine.open(folder())) {
      DisplayStore store = new DisplayStore(engine);
      fail(engine);
      Files.delete(file());
      assertThatThrownBy(store::list).isInstanceOf(StorageFailedException.class);
      assertThatThrownBy(store::list)
          .isInstanceOf(StorageFailedException.class)
          .hasMessageContaining("it is missing, though displays were kept here");
    }
    refused("it is missing, though displays were kept here", "hamper restore", "to begin anew");
    Files.delete(folder().resolve("hamper.ordered"));
    fill("Anew");
  }

  @Test
  void aFileOfSomethingElseIsLeftAlone() throws IOException, SQLException {
    Files.createDirectories(folder());
    Files.writeString(file(), "x".repeat(10_000));
    refused("it is not a database of Hamper");
    Files.delete(file());
    sql("create table somebodys (id int)");
    refused("it is not a database of Hamper");
  }

  @Test
  void aNewerDatabaseIsNotTouched() throws SQLException, IOException {
    fill("Quay");
    sql(
        """
        insert into "flyway_schema_history" select 99, '99', description, type, script, checksum,
          installed_by, installed_on, execution_time, success
        from "flyway_schema_history" where "installed_rank" = 1
        """
            .replaceAll(
                "\\b(description|type|script|checksum|installed_by|installed_on|execution_time|success)\\b",
                "\"$1\""));
    refused("it was used by a newer Hamper", "version 99");
  }

  @Test
  void aDamagedFileIsKeptAndSaysHowToGoOn() throws IOException {
    fill("Quay");
    byte[] damaged;
    try (RandomAccessFile disk = new RandomAccessFile(file().toFile(), "rw")) {
      for (int at = 8_192; at < disk.length(); at += 512) {
        disk.seek(at);
        disk.write(new byte[256]);
      }
    }
    damaged = Files.readAllBytes(file());
    refused("it is damaged and cannot be read", "recovered", "hamper restore --data");
    assertThat(file()).as("nothing was tried on the file itself").hasBinaryContent(damaged);
    try (Stream<Path> kept = Files.list(folder().resolve("recovered"))) {
      assertThat(kept).allSatisfy(copy -> assertThat(copy).hasBinaryContent(damaged)).isNotEmpty();
    }
  }

  @Test
  void aFolderInUseIsSaidToBe() {
    fill("Quay");
    try (Engine engine = Engine.open(folder())) {
      assertThat(engine).isNotNull();
      refused("it is in use by another Hamper", "--data");
    }
    fill("Again");
  }

  @Test
  void whatWasBegunAndNeverFinishedIsCleanedUp() throws IOException {
    fill("Quay");
    Files.writeString(folder().resolve("hamper.next.mv.db"), "half");
    Files.writeString(folder().resolve("hamper.packed.mv.db"), "half");
    fill("Again");
    assertThat(folder().resolve("hamper.next.mv.db")).doesNotExist();
    assertThat(folder().resolve("hamper.packed.mv.db")).doesNotExist();
  }

  @Test
  void aFileThatIsMostlyWasteIsPacked() throws SQLException, IOException {
    fill("Quay");
    try (Connection connection = source().getConnection();
        Statement statement = connection.createStatement()) {
      statement.execute(
          "create table waste as select x, repeat('w', 2000) w from system_range(1, 20000)");
      statement.execute("checkpoint sync");
      statement.execute("drop table waste");
      statement.execute("checkpoint sync");
      statement.execute("shutdown immediately");
    }
    long before = Files.size(file());
    try (Engine engine = Engine.open(folder())) {
      assertThat(new DisplayStore(engine).list()).hasSize(1);
    }
    assertThat(before).isGreaterThan(16 << 20);
    assertThat(Files.size(file())).isLessThan(before / 4);
  }

  /** Closes the engine as it closes itself when the disk fails. */
  private static void fail(Engine engine) throws SQLException {
    try (Connection connection = engine.source().getConnection();
        Statement statement = connection.createStatement()) {
      statement.execute("shutdown immediately");
    }
  }

  @Test
  void afterAFailureTheEngineIsOpenedAnew() throws SQLException {
    fill("Quay");
    try (Engine engine = Engine.open(folder())) {
      DisplayStore store = new DisplayStore(engine);
      fail(engine);
      assertThatThrownBy(() -> store.add("lost", Display.empty("Lost")))
          .isInstanceOf(StorageFailedException.class)
          .extracting(e -> ((StorageFailedException) e).outcome())
          .isEqualTo(StorageFailedException.Outcome.UNKNOWN);
      store.add("next", Display.empty("Next"));
      assertThat(store.list())
          .extracting(DisplayStore.Listed::name)
          .containsExactly("Next", "Quay");
    }
  }
}
