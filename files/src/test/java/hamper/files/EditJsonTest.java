package hamper.files;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import hamper.display.Plan;
import hamper.edit.Edit;
import hamper.edit.PutController;
import hamper.edit.SetControllers;
import hamper.samples.RandomEdits;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.Test;
import tools.jackson.core.JacksonException;

/**
 * Edits as JSON: what is left out stays, null is none, and nothing of an edit is lost on the way.
 */
class EditJsonTest {
  private static Plan demo() throws IOException {
    return DisplayFile.read(
        Files.readAllBytes(
            Path.of("../server/src/main/resources/hamper/demo/saltmarsh-quay.hamper.json")),
        CatalogueFiles.shipped());
  }

  private static Edit read(String json) {
    return Json.MAPPER.readValue(json, Edit.class);
  }

  private static String write(Edit edit) {
    return Json.MAPPER.writerFor(Edit.class).writeValueAsString(edit);
  }

  @Test
  void whatIsLeftOutStaysAndNullIsNone() {
    String json =
        "{\"type\":\"SetControllers\",\"controllers\":[\"k\"],"
            + "\"set\":{\"settings\":{\"address\":null,\"brightness\":40}}}";
    SetControllers edit = (SetControllers) read(json);
    var settings = edit.set().settings().orElseThrow();
    assertThat(settings.brightness().value()).contains(40);
    assertThat(settings.address().said()).isTrue();
    assertThat(settings.address().value()).isEmpty();
    assertThat(settings.note().said()).isFalse();
    assertThat(edit.set().name().said()).isFalse();
    assertThat(write(edit)).isEqualTo(json);
  }

  @Test
  void aThousandRandomEditsComeBackAsTheyWere() throws IOException {
    Plan demo = demo();
    Plan plan = demo;
    RandomEdits edits = new RandomEdits(11);
    for (int i = 0; i < 1000; i++) {
      Edit edit = edits.next(plan);
      assertThat(read(write(edit))).isEqualTo(edit);
      plan = i % 50 == 0 ? demo : edit.applyTo(plan).plan();
    }
  }

  @Test
  void aValueOfAnotherTypeIsRefused() {
    assertThatThrownBy(
            () ->
                read("{\"type\":\"SetProps\",\"props\":[\"a\"],\"set\":{\"brightness\":\"much\"}}"))
        .hasMessageContaining("much");
    assertThatThrownBy(
            () -> read("{\"type\":\"SetProps\",\"props\":[\"a\"],\"set\":{\"colour\":3}}"))
        .hasMessageContaining("colour");
  }

  /** Controllers of the first version had no note, no supplies, no feeds and no joints. */
  @Test
  void aControllerAsItOnceWasIsStillRead() {
    PutController edit =
        (PutController)
            read(
                """
                {"type":"PutController","controller":{"id":"k","tag":"K1","name":"K","model":"any",
                 "settings":{"protocol":"E131","transport":"UNICAST","universeSize":510,
                  "reserveUniverses":0,"reserveChannels":0},
                 "sending":{"fromStorage":false,"fullUniverses":false,"hostName":""},
                 "adapters":[],"cables":[],
                 "runs":[{"kind":"PIXEL","port":1,"legs":[{"piece":"a","nullPixels":2}]}]}}""");
    assertThat(edit.controller().settings().note()).isEmpty();
    assertThat(edit.controller().powered()).isEmpty();
    assertThat(edit.controller().runs().get(0).legs().get(0).feeds()).isEmpty();
    assertThat(edit.controller().runs().get(0).legs().get(0).cut()).isEmpty();
  }

  @Test
  void anEmptyEntryOfAListOrAnObjectIsToldAsSuch() {
    String list = "{\"type\":\"UnpatchPieces\",\"pieces\":[\"a\",null]}";
    String object =
        "{\"type\":\"HangPieces\",\"at\":[{\"port\":{\"controller\":\"k2\",\"kind\":\"PIXEL\","
            + "\"port\":5},\"pieces\":[\"a\"]}],\"boxes\":{\"a\":null}}";
    for (String json : List.of(list, object)) {
      assertThatThrownBy(() -> read(json))
          .isInstanceOfSatisfying(
              JacksonException.class,
              e ->
                  assertThat(Refusals.of(e))
                      .hasMessageContaining("nothing is refused")
                      .hasMessageContaining("stands empty (null)"));
    }
  }
}
