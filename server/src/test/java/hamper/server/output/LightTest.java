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
import hamper.pattern.Pattern;
import hamper.pattern.PatternKind;
import hamper.samples.RandomYards;
import hamper.send.FrameLayout;
import hamper.send.FrameLayouts;
import hamper.send.Light;
import hamper.send.Lights;
import hamper.send.Meant;
import hamper.send.MeantPort;
import hamper.send.Ramp;
import hamper.send.Target;
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
        Lights.Hold white = Lights.Hold.white("Ann", Targets.ALL, Ramp.steady(80), 30);
        light.spots().forEach(spot -> light.light(frame, spot, white, 80, false, 0));
        look(facts, own, layout, frame, LEVEL);
        light.dark(frame);
        look(facts, own, layout, frame, 0);
      }
    }
    assertThat(lit).isGreaterThan(10_000);
    assertThat(kept).isGreaterThan(500);
  }

  /** Whatever is put on everything, by whomever: what was not armed stays as it rests. */
  @Test
  void noPatternMovesWhatIsNotArmed() {
    long safe = 0;
    for (long seed = 1; seed <= 60; seed++) {
      Facts facts = Facts.of(RandomYards.of(CatalogueFiles.shipped(), seed));
      Map<String, FrameLayout> layouts = FrameLayouts.of(facts);
      for (ControllerFacts own : facts.controllers()) {
        FrameLayout layout = layouts.get(own.controller().id());
        Light light = Light.of(facts, own, layout);
        byte[] rests = new byte[layout.length()];
        light.dark(rests);
        for (PatternKind kind : PatternKind.values()) {
          byte[] frame = rests.clone();
          Lights.Hold hold = hold(Pattern.of(kind), 100);
          for (long millis = 0; millis < 9_000; millis += 1_100) {
            long now = millis;
            light.spots().forEach(spot -> light.light(frame, spot, hold, 100, false, now));
          }
          for (Light.Mover mover : light.movers().values()) {
            for (int place : mover.places()) {
              assertThat(frame[place]).as(kind + " " + seed).isEqualTo(rests[place]);
              safe++;
            }
          }
        }
      }
    }
    assertThat(safe).isGreaterThan(10_000);
  }

  private static Lights.Hold hold(Pattern pattern, int ceiling) {
    return new Lights.Hold("Ann", Targets.ALL, pattern, 0, Ramp.steady(100), Map.of(), ceiling);
  }

  /**
   * What results never exceeds the ceiling, whatever the device takes off itself; and where the
   * device is known to do that, it is what was asked for, as far as it can be.
   */
  @Test
  void theLightThatResultsIsWhatWasAskedFor() {
    long exact = 0;
    for (long seed = 1; seed <= 100; seed++) {
      Facts facts = Facts.of(RandomYards.of(CatalogueFiles.shipped(), seed));
      Map<String, FrameLayout> layouts = FrameLayouts.of(facts);
      int ceiling = (int) (seed * 7 % 100) + 1;
      int percent = (int) (seed * 13 % 100) + 1;
      for (ControllerFacts own : facts.controllers()) {
        FrameLayout layout = layouts.get(own.controller().id());
        Light light = Light.of(facts, own, layout);
        for (boolean known : new boolean[] {true, false}) {
          byte[] frame = new byte[layout.length()];
          light.dark(frame);
          Lights.Hold hold = hold(Pattern.WHITE, ceiling);
          light.spots().forEach(spot -> light.light(frame, spot, hold, percent, known, 0));
          Set<Integer> kept = new HashSet<>();
          light
              .movers()
              .values()
              .forEach(mover -> Arrays.stream(mover.places()).forEach(kept::add));
          exact += results(facts, own, layout, frame, kept, ceiling, percent, known);
        }
      }
    }
    assertThat(exact).isGreaterThan(100_000);
  }

  /** How many bytes show just what was asked for; none shows more than it may. */
  private static long results(
      Facts facts,
      ControllerFacts own,
      FrameLayout layout,
      byte[] frame,
      Set<Integer> kept,
      int ceiling,
      int percent,
      boolean known) {
    long exact = 0;
    for (RunFacts run : own.runs()) {
      boolean pixels = run.port().kind() == PortKind.PIXEL && !run.placements().isEmpty();
      MeantPort meant = pixels ? Meant.of(facts.plan(), own.controller(), run, layout) : null;
      for (int i = 0; pixels && i < meant.places().length; i++) {
        if (kept.contains(meant.places()[i])) {
          continue; // the plan lets a circuit share its channel, which rests as it is
        }
        int shown = meant.shown(frame, i);
        int takes = meant.percent()[i];
        assertThat(shown).isLessThanOrEqualTo((255 * ceiling + 99) / 100);
        double asked = Math.min(ceiling, percent * takes / 100.0);
        // one that is not known may be brighter than it was planned, and is sent less
        boolean just = Math.abs(shown - 255 * asked / 100) <= 1.5;
        exact += known && just && meant.places()[i] >= 0 ? 1 : 0;
      }
    }
    return exact;
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
    Lights.Hold all = Lights.Hold.white("Ann", Targets.ALL, Ramp.steady(100), 30);
    lights.fill("k", frame, List.of(all), Map.of(), Set.of("k"), 0);
    assertThat(levels(frame)).as("25 %% of full results, under the ceiling").startsWith(255, 255);
    assertThat(levels(frame)[6]).isEqualTo(LEVEL);
    lights.fill("k", frame, List.of(all), Map.of(), Set.of(), 0);
    assertThat(levels(frame)).as("not read back: 100 %% is assumed").startsWith(LEVEL, LEVEL);

    Lights.Hold one =
        Lights.Hold.white("Bo", Targets.of(new Target.OfProp("b")), Ramp.steady(10), 30);
    lights.fill("k", frame, List.of(one), Map.of(), Set.of(), 0);
    assertThat(levels(frame)).startsWith(0, 0, 0, 0, 0, 0, 25, 25);
    assertThat(lights.hits(one.what())).isEqualTo(1);
    assertThat(lights.clash(Targets.ALL, "Ann", List.of(one)))
        .contains(new Lights.Clash("b1", "Bo"));
    assertThat(lights.clash(Targets.ALL, "Bo", List.of(one))).isEmpty();
    assertThat(lights.clash(Targets.of(new Target.OfPiece("a1")), "Ann", List.of(one))).isEmpty();
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
