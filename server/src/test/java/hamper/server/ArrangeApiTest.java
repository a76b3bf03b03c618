package hamper.server;

import static org.assertj.core.api.Assertions.assertThat;

import hamper.display.Plan;
import hamper.edit.UnpatchPieces;
import hamper.files.CatalogueFiles;
import hamper.files.DisplayFile;
import hamper.samples.LargeDisplays;
import hamper.server.Started.Answer;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.Tag;
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
    assertThat(one.get("told").asString()).contains("cut Mast pennants after pixel 75");
    String edit =
        "{\"version\": %d, \"edit\": %s}"
            .formatted(missing.body().get("version").asInt(), one.get("edit"));
    assertThat(server.post(path("/edits"), edit).status()).isEqualTo(200);
    Answer again = server.post(path("/arrange"), "{\"aim\": \"EASIEST\", \"pieces\": []}");
    assertThat(again.body().at("/proposal/left").size()).isEqualTo(one.get("left").asInt());
  }

  /** About two thousand strings that hang nowhere, on two hundred controllers. */
  private void large() {
    Plan plan = LargeDisplays.of(CatalogueFiles.shipped(), 200, 3_400, 20, 1);
    List<String> all =
        plan.runs().flatMap(run -> run.legs().stream()).map(leg -> leg.leg().piece()).toList();
    Plan bare = plan.with(new UnpatchPieces(all).change(plan));
    Answer made = server.post("/api/displays/import", DisplayFile.write(bare.display()));
    assertThat(made.status()).as(made.text()).isEqualTo(201);
    display = made.body().get("id").asString();
  }

  @Test
  void aLongOneIsLookedAtAndStoppedByItsName() throws Exception {
    large();
    String asked = "{\"aim\":\"EASIEST\",\"pieces\":[],\"running\":\"%s\"}";
    CompletableFuture<Answer> whole =
        CompletableFuture.supplyAsync(() -> server.post(path("/arrange"), asked.formatted("mine")));
    String running = path("/arrange/running/mine");
    while (!server.get(running).body().has("phase")) {
      assertThat(whole).as("it was done before it was seen").isNotDone();
      Thread.onSpinWait();
    }
    Answer same = server.post(path("/arrange"), asked.formatted("mine"));
    assertThat(same.status()).isEqualTo(422);
    assertThat(same.text()).contains("another proposal of this name");
    assertThat(server.post(running + "/stop", "").status()).isEqualTo(204);
    JsonNode proposal = whole.get(60, TimeUnit.SECONDS).body().get("proposal");
    assertThat(proposal.get("stopped").asBoolean()).isTrue();
    assertThat(proposal.get("left").size() + proposal.get("hung").size()).isEqualTo(2134);
    assertThat(server.get(running).body().has("phase")).isFalse();
  }

  @Test
  @Tag("whole")
  void moreThanFourAtOnceAreRefused() {
    large();
    List<CompletableFuture<Integer>> all = new ArrayList<>();
    for (int i = 0; i < 6; i++) {
      all.add(
          CompletableFuture.supplyAsync(
              () -> propose("EASIEST", "").status(), command -> new Thread(command).start()));
    }
    List<Integer> statuses = all.stream().map(CompletableFuture::join).sorted().toList();
    assertThat(statuses).startsWith(200, 200, 200, 200).endsWith(422);
  }

  @Test
  @Tag("whole")
  void whatAllCostsAsItHangsStandsBesideWhereItMayMove() {
    String asked = "{\"aim\":\"SHORTEST\",\"pieces\":[],\"move\":true,\"spread\":true}";
    JsonNode view = server.post(path("/arrange"), asked).body();
    assertThat(view.at("/now/controllers").asInt()).isEqualTo(11);
    assertThat(view.at("/proposal/hung")).isNotEmpty();
    for (JsonNode one : view.at("/proposal/hung")) {
      assertThat(one.has("from")).as(one.toString()).isFalse();
    }
  }
}
