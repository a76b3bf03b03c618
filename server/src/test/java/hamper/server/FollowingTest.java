package hamper.server;

import static org.assertj.core.api.Assertions.assertThat;

import hamper.display.Plan;
import hamper.display.Workshop;
import hamper.edit.Edit;
import hamper.files.CatalogueFiles;
import hamper.files.DisplayFile;
import hamper.files.Json;
import hamper.samples.RandomEdits;
import hamper.samples.RandomWorkshopEdits;
import hamper.server.Started.Answer;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * A window that follows what edits answer shows what a window shows that is opened anew, and what
 * the database holds; over an evening of random edits.
 */
class FollowingTest extends ApiCase {
  private static final int EDITS = 40;
  private static final int RESTART_EACH = 20;
  private static final int OF_THE_WORKSHOP = 6;

  @Test
  void aWindowThatFollowsShowsWhatANewOneShows() {
    RandomEdits edits = new RandomEdits(5);
    RandomWorkshopEdits workshop = new RandomWorkshopEdits(5);
    Plan begin = read();
    Plan plan = begin;
    JsonNode window = whole();
    for (int i = 1; i <= EDITS; i++) {
      Edit edit = i % OF_THE_WORKSHOP == 0 ? workshop.next(plan) : edits.next(plan);
      String json = Json.MAPPER.writerFor(Edit.class).writeValueAsString(edit);
      Answer answer = edit(json);
      assertThat(answer.status()).as("%s: %s", json, answer.text()).isEqualTo(200);
      plan = edit.applyTo(plan).plan();
      window = follow(window, answer.body());
      assertThat(window).as("edit %d: %s", i, json).isEqualTo(whole());
      if (i % RESTART_EACH == 0) {
        restart();
        assertThat(whole()).as("after a restart, edit %d", i).isEqualTo(window);
        assertThat(read().display()).isEqualTo(plan.display());
      }
    }
    for (int i = 0; i < EDITS; i++) {
      Answer answer = undo();
      window = follow(window, answer.body());
    }
    assertThat(window).isEqualTo(whole());
    restart();
    assertThat(whole()).isEqualTo(window);
    assertThat(read().display().workshop().tags()).isEmpty();
    assertThat(read().display().withWorkshop(Workshop.NONE))
        .as("all but the numbers that tags had")
        .isEqualTo(begin.display());
  }

  private Plan read() {
    byte[] file = server.get(path("/file")).text().getBytes(StandardCharsets.UTF_8);
    return DisplayFile.read(file, CatalogueFiles.shipped());
  }

  /** As a window does it: what the answer names is replaced, what it leaves out stays. */
  private static JsonNode follow(JsonNode window, JsonNode delta) {
    assertThat(delta.get("fromVersion")).isEqualTo(window.get("version"));
    ObjectNode next = (ObjectNode) window.deepCopy();
    List.of("version", "name", "settings", "pixelTypes", "zones")
        .forEach(field -> take(next, delta, field));
    List.of("network", "power").forEach(field -> put(next, delta, field));
    List.of("findings", "accepted", "undo").forEach(field -> take(next, delta, field));
    merge(next, delta, "controllers", "controllerOrder", "controller");
    merge(next, delta, "props", "propOrder", "prop");
    return next;
  }

  private static void take(ObjectNode into, JsonNode delta, String field) {
    if (delta.hasNonNull(field)) {
      into.set(field, delta.get(field));
    }
  }

  /** Of its lists what is told to stand at some places; of its numbers what they are now. */
  private static void put(ObjectNode into, JsonNode delta, String field) {
    if (!delta.hasNonNull(field)) {
      return;
    }
    ObjectNode whole = (ObjectNode) into.get(field);
    for (var told : delta.get(field).properties()) {
      if (!told.getValue().isObject()) {
        whole.set(told.getKey(), told.getValue());
        continue;
      }
      List<JsonNode> list = new ArrayList<>();
      whole.get(told.getKey()).forEach(list::add);
      int size = told.getValue().get("size").asInt();
      list.subList(Math.min(size, list.size()), list.size()).clear();
      for (int i = 0; i < told.getValue().get("places").size(); i++) {
        int place = told.getValue().get("places").get(i).asInt();
        JsonNode entry = told.getValue().get("entries").get(i);
        if (place < list.size()) {
          list.set(place, entry);
        } else {
          assertThat(place).isEqualTo(list.size());
          list.add(entry);
        }
      }
      assertThat(list).hasSize(size);
      ArrayNode now = whole.putArray(told.getKey());
      list.forEach(now::add);
    }
  }

  private static void merge(
      ObjectNode into, JsonNode delta, String field, String orderField, String inner) {
    Map<String, JsonNode> byId = new LinkedHashMap<>();
    List<String> order = new ArrayList<>();
    for (JsonNode view : into.get(field)) {
      byId.put(idOf(view, inner), view);
      order.add(idOf(view, inner));
    }
    delta.get(field).forEach(view -> byId.put(idOf(view, inner), view));
    if (delta.hasNonNull(orderField)) {
      order.clear();
      delta.get(orderField).forEach(id -> order.add(id.asString()));
    }
    ArrayNode merged = into.putArray(field);
    order.forEach(id -> merged.add(byId.get(id)));
  }

  private static String idOf(JsonNode view, String inner) {
    return view.get(inner).get("id").asString();
  }
}
