package hamper.server;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** A display that was removed can be brought back as it was, over a restart too. */
class RemovedDisplaysTest extends ApiCase {
  private JsonNode list(String path) {
    return server.get("/api/displays" + path).body();
  }

  private static boolean has(JsonNode list, String id) {
    return list.valueStream().anyMatch(one -> one.get("id").asString().equals(id));
  }

  @Test
  void itGoesFromTheListIsEditedByNobodyAndComesBackWithEverything() {
    edit("{\"type\":\"SetDisplay\",\"name\":\"Last year\"}");
    JsonNode before = whole();
    assertThat(server.delete(path("")).status()).isEqualTo(204);
    assertThat(has(list(""), display)).isFalse();
    assertThat(has(list("/removed"), display)).isTrue();
    assertThat(server.get(path("")).status()).isEqualTo(404);
    assertThat(edit(2, "{\"type\":\"SetDisplay\",\"name\":\"Nobody\"}").status()).isEqualTo(404);
    assertThat(server.delete(path("")).status()).as("twice").isEqualTo(404);
    restart();
    assertThat(has(list("/removed"), display)).isTrue();
    JsonNode back = server.post(path("/back"), "").body();
    assertThat(back.get("name").asString()).isEqualTo("Last year");
    assertThat(back.get("changed").asString()).startsWith("20");
    assertThat(whole()).isEqualTo(before);
    assertThat(server.post(path("/back"), "").status()).as("twice").isEqualTo(404);
  }
}
