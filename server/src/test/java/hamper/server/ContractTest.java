package hamper.server;

import static org.assertj.core.api.Assertions.assertThat;

import hamper.files.Json;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/**
 * The API is the contract: the interface's types are made from web/openapi.json, which the server
 * hands out too, so that has to be what the code says. After a change of the API: {@code mvn -pl
 * core,samples,standin,files,web,server verify -Dtest=ContractTest
 * -Dsurefire.failIfNoSpecifiedTests=false -Dapi.update}
 */
class ContractTest {
  private static final Path KEPT = Path.of("../web/openapi.json");
  private static final String WORK_OUT = "springdoc.api-docs.enabled";

  @TempDir Path data;

  @Test
  void theInterfaceIsBuiltAgainstTheApiThatTheServerHas() throws IOException {
    System.setProperty(WORK_OUT, "true");
    try (Started server = new Started(data)) {
      Started.Answer answer = server.get("/api/openapi-of-code");
      assertThat(answer.status()).as(answer.text()).isEqualTo(200);
      String now =
          Json.MAPPER.writerWithDefaultPrettyPrinter().writeValueAsString(answer.body()) + "\n";
      if (System.getProperty("api.update") != null) {
        Files.writeString(KEPT, now);
      }
      assertThat(Files.readString(KEPT)).isEqualTo(now);
    } finally {
      System.clearProperty(WORK_OUT);
    }
  }

  @Test
  void theServerHandsOutWhatTheInterfaceIsBuiltAgainst() throws IOException {
    try (Started server = new Started(data)) {
      Started.Answer answer = server.get("/api/openapi");
      assertThat(answer.status()).isEqualTo(200);
      assertThat(answer.text()).isEqualTo(Files.readString(KEPT));
    }
  }
}
