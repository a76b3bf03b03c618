package hamper.edit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import hamper.catalog.PortKind;
import hamper.display.Leg;
import hamper.display.Plan;
import hamper.display.PortRef;
import hamper.edit.HangPieces.OnOutlet;
import hamper.files.CatalogueFiles;
import hamper.files.DisplayFile;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
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
}
