package hamper.server.proof;

import static org.assertj.core.api.Assertions.assertThat;

import hamper.facts.Facts;
import hamper.files.CatalogueFiles;
import hamper.files.DisplayFile;
import hamper.server.output.Door;
import hamper.standin.Misbehaviour;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.function.Predicate;
import org.junit.jupiter.api.Test;

/** Each thing that a device does and nobody planned is seen in the proof, as what it is. */
class MisbehavingProofTest {
  /**
   * Two strings on ports 1 and 2, port 3 unused; port 1 goes on from universe 1 into universe 2.
   */
  private static final String DISPLAY =
      """
      {"format": "hamper-display", "formatVersion": 2, "name": "Small", "props": [
        {"id": "a", "name": "A", "pieces": [{"kind": "string", "id": "a1", "name": "s",
          "pixelType": "node-12v", "sections": [{"pixels": 200, "nullPixels": 1, "backward": true, "brightness": 50}]}]},
        {"id": "b", "name": "B", "pieces": [{"kind": "string", "id": "b1", "name": "s",
          "pixelType": "node-12v", "sections": [{"pixels": 20}]}]}],
       "controllers": [{"id": "k", "tag": "K1", "name": "K", "model": "ostrand-twelve",
         "settings": {"protocol": "E131", "universeSize": 510, "address": "198.51.100.9", "brightness": 100},
         "runs": [{"port": 1, "legs": [{"piece": "a1"}]}, {"port": 2, "legs": [{"piece": "b1"}]}]}]}
      """;

  private final Facts facts =
      Facts.of(
          DisplayFile.read(DISPLAY.getBytes(StandardCharsets.UTF_8), CatalogueFiles.shipped()));

  private ProofReport with(Misbehaviour one) throws Exception {
    Door door = new Door();
    byte[] on = "{\"%s\": true}".formatted(one.key()).getBytes(StandardCharsets.UTF_8);
    Proof.Seam seam =
        Proof.Seam.standing(
            places ->
                places
                    .values()
                    .forEach(
                        place -> {
                          try {
                            assertThat(door.put(place, "misbehaviour", on).refused()).isEmpty();
                          } catch (IOException e) {
                            throw new UncheckedIOException(e);
                          } catch (InterruptedException e) {
                            throw new IllegalStateException(e);
                          }
                        }));
    return Proof.of(facts, percent -> {}, seam);
  }

  private static void onlyWhere(ProofReport report, Predicate<ProofReport.WrongPixel> expected) {
    assertThat(report.passed()).isFalse();
    assertThat(report.examples()).isNotEmpty().allMatch(expected);
    assertThat(report.controllers().get(0).refused()).isEmpty();
  }

  private static List<Integer> turned(List<Integer> levels) {
    return List.of(levels.get(2), levels.get(1), levels.get(0));
  }

  @Test
  void withoutAnyEverythingIsAsItWasMeant() throws Exception {
    ProofReport report = Proof.of(facts, percent -> {});
    assertThat(report.passed()).isTrue();
    assertThat(report.pixels()).isEqualTo(221);
  }

  @Test
  void whoIsNotThereOrSomebodyElseIsGivenNothing() throws Exception {
    assertThat(with(Misbehaviour.OFF).controllers().get(0).refused()).isEqualTo("no power");
    assertThat(with(Misbehaviour.OTHER_MODEL).controllers().get(0).refused())
        .isEqualTo("it says that it is a stranger, planned is a ostrand-twelve");
    assertThat(with(Misbehaviour.OTHER_ADDRESS).controllers().get(0).refused())
        .startsWith("it says that its address is 127.0.0.1, it answers at 127.");
  }

  @Test
  void packetsThatDoNotArriveAreLostNotWrong() throws Exception {
    ProofReport report = with(Misbehaviour.DROPS);
    assertThat(report.lost()).isPositive();
    assertThat(report.wrong()).isZero();
  }

  @Test
  void whatItShowsSaysWhatIsAmiss() throws Exception {
    onlyWhere(
        with(Misbehaviour.OLD_OUTPUTS),
        wrong -> wrong.written().matches("K1 PIXEL ([3-9]|1[0-2])"));
    onlyWhere(
        with(Misbehaviour.COLOUR_ORDER), wrong -> wrong.shown().equals(turned(wrong.meant())));
    onlyWhere(
        with(Misbehaviour.DEAD_PIXEL),
        wrong ->
            wrong.position() > (wrong.written().equals("K1-1") ? 100 : 10)
                && wrong.shown().equals(List.of(0, 0, 0)));
    onlyWhere(
        with(Misbehaviour.DEAD_PIXEL_FROZEN),
        wrong -> wrong.position() > (wrong.written().equals("K1-1") ? 100 : 10));
    onlyWhere(
        with(Misbehaviour.DEAD_PIXEL_RANDOM),
        wrong -> wrong.position() > (wrong.written().equals("K1-1") ? 100 : 10));
    onlyWhere(
        with(Misbehaviour.BLUE_FAILS),
        wrong ->
            wrong.position() > (wrong.written().equals("K1-1") ? 160 : 16)
                && wrong.shown().get(2) == 0
                && wrong.shown().subList(0, 2).equals(wrong.meant().subList(0, 2)));
    onlyWhere(
        with(Misbehaviour.FAINT_GLOW), wrong -> wrong.shown().get(0) == wrong.meant().get(0) / 8);
    onlyWhere(with(Misbehaviour.LOST_CONFIGURATION), wrong -> wrong.written().equals("K1-1"));
    onlyWhere(with(Misbehaviour.FORGOTTEN_NULL), wrong -> wrong.written().equals("K1-1"));
    // backward: what is in the second universe is at the plug
    onlyWhere(
        with(Misbehaviour.ONE_UNIVERSE_LESS),
        wrong ->
            wrong.shown().equals(List.of(0, 0, 0))
                && (wrong.written().equals("K1-2") || wrong.position() <= 31));
    onlyWhere(
        with(Misbehaviour.FULL_UNIVERSES),
        wrong -> wrong.written().equals("K1-1") && wrong.position() <= 31);
  }
}
