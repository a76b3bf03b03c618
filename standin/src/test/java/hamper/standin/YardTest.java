package hamper.standin;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpRequest.BodyPublishers;
import java.net.http.HttpResponse.BodyHandlers;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;

/** Stand-ins are seated anew without disturbing those who sit. */
class YardTest {
  private static final JsonNode MODEL =
      Device.JSON.readTree("{\"id\": \"sample\", \"name\": \"Sample\"}");

  @TempDir Path folder;
  private final HttpClient client = HttpClient.newHttpClient();

  private JsonNode ask(String method, String address, String body) throws Exception {
    HttpRequest request =
        HttpRequest.newBuilder(URI.create("http://" + address))
            .method(method, BodyPublishers.ofString(body))
            .build();
    return Device.JSON.readTree(client.send(request, BodyHandlers.ofString()).body());
  }

  @Test
  void whoSitsStaysAndWhoIsNotNamedGoes() throws Exception {
    try (StandIns all = StandIns.start(List.of(new Seat("a", MODEL)), Clock.system())) {
      String first = all.places().get("a").address();
      ask("PUT", first + ":" + Place.DOOR + "/misbehaviour", "{\"drops\": true}");
      var seated = all.seat(List.of(new Seat("a", MODEL), new Seat("b", MODEL)));
      assertThat(seated).containsEntry("a", Place.own(first)).containsKey("b");
      assertThat(
              ask("GET", first + ":" + Place.DOOR + "/misbehaviour", "").get("drops").asBoolean())
          .as("the same device as before")
          .isTrue();
      assertThat(all.seat(List.of(new Seat("b", MODEL)))).containsOnlyKeys("b");
      JsonNode other = Device.JSON.readTree("{\"id\": \"other\"}");
      String moved = all.seat(List.of(new Seat("b", other))).get("b").address();
      assertThat(ask("GET", moved + ":" + Place.DOOR + "/identity", "").get("model").asString())
          .as("another model is another device")
          .isEqualTo("other");
    }
  }

  @Test
  void aYardLeavesWordAndEndsWhenThatIsGone() throws Exception {
    Path word = folder.resolve("stand-ins.json");
    Yard yard = Yard.open(word);
    Thread waiting =
        new Thread(
            () -> {
              try (yard) {
                yard.await();
              } catch (Exception e) {
                throw new IllegalStateException(e);
              }
            });
    waiting.start();
    String door = Device.JSON.readTree(Files.readString(word)).get("door").asString();
    assertThat(ask("GET", door + "/", "").get("format").asString()).isEqualTo(Yard.FORMAT);
    String seats = "[{\"controller\": \"k\", \"model\": {\"id\": \"sample\"}}]";
    String address = ask("PUT", door + "/seats/one", seats).at("/k/address").asString();
    assertThat(ask("PUT", door + "/seats/one", seats).at("/k/address").asString())
        .isEqualTo(address);
    assertThat(ask("PUT", door + "/seats/two", seats).at("/k/address").asString())
        .isNotEqualTo(address);
    assertThat(ask("PUT", door + "/seats/one", "[{}]").has("refused")).isTrue();
    Files.delete(word);
    waiting.join(10_000);
    assertThat(waiting.isAlive()).isFalse();
  }

  @Test
  void whereThereIsNoRoomForOneMoreTheOneNobodyAskedForLongestGoes() throws Exception {
    Path word = folder.resolve("few.json");
    Yard yard = Yard.open(word, 2);
    try {
      String door = Device.JSON.readTree(Files.readString(word)).get("door").asString();
      String first = seated(door, "first");
      String second = seated(door, "second");
      assertThat(seated(door, "first")).isEqualTo(first);
      assertThat(seated(door, "third")).as("in the place of the second").isEqualTo(second);
      assertThat(seated(door, "first")).as("who was asked for stays").isEqualTo(first);
      assertThat(seated(door, "second")).as("it comes back").isEqualTo(second);
    } finally {
      yard.close();
    }
  }

  private String seated(String door, String display) throws Exception {
    String seats = "[{\"controller\": \"k\", \"model\": {\"id\": \"sample\"}}]";
    return ask("PUT", door + "/seats/" + display, seats).at("/k/address").asString();
  }
}
