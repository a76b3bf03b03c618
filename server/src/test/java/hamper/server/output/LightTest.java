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
import hamper.files.DisplayFile;
import hamper.samples.RandomYards;
import hamper.send.FrameLayout;
import hamper.send.FrameLayouts;
import hamper.send.Light;
import hamper.send.Lights;
import hamper.send.Meant;
import hamper.send.Ramp;
import hamper.send.Targets;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
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
        light.dark(frame);
        light.spots().forEach(spot -> light.white(frame, spot, 80, 30, false));
        look(facts, own, layout, frame, LEVEL);
        light.dark(frame);
        look(facts, own, layout, frame, 0);
      }
    }
    assertThat(lit).isGreaterThan(10_000);
    assertThat(kept).isGreaterThan(500);
  }

  /** Two strings, one of which the device dims to 25 %: that one is not dimmed twice. */
  @Test
  void theCeilingIsOverTheLightThatResults() {
    String display =
        """
        {"format": "hamper-display", "formatVersion": 2, "name": "Dim", "props": [
          {"id": "a", "name": "A", "pieces": [{"kind": "string", "id": "a1", "name": "s",
            "pixelType": "node-12v", "sections": [{"pixels": 2, "brightness": 25}]}]},
          {"id": "b", "name": "B", "pieces": [{"kind": "string", "id": "b1", "name": "s",
            "pixelType": "node-12v", "sections": [{"pixels": 2}]}]}],
         "controllers": [{"id": "k", "tag": "K1", "name": "K", "model": "ostrand-twelve",
           "settings": {"protocol": "E131", "address": "198.51.100.9", "brightness": 100},
           "runs": [{"port": 1, "legs": [{"piece": "a1"}]}, {"port": 2, "legs": [{"piece": "b1"}]}]}]}
        """;
    Facts facts =
        Facts.of(
            DisplayFile.read(display.getBytes(StandardCharsets.UTF_8), CatalogueFiles.shipped()));
    Map<String, FrameLayout> layouts = FrameLayouts.of(facts);
    Lights lights = Lights.of(facts, layouts);
    byte[] frame = new byte[layouts.get("k").length()];
    Lights.Hold all = new Lights.Hold("Ann", Targets.ALL, Ramp.steady(100), 30);
    lights.fill("k", frame, List.of(all), Map.of(), Set.of("k"), 0);
    assertThat(levels(frame)).as("25 %% of full results, under the ceiling").startsWith(255, 255);
    assertThat(levels(frame)[6]).isEqualTo(LEVEL);
    lights.fill("k", frame, List.of(all), Map.of(), Set.of(), 0);
    assertThat(levels(frame)).as("not read back: 100 %% is assumed").startsWith(LEVEL, LEVEL);

    Lights.Hold one =
        new Lights.Hold("Bo", new Targets(Set.of("b"), Set.of(), Set.of()), Ramp.steady(10), 30);
    lights.fill("k", frame, List.of(one), Map.of(), Set.of(), 0);
    assertThat(levels(frame)).startsWith(0, 0, 0, 0, 0, 0, 25, 25);
    assertThat(lights.hits(one.what())).isEqualTo(1);
    assertThat(lights.clash(Targets.ALL, "Ann", List.of(one)))
        .contains(new Lights.Clash("b1", "Bo"));
    assertThat(lights.clash(Targets.ALL, "Bo", List.of(one))).isEmpty();
    assertThat(lights.clash(new Targets(Set.of(), Set.of("a1"), Set.of()), "Ann", List.of(one)))
        .isEmpty();
  }

  private static int[] levels(byte[] frame) {
    int[] levels = new int[frame.length];
    Arrays.setAll(levels, i -> frame[i] & 255);
    return levels;
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
