package hamper.server.output;

import static org.assertj.core.api.Assertions.assertThat;

import hamper.catalog.PortKind;
import hamper.display.Circuit;
import hamper.display.Piece;
import hamper.display.StripDecoder;
import hamper.facts.ControllerFacts;
import hamper.facts.Facts;
import hamper.facts.RunFacts;
import hamper.files.CatalogueFiles;
import hamper.samples.RandomYards;
import hamper.send.FrameLayout;
import hamper.send.FrameLayouts;
import hamper.send.Light;
import hamper.send.Meant;
import java.util.Arrays;
import java.util.HashMap;
import java.util.HashSet;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.Test;

/** White is for light alone, and under its ceiling; what moves stays where it is safe. */
class LightTest {
  private static final int LEVEL = 255 * 30 / 100;

  private long lit;
  private long kept;

  @Test
  void whiteLightsLightAndLeavesWhatMovesAtItsSafeState() {
    for (long seed = 1; seed <= 150; seed++) {
      Facts facts = Facts.of(RandomYards.of(CatalogueFiles.shipped(), seed));
      Map<String, FrameLayout> layouts = FrameLayouts.of(facts);
      for (ControllerFacts own : facts.controllers()) {
        FrameLayout layout = layouts.get(own.controller().id());
        byte[] frame = new byte[layout.length()];
        Light light = Light.of(facts, own, layout);
        light.white(frame, 80, 30);
        look(facts, own, layout, frame, LEVEL);
        light.dark(frame);
        look(facts, own, layout, frame, 0);
      }
    }
    assertThat(lit).isGreaterThan(10_000);
    assertThat(kept).isGreaterThan(500);
  }

  private void look(Facts facts, ControllerFacts own, FrameLayout layout, byte[] frame, int level) {
    Map<Integer, Integer> still = new HashMap<>();
    Set<Integer> light = new HashSet<>();
    for (RunFacts run : own.runs()) {
      if (!run.placements().isEmpty()) {
        sort(facts, own, run, layout, still, light);
      }
    }
    still.forEach(
        (place, safe) -> {
          assertThat(frame[place] & 255).isEqualTo(safe);
          kept++;
        });
    light.stream()
        .filter(place -> !still.containsKey(place))
        .forEach(
            place -> {
              assertThat(frame[place] & 255).isEqualTo(level);
              lit++;
            });
  }

  /** What must not move with its safe level, and what is light. */
  private static void sort(
      Facts facts,
      ControllerFacts own,
      RunFacts run,
      FrameLayout layout,
      Map<Integer, Integer> still,
      Set<Integer> light) {
    int[] places = Meant.of(facts.plan(), own.controller(), run, layout).places();
    PortKind kind = run.port().kind();
    if (kind == PortKind.PIXEL || kind == PortKind.PANEL) {
      Arrays.stream(places).filter(place -> place >= 0).forEach(light::add);
      return;
    }
    int at = 0;
    for (var placement : run.placements()) {
      Piece piece = run.run().legs().get(placement.leg()).at().piece();
      for (int i = 0; i < placement.channels(); i++, at++) {
        if (places[at] < 0) {
          continue;
        }
        if (piece instanceof StripDecoder) {
          light.add(places[at]);
        } else {
          boolean on = piece instanceof Circuit circuit && circuit.safeOn();
          still.merge(places[at], on ? 255 : 0, Math::max);
        }
      }
    }
  }
}
