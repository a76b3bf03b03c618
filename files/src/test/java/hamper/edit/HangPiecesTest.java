package hamper.edit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import hamper.catalog.PortKind;
import hamper.display.Leg;
import hamper.display.LegAt;
import hamper.display.Plan;
import hamper.display.PortRef;
import hamper.edit.HangPieces.OnOutlet;
import hamper.files.CatalogueFiles;
import hamper.files.DisplayFile;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** Many pieces are hung at once, behind what hangs; what cannot be is refused as a whole. */
class HangPiecesTest {
  private static final PortRef BUSY = new PortRef("k1", PortKind.PIXEL, 3);
  private static final PortRef FREE = new PortRef("k1", PortKind.PIXEL, 12);
  private Plan plan;

  @BeforeEach
  void theDemo() throws IOException {
    Path file = Path.of("../server/src/main/resources/hamper/demo/saltmarsh-quay.hamper.json");
    plan = DisplayFile.read(Files.readAllBytes(file), CatalogueFiles.shipped());
  }

  private static List<String> on(Plan plan, PortRef port) {
    return plan.run(port).orElseThrow().run().legs().stream().map(Leg::piece).toList();
  }

  @Test
  void theyHangBehindWhatHangsInTheOrderGivenAndOneUndoTakesAllOff() {
    List<String> before = on(plan, BUSY);
    HangPieces edit =
        new HangPieces(
            List.of(
                new OnOutlet(BUSY, List.of("lamp-posts-1")),
                new OnOutlet(FREE, List.of("weather-vane-1", "tower-door-1"))));
    Edit.Applied done = edit.applyTo(plan);
    assertThat(on(done.plan(), BUSY)).startsWith(before.toArray(String[]::new));
    assertThat(on(done.plan(), BUSY)).endsWith("lamp-posts-1");
    assertThat(on(done.plan(), FREE)).containsExactly("weather-vane-1", "tower-door-1");
    assertThat(edit.label(plan)).isEqualTo("Arrange 3 pieces");
    assertThat(done.inverse().applyTo(done.plan()).plan().display()).isEqualTo(plan.display());
  }

  private void refused(String says, OnOutlet... all) {
    assertThatThrownBy(() -> new HangPieces(List.of(all)).change(plan)).hasMessageContaining(says);
  }

  @Test
  void whatHangsAlreadyWhatIsNotThereAndAPortThatIsNotAreRefused() {
    refused("it hangs already", new OnOutlet(FREE, List.of("wall-coping-west-1")));
    refused("nobody", new OnOutlet(FREE, List.of("nobody")));
    refused(
        "no such port",
        new OnOutlet(new PortRef("k2", PortKind.PIXEL, 900), List.of("weather-vane-1")));
    refused(
        "named once",
        new OnOutlet(FREE, List.of("weather-vane-1")),
        new OnOutlet(BUSY, List.of("weather-vane-1")));
  }

  @Test
  void whatHangsMovesWithItsFeedsAndWithoutTheLengthOfItsOldCable() {
    String piece = "hall-roof-1";
    LegAt before = plan.leg(piece).orElseThrow();
    assertThat(before.leg().feeds()).isNotEmpty();
    HangPieces edit =
        new HangPieces(
            List.of(new OnOutlet(FREE, List.of("weather-vane-1", piece))),
            Optional.of(true),
            Optional.empty());
    Edit.Applied done = edit.applyTo(plan);
    assertThat(on(done.plan(), FREE)).containsExactly("weather-vane-1", piece);
    assertThat(done.plan().run(before.port())).isEmpty();
    Leg now = done.plan().leg(piece).orElseThrow().leg();
    assertThat(now.feeds()).isEqualTo(before.leg().feeds());
    assertThat(now.cableMetres()).isEmpty();
    assertThat(done.inverse().applyTo(done.plan()).plan().display()).isEqualTo(plan.display());
  }

  @Test
  void aBoxIsOfAPieceThatIsHungAndOnAPortThatHasBoxes() {
    PortRef banked = new PortRef("k6", PortKind.PIXEL, 32);
    List<OnOutlet> at = List.of(new OnOutlet(banked, List.of("weather-vane-1")));
    HangPieces edit =
        new HangPieces(at, Optional.empty(), Optional.of(Map.of("weather-vane-1", 3)));
    assertThat(edit.applyTo(plan).plan().leg("weather-vane-1").orElseThrow().leg().box())
        .contains(3);
    assertThatThrownBy(() -> new HangPieces(at, Optional.empty(), Optional.of(Map.of("other", 2))))
        .hasMessageContaining("name only pieces that are hung");
    List<OnOutlet> bare = List.of(new OnOutlet(FREE, List.of("weather-vane-1")));
    assertThatThrownBy(
            () ->
                new HangPieces(bare, Optional.empty(), Optional.of(Map.of("weather-vane-1", 2)))
                    .applyTo(plan))
        .hasMessageContaining("no remote boxes");
  }
}
