package hamper.server;

import static org.assertj.core.api.Assertions.assertThat;

import hamper.server.Started.Answer;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** Proposals over the API: nothing is done until their edit is sent. */
class ArrangeApiTest extends ApiCase {
  private Answer propose(String aim, String pieces) {
    return server.post(path("/arrange"), "{\"aim\":\"%s\",\"pieces\":[%s]}".formatted(aim, pieces));
  }

  @Test
  void aProposalIsAnEditThatIsSentAsItIs() {
    JsonNode view = propose("EASIEST", "").body();
    assertThat(view.get("title").asString()).isEqualTo("easiest to hang");
    assertThat(view.at("/proposal/hung")).isNotEmpty();
    assertThat(version()).as("nothing is done").isEqualTo(view.get("version").asInt());
    Answer made = edit(view.get("edit").toString());
    assertThat(made.status()).as(made.text()).isEqualTo(200);
    assertThat(made.body().get("label").asString())
        .isEqualTo("Arrange %d pieces".formatted(view.at("/proposal/hung").size()));
    int left = view.at("/proposal/left").size();
    JsonNode again = propose("EASIEST", "").body();
    assertThat(again.at("/proposal/left").size() + again.at("/proposal/hung").size())
        .isEqualTo(left);
  }

  @Test
  void whatHangsIsLeftAloneAndWhatIsNotThereIsRefused() {
    JsonNode view = propose("SHORTEST", "\"wall-coping-west-1\"").body();
    assertThat(view.at("/proposal/hung")).isEmpty();
    assertThat(view.has("edit")).isFalse();
    Answer unknown = propose("FEWEST", "\"nobody\"");
    assertThat(unknown.status()).isEqualTo(422);
    assertThat(unknown.text()).contains("nobody").contains("no piece of this display");
  }

  @Test
  void whatWouldMakeMoreFitIsTriedAndDone() {
    Answer missing =
        server.post(path("/arrange/missing"), "{\"aim\": \"EASIEST\", \"pieces\": []}");
    assertThat(missing.status()).as(missing.text()).isEqualTo(200);
    var one = missing.body().at("/additions/0");
    assertThat(one.get("fit").asInt()).isPositive();
    String edit =
        "{\"version\": %d, \"edit\": %s}"
            .formatted(missing.body().get("version").asInt(), one.get("edit"));
    assertThat(server.post(path("/edits"), edit).status()).isEqualTo(200);
    Answer again = server.post(path("/arrange"), "{\"aim\": \"EASIEST\", \"pieces\": []}");
    assertThat(again.body().at("/proposal/left").size()).isEqualTo(one.get("left").asInt());
  }
}
