package hamper.server;

import static org.assertj.core.api.Assertions.assertThat;

import hamper.server.Started.Answer;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** Two windows that edit the same display, each without having heard of the other's edit. */
class TwoWindowsTest extends ApiCase {
  private static String controller(String set) {
    return "{\"type\":\"SetControllers\",\"controllers\":[\"k1\"],\"set\":%s}".formatted(set);
  }

  private static String brightness(int percent) {
    return controller("{\"settings\":{\"brightness\":%d}}".formatted(percent));
  }

  private JsonNode k1() {
    return whole()
        .get("controllers")
        .valueStream()
        .map(view -> view.get("controller"))
        .filter(one -> one.get("id").asString().equals("k1"))
        .findFirst()
        .orElseThrow();
  }

  @Test
  void changesOfTwoFieldsOfOneThingAreBothKept() {
    assertThat(edit(1, brightness(33)).status()).isEqualTo(200);
    Answer second = edit(1, controller("{\"settings\":{\"note\":\"behind the shed\"}}"));
    assertThat(second.status()).as(second.text()).isEqualTo(200);
    assertThat(second.body().get("fromVersion").asInt()).isEqualTo(2);
    assertThat(k1().at("/settings/brightness").asInt()).isEqualTo(33);
    assertThat(k1().at("/settings/note").asString()).isEqualTo("behind the shed");
  }

  @Test
  void twoChangesOfOneFieldAreRefusedWithItsName() {
    edit(1, brightness(33));
    edit(2, controller("{\"name\":\"Quay\"}"));
    Answer late = edit(1, brightness(44));
    assertThat(late.status()).isEqualTo(409);
    assertThat(late.body().get("detail").asString())
        .contains("The edit of brightness of K1 was made on version 1")
        .contains("Set brightness of K1 to 33 %");
    assertThat(late.body().at("/overlaps/0/path").asString())
        .isEqualTo("controllers/k1/settings/brightness");
    assertThat(late.body().get("overlaps")).hasSize(1);
    assertThat(k1().at("/settings/brightness").asInt()).isEqualTo(33);
    assertThat(edit(3, brightness(44)).status()).isEqualTo(200);
  }

  @Test
  void whatWasRemovedMeanwhileIsNotChanged() {
    edit(1, "{\"type\":\"RemoveController\",\"controller\":\"k1\"}");
    Answer late = edit(1, brightness(44));
    assertThat(late.status()).isEqualTo(409);
    assertThat(late.body().get("since").toString()).contains("Remove K1");
  }

  @Test
  void stepsThatSayByHowMuchAddUp() {
    edit(1, "{\"type\":\"SplitSection\",\"piece\":\"winch-1\",\"index\":0,\"pixels\":20}");
    int before = pixels();
    String step = "{\"type\":\"MoveBoundary\",\"piece\":\"winch-1\",\"index\":0,\"by\":1}";
    for (int i = 0; i < 5; i++) {
      assertThat(edit(2, step).status()).isEqualTo(200);
    }
    assertThat(pixels()).isEqualTo(before + 5);
    Answer absolute =
        edit(
            2,
            "{\"type\":\"SetSections\",\"sections\":[{\"piece\":\"winch-1\",\"index\":0}],"
                + "\"set\":{\"pixels\":9}}");
    assertThat(absolute.status()).isEqualTo(409);
  }

  private int pixels() {
    return whole()
        .get("props")
        .valueStream()
        .map(view -> view.get("prop"))
        .filter(one -> one.get("id").asString().equals("winch"))
        .findFirst()
        .orElseThrow()
        .at("/pieces/0/sections/0/pixels")
        .asInt();
  }

  /** What nobody remembers cannot be compared: after a restart an older version is refused. */
  @Test
  void afterARestartAnOlderVersionIsRefused() {
    edit(1, brightness(33));
    restart();
    assertThat(edit(1, controller("{\"name\":\"Quay\"}")).status()).isEqualTo(409);
    assertThat(edit(2, controller("{\"name\":\"Quay\"}")).status()).isEqualTo(200);
  }

  /** "Undo" means the step that the window shows. */
  @Test
  void undoIsOfTheNewestVersionOnly() {
    edit(1, brightness(33));
    edit(2, controller("{\"name\":\"Quay\"}"));
    assertThat(server.post(path("/undo"), "{\"version\":2}").status()).isEqualTo(409);
  }
}
