package hamper.server;

import static org.assertj.core.api.Assertions.assertThat;

import hamper.samples.GuidedFaults;
import hamper.server.Started.Answer;
import hamper.standin.Misbehaviour;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Queue;
import java.util.concurrent.ConcurrentLinkedQueue;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;

/** Each misbehaviour of stand-ins, and the guide that finds it from what they show. */
class GuidesApiTest {
  /** Most of it is waiting for what light shows: some servers at once, each with its devices. */
  private static final int AT_ONCE = 4;

  @TempDir Path folder;

  @Test
  void everyMisbehaviourIsFoundByItsGuide() throws Exception {
    Queue<GuidedFaults.Case> left = new ConcurrentLinkedQueue<>(GuidedFaults.CASES);
    List<String> missed = Collections.synchronizedList(new ArrayList<>());
    AtomicInteger edits = new AtomicInteger();
    ExecutorService walkers = Executors.newFixedThreadPool(AT_ONCE);
    List<Future<?>> walks = new ArrayList<>();
    for (int i = 0; i < AT_ONCE; i++) {
      Path data = folder.resolve("server-" + i);
      walks.add(
          walkers.submit(
              () -> {
                try (Started server = new Started(data)) {
                  Walk walk = new Walk(server);
                  for (GuidedFaults.Case one = left.poll(); one != null; one = left.poll()) {
                    edits.addAndGet(walk.of(one, missed) ? 1 : 0);
                  }
                }
                return null;
              }));
    }
    for (Future<?> walk : walks) {
      walk.get();
    }
    walkers.shutdown();
    assertThat(missed).isEmpty();
    assertThat(edits.get()).as("causes with an edit").isGreaterThanOrEqualTo(3);
  }

  @Test
  void eachMisbehaviourHasItsCase() {
    assertThat(Misbehaviour.values())
        .extracting(Misbehaviour::key)
        .containsExactlyInAnyOrderElementsOf(
            Stream.concat(
                    GuidedFaults.CASES.stream().map(GuidedFaults.Case::misbehaviour),
                    GuidedFaults.UNSEEN.stream())
                .toList());
  }

  /** One server with the display, on which guides are walked one after another. */
  private static final class Walk {
    private final Started server;
    private final String display;

    Walk(Started server) throws InterruptedException {
      this.server = server;
      display =
          server
              .post("/api/displays/import", GuidedFaults.DISPLAY.getBytes(StandardCharsets.UTF_8))
              .body()
              .get("id")
              .asString();
      give("k", "r");
    }

    private String path(String below) {
      return "/api/displays/" + display + below;
    }

    private int version() {
      return server.get(path("")).body().get("version").asInt();
    }

    private Answer edit(String json) {
      return server.post(path("/edits"), "{\"version\":%d,\"edit\":%s}".formatted(version(), json));
    }

    private Answer undo() {
      return server.post(path("/undo"), "{\"version\":%d}".formatted(version()));
    }

    private String trial(String below) {
      return path("/trial" + below);
    }

    private void give(String... controllers) throws InterruptedException {
      String body =
          "{\"which\":\"CHOSEN\",\"controllers\":[\"%s\"],\"faultsSeen\":[\"%s\"],\"replaced\":[\"%s\"],\"readBack\":false,\"back\":false,\"inShowHours\":true}"
              .replace("%s", String.join("\",\"", controllers));
      var begun = server.post(path("/handover/giving"), body);
      assertThat(begun.status()).as(begun.text()).isEqualTo(200);
      for (int i = 0; i < 200; i++) {
        JsonNode now = server.get(path("/handover/now")).body();
        if (!now.at("/giving/running").asBoolean(false)) {
          return;
        }
        Thread.sleep(50);
      }
      throw new AssertionError("it is still giving");
    }

    private void misbehave(GuidedFaults.Case one, boolean on) {
      var answer =
          server.put(
              trial("/misbehaviour"),
              "{\"controller\":\"%s\",\"misbehaviour\":\"%s\",\"on\":%s}"
                  .formatted(one.controller(), one.misbehaviour(), on));
      assertThat(answer.status()).as(answer.text()).isEqualTo(204);
    }

    /** Walks one; answers whether its cause has an edit. */
    boolean of(GuidedFaults.Case one, List<String> missed) throws InterruptedException {
      light(one, "WHITE", "WHITE", 1, 1_000_000);
      Thread.sleep(700);
      misbehave(one, true);
      boolean anew = List.of("vanishes", "keeps-nothing").contains(one.misbehaviour());
      if (anew) {
        // only what has changed is given
        assertThat(edit(GuidedFaults.TURNED).status()).isEqualTo(200);
        give("k");
      }
      List<String> asked = new ArrayList<>();
      JsonNode end = walk(one, asked);
      List<String> left =
          end.get("left").valueStream().map(cause -> cause.get("id").asString()).toList();
      System.out.printf(
          "[guides] %-18s %-15s %-14s of %s after %s%n",
          one.misbehaviour(), one.guide(), one.cause(), left, asked);
      if (!left.contains(one.cause()) || left.size() > 2) {
        missed.add(one.misbehaviour() + " " + left);
      }
      misbehave(one, false);
      if (one.misbehaviour().equals("vanishes")) {
        misbehave(new GuidedFaults.Case("off", "", one.piece(), "", Map.of()), false);
      }
      if (anew) {
        assertThat(undo().status()).isEqualTo(200);
      }
      boolean edited = applied(one, end);
      give("k", "r");
      return edited;
    }

