package hamper.send;

import hamper.catalog.PortKind;
import hamper.display.Circuit;
import hamper.display.HungLeg;
import hamper.display.Piece;
import hamper.display.StripDecoder;
import hamper.facts.ControllerFacts;
import hamper.facts.Facts;
import hamper.facts.RunFacts;
import hamper.resolve.Placement;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * What of a controller's frame is light, and what must not move: circuits and the slots of fixtures
 * stay at their safe state, which need not be off, and are never scaled.
 */
public final class Light {
  private static final int FULL = 255;
  private static final int WHOLE = 100;

  /**
   * The light of one piece on one run.
   *
   * @param prop the id of the prop that it is of
   * @param piece its id
   * @param supply what it draws from: the id of the supply behind its run's plug, else of its
   *     controller
   * @param places of its bytes in the frame
   */
  public record Spot(String prop, String piece, String supply, int[] places) {}

  /**
   * A piece that moves or switches.
   *
   * @param piece what hangs there
   * @param places of its slots in the frame; a circuit has one
   */
  public record Mover(Piece piece, int[] places) {}

  private final List<Spot> spots = new ArrayList<>();
  private final Map<String, Mover> movers = new LinkedHashMap<>();

  /** What must not move; where the plan lets light share a channel with it, light stays out. */
  private final BitSet kept = new BitSet();

  /** For each byte the most that any device that shows it leaves of it, in percent. */
  private final byte[] left;

  private final byte[] safe;

  private Light(int length) {
    safe = new byte[length];
    left = new byte[length];
  }

  public static Light of(Facts facts, ControllerFacts own, FrameLayout layout) {
    Light light = new Light(layout.length());
    own.runs().stream()
        .filter(run -> !run.placements().isEmpty())
        .forEach(run -> light.add(facts, own, run, layout));
    return light;
  }

  private void add(Facts facts, ControllerFacts own, RunFacts run, FrameLayout layout) {
    MeantPort meant = Meant.of(facts.plan(), own.controller(), run, layout);
    PortKind kind = run.port().kind();
    boolean pixels = kind == PortKind.PIXEL || kind == PortKind.PANEL;
    String supply = run.supply().orElse(own.controller().id());
    int at = 0;
    for (int p = 0; p < run.placements().size(); p++) {
      Placement placement = run.placements().get(p);
      HungLeg leg = run.run().legs().get(placement.leg());
      int end = pixels ? meant.ends()[p] : at + placement.channels();
      Piece piece = leg.at().piece();
      int[] places = sent(meant, at, end);
      if (pixels || piece instanceof StripDecoder) {
        spots.add(new Spot(leg.at().prop().id(), piece.id(), supply, places));
        shade(meant, at, end);
      } else {
        keep(piece, places);
      }
      at = end;
    }
  }

  private static int[] sent(MeantPort meant, int from, int to) {
    return Arrays.stream(meant.places(), from, to).filter(place -> place >= 0).toArray();
  }

  private void shade(MeantPort meant, int from, int to) {
    for (int i = from; i < to; i++) {
      int place = meant.places()[i];
      if (place >= 0) {
        left[place] = (byte) Math.max(left[place], meant.percent()[i]);
      }
    }
  }

  private void keep(Piece piece, int[] places) {
    movers.put(piece.id(), new Mover(piece, places));
    for (int place : places) {
      kept.set(place);
      if (piece instanceof Circuit circuit && circuit.safeOn()) {
        safe[place] = (byte) FULL;
      }
    }
  }

  /** Of each run, in wire order. */
  public List<Spot> spots() {
    return spots;
  }

  /** What moves or switches, by the id of the piece. */
  public Map<String, Mover> movers() {
    return movers;
  }

  /** Everything at its safe state, all light out. */
  public void dark(byte[] frame) {
    System.arraycopy(safe, 0, frame, 0, safe.length);
  }

  /**
   * Lights a spot, where nothing lights it brighter already. The light that results stays under a
   * ceiling: what a device takes off by itself counts, where it was read back that it does.
   *
   * @param percent of full, as it is sent
   * @param ceiling most light that results, in percent of full
   * @param readBack whether the device was seen to have the brightness that is planned
   */
  public void white(byte[] frame, Spot spot, double percent, int ceiling, boolean readBack) {
    for (int place : spot.places()) {
      if (!kept.get(place)) {
        int shown = readBack ? Math.max(1, left[place]) : WHOLE;
        int level = (int) (FULL * Math.min(percent, most(ceiling, shown)) / WHOLE);
        frame[place] = (byte) Math.max(frame[place] & FULL, level);
      }
    }
  }

  /** The most that may be sent to a device that leaves so much of it (percent). */
  private static double most(int ceiling, int left) {
    return Math.min(WHOLE, (double) ceiling * WHOLE / left);
  }

  /** Sets what moves. */
  public void move(byte[] frame, String piece, byte[] levels) {
    int[] places = movers.get(piece).places();
    for (int i = 0; i < Math.min(places.length, levels.length); i++) {
      frame[places[i]] = levels[i];
    }
  }
}
