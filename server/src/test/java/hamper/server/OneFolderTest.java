package hamper.server;

import static org.assertj.core.api.Assertions.assertThat;

import hamper.server.Started.Answer;
import hamper.server.cli.Hamper;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;

/** Server and command line work on one data folder, in whatever order. */
class OneFolderTest {
  private static final String DEMO = "src/main/resources/hamper/demo/saltmarsh-quay.hamper.json";
  private static final String EXAMPLE = "../docs/formats/example.hamper.json";

  @TempDir Path folder;

  private Path data() {
    return folder.resolve("data");
  }

  private List<String> namesServed() {
    try (Started server = new Started(data())) {
      return names(server);
    }
  }

  private static List<String> names(Started server) {
    return server
        .get("/api/displays")
        .body()
        .valueStream()
        .map(one -> one.get("name").asString())
        .toList();
  }

  @Test
  void whatIsImportedIsServedAndWhatIsServedIsExported() throws Exception {
    assertThat(Hamper.run("import", DEMO, "--data", data().toString())).isZero();
    assertThat(namesServed()).containsExactly("Saltmarsh Quay");
    try (Started server = new Started(data())) {
      server.post("/api/displays", "{\"name\":\"Another\"}");
      // the folder is the server's for now
      assertThat(Hamper.run("export", "--data", data().toString())).isEqualTo(2);
    }
    Path out = folder.resolve("out.hamper.json");
    assertThat(Hamper.run("export", "Another", "--data", data().toString(), "--out", "" + out))
        .isZero();
    assertThat(Files.readString(out)).contains("\"Another\"");
    assertThat(Hamper.run("import", EXAMPLE, "--data", data().toString())).isZero();
    assertThat(namesServed()).hasSize(3).contains("Another", "Saltmarsh Quay");
  }

  @Test
  void oneDisplayThatCannotBeReadLeavesTheOthersOpen() throws SQLException {
    Hamper.run("import", DEMO, "--data", data().toString());
    Hamper.run("import", EXAMPLE, "--data", data().toString());
    spoil(
        "update controller set protocol = 'PIGEON' where display_id ="
            + " (select id from display where name <> 'Saltmarsh Quay')");
    try (Started server = new Started(data())) {
      int open = 0;
      for (JsonNode one : server.get("/api/displays").body()) {
        Answer answer = server.get("/api/displays/" + one.get("id").asString());
        if (answer.status() == 200) {
          open++;
        } else {
          assertThat(answer.status()).isEqualTo(422);
          assertThat(answer.body().get("detail").asString())
              .contains("The display \"" + one.get("name").asString() + "\" cannot be read")
              .contains("hamper restore")
              .doesNotContain("Exception", "PIGEON");
        }
      }
      assertThat(open).isEqualTo(1);
    }
    Path out = folder.resolve("out.hamper.json");
    assertThat(
            Hamper.run("export", "Saltmarsh Quay", "--data", data().toString(), "--out", "" + out))
        .isZero();
  }

  private void spoil(String sql) throws SQLException {
    String url = "jdbc:h2:file:" + data().resolve("hamper");
    try (Connection connection = DriverManager.getConnection(url, "sa", "");
        Statement statement = connection.createStatement()) {
      assertThat(statement.executeUpdate(sql)).isPositive();
    }
  }
}
