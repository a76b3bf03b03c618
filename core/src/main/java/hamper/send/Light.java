package hamper.send;

import hamper.catalog.PortKind;
import hamper.display.Circuit;
import hamper.display.Piece;
import hamper.display.StripDecoder;
import hamper.facts.ControllerFacts;
import hamper.facts.Facts;
import hamper.facts.RunFacts;
import java.util.BitSet;

/**
 * What of a controller's frame is light, and what must not move: circuits and the slots of fixtures
 * stay at their safe state, which need not be off, and are never scaled.
 */
public final class Light {
  private static final int FULL = 255;
  private static final int WHOLE = 100;

  private final BitSet light = new BitSet();

  /** What must not move; where the plan lets light share a channel with it, light stays out. */
  private final BitSet kept = new BitSet();

  private final byte[] safe;

  private Light(int length) {
    safe = new byte[length];
  }

  public static Light of(Facts facts, ControllerFacts own, FrameLayout layout) {
    Light light = new Light(layout.length());
    own.runs().stream()
        .filter(run -> !run.placements().isEmpty())
        .forEach(run -> light.add(facts, own, run, layout));
    light.light.andNot(light.kept);
    return light;
  }

  private void add(Facts facts, ControllerFacts own, RunFacts run, FrameLayout layout) {
    MeantPort meant = Meant.of(facts.plan(), own.controller(), run, layout);
    PortKind kind = run.port().kind();
    if (kind == PortKind.PIXEL || kind == PortKind.PANEL) {
      for (int place : meant.places()) {
        lit(place);
      }
      return;
    }
    int at = 0;
    for (var placement : run.placements()) {
      Piece piece = run.run().legs().get(placement.leg()).at().piece();
      for (int i = 0; i < placement.channels(); i++) {
        other(piece, meant.places()[at++]);
      }
    }
  }

  private void lit(int place) {
    if (place >= 0) {
      light.set(place);
    }
  }

  private void other(Piece piece, int place) {
    if (piece instanceof StripDecoder) {
      lit(place);
    } else if (place >= 0) {
      kept.set(place);
      if (piece instanceof Circuit circuit && circuit.safeOn()) {
        safe[place] = (byte) FULL;
      }
    }
  }

  /** Everything at its safe state, all light out. */
  public void dark(byte[] frame) {
    System.arraycopy(safe, 0, frame, 0, safe.length);
  }

  /**
   * All light at a level, everything else at its safe state. The light that results stays under a
   * ceiling; what a device takes off by itself is not known until it was read back, so nothing is
   * counted on.
   *
   * @param percent of full
   * @param ceiling most that is sent, in percent of full
   */
  public void white(byte[] frame, int percent, int ceiling) {
    dark(frame);
    byte level = (byte) (FULL * Math.min(percent, ceiling) / WHOLE);
    for (int place = light.nextSetBit(0); place >= 0; place = light.nextSetBit(place + 1)) {
      frame[place] = level;
    }
  }
}
