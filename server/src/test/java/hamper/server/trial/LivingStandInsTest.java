package hamper.server.trial;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Killing Hamper does not kill the stand-ins; the next one finds them as they are. */
class LivingStandInsTest {
  private static final JsonMapper JSON = new JsonMapper();
  private static final String DISPLAY =
      """
      {"format": "hamper-display", "formatVersion": 2, "name": "Small", "props": [
        {"id": "a", "name": "A", "pieces": [{"kind": "string", "id": "a1", "name": "s",
          "pixelType": "node-12v", "sections": [{"pixels": 4}]}]}],
       "controllers": [{"id": "k", "tag": "K1", "name": "K", "model": "ostrand-twelve",
         "settings": {"protocol": "E131", "address": "198.51.100.9"},
         "runs": [{"port": 1, "legs": [{"piece": "a1"}]}]}]}
      """;

  @TempDir Path folder;

  private static String light(ServerProcess server, String display) throws Exception {
    return server
        .post(
            "/api/output", "{\"display\":\"%s\",\"percent\":100,\"seconds\":60}".formatted(display))
        .body();
  }

  private JsonNode word() throws Exception {
    return JSON.readTree(Files.readString(folder.resolve("stand-ins.json")));
  }

  @Test
  @Tag("whole")
  void standInsOutliveAHamperThatIsKilled() throws Exception {
    ServerProcess server = ServerProcess.usual(folder);
    String display =
        JSON.readTree(server.post("/api/displays/import", DISPLAY).body()).get("id").asString();
    assertThat(light(server, display)).contains("\"leftOut\":[]");
    long pid = word().get("pid").asLong();
    server.kill();
    assertThat(ProcessHandle.of(pid)).hasValueSatisfying(ProcessHandle::isAlive);

    ServerProcess again = ServerProcess.usual(folder);
    assertThat(light(again, display)).contains("\"leftOut\":[]");
    assertThat(word().get("pid").asLong()).as("the same as before").isEqualTo(pid);
    assertThat(JSON.readTree(again.get("/api/output").body()).get("failed").asInt()).isZero();
    again.end();
    ProcessHandle.of(pid).ifPresent(yard -> yard.onExit().join());
    assertThat(Files.exists(folder.resolve("stand-ins.json"))).isFalse();
  }
}