    private JsonNode walk(GuidedFaults.Case one, List<String> asked) throws InterruptedException {
      List<String> answers = new ArrayList<>();
      JsonNode view = step(one, answers);
      while (view.has("next")) {
        JsonNode question = view.get("next");
        String id = question.get("id").asString();
        prepare(one, question);
        String read = read(one, id);
        String answer = read == null ? one.byHand().getOrDefault(id, "cannot-tell") : read;
        if (question.at("/doing/kind").asString().equals("OWN_TEST")) {
          test(one, false);
        }
        asked.add(id + "=" + answer);
        answers.add("{\"question\":\"%s\",\"answer\":\"%s\"}".formatted(id, answer));
        view = step(one, answers);
      }
      return view;
    }

    private String request(GuidedFaults.Case one, List<String> answers) {
      return "{\"piece\":\"%s\",\"answers\":[%s]}"
          .formatted(one.piece(), String.join(",", answers));
    }

    private JsonNode step(GuidedFaults.Case one, List<String> answers) {
      var answer = server.post(trial("/guides/" + one.guide()), request(one, answers));
      assertThat(answer.status()).as(answer.text()).isEqualTo(200);
      return answer.body();
    }

    private void prepare(GuidedFaults.Case one, JsonNode question) throws InterruptedException {
      JsonNode doing = question.get("doing");
      if (doing.has("pattern")) {
        JsonNode pattern = doing.get("pattern");
        light(
            one,
            pattern.get("kind").asString(),
            pattern.get("colour").asString(),
            pattern.get("from").asInt(),
            pattern.get("to").asInt());
        Thread.sleep(900);
      }
      switch (doing.get("kind").asString()) {
        case "SILENCE" -> {
          light(one, "WHITE", "WHITE", 1, 1_000_000);
          Thread.sleep(900);
          assertThat(server.post("/api/output/silence", "").status()).isEqualTo(204);
          Thread.sleep(3_000);
        }
        case "OWN_TEST" -> test(one, true);
        case "RESTART" ->
            assertThat(
                    server
                        .post(
                            trial("/restart"),
                            "{\"controller\":\"%s\"}".formatted(one.controller()))
                        .status())
                .isEqualTo(204);
        default -> {
          // somebody looks
        }
      }
    }

    private void light(GuidedFaults.Case one, String kind, String colour, int from, int to) {
      var answer =
          server.post(
              "/api/output",
              """
            {"display":"%s","who":"Ann","percent":30,"only":{"pieces":["%s"]},
             "pattern":{"kind":"%s","colour":"%s","from":%d,"to":%d}}
            """
                  .formatted(display, one.piece(), kind, colour, from, to));
      assertThat(answer.status()).as(answer.text()).isEqualTo(200);
    }

    private void test(GuidedFaults.Case one, boolean on) {
      assertThat(
              server
                  .put(
                      trial("/test"),
                      "{\"controller\":\"%s\",\"on\":%s}".formatted(one.controller(), on))
                  .status())
          .isEqualTo(204);
    }

    private String read(GuidedFaults.Case one, String question) {
      var answer =
          server.post(
              trial("/guides/%s/questions/%s/reading".formatted(one.guide(), question)),
              request(one, List.of()));
      assertThat(answer.status()).as(answer.text()).isEqualTo(200);
      return answer.body().has("answer") ? answer.body().get("answer").asString() : null;
    }

    /** The edit of a cause is made, proof is clean, and it is taken back. */
    private boolean applied(GuidedFaults.Case one, JsonNode end) throws InterruptedException {
      JsonNode cause =
          end.get("left")
              .valueStream()
              .filter(left -> left.get("id").asString().equals(one.cause()))
              .findFirst()
              .orElse(null);
      if (cause == null || !cause.has("edit")) {
        return false;
      }
      var made = edit(cause.get("edit").toString());
      assertThat(made.status()).as(one.misbehaviour() + " " + made.text()).isEqualTo(200);
      server.post(path("/proof"), "");
      JsonNode proof = server.get(path("/proof")).body();
      for (int i = 0; i < 600 && proof.get("running").asBoolean(); i++) {
        Thread.sleep(100);
        proof = server.get(path("/proof")).body();
      }
      assertThat(proof.at("/report/wrong").asLong()).as(one.misbehaviour()).isZero();
      assertThat(proof.at("/report/pixels").asLong()).isPositive();
      assertThat(undo().status()).isEqualTo(200);
      return true;
    }
  }
}
