package hamper.files;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import hamper.display.PixelString;
import hamper.edit.Edit;
import hamper.edit.PutController;
import hamper.edit.SetGap;
import hamper.edit.SetPiece;
import org.junit.jupiter.api.Test;

/** The log keeps edits as they were written; what was added since must not make them unreadable. */
class EarlierEditsTest {
  private static Edit read(String json) {
    return Json.MAPPER.readValue(json, Edit.class);
  }

  @Test
  void aControllerWithoutNoteFeedsAndSuppliesIsStillRead() {
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
  void aStringAndAGapWithoutWiresAreAsUsual() {
    SetPiece edit =
        (SetPiece)
            read(
                """
                {"type":"SetPiece","piece":{"kind":"string","id":"a","name":"a","pixelType":"rgb",
                 "sections":[{"pixels":5,"nullPixels":0,"group":1,"backward":false}],
                 "dataIn":"","connector":"","leadMetres":0.0}}""");
    assertThat(((PixelString) edit.piece()).wires()).isEqualTo(hamper.display.Wiring.USUAL);
    SetGap gap = (SetGap) read("{\"type\":\"SetGap\",\"piece\":\"a\",\"nullPixels\":1}");
    assertThat(gap.cableGauge()).isEmpty();
  }

  @Test
  void whatWasAlwaysThereIsStillAskedFor() {
    assertThatThrownBy(() -> read("{\"type\":\"SetGap\",\"piece\":\"a\"}"))
        .hasMessageContaining("nullPixels");
  }
}
