package hamper.send;

import hamper.catalog.PortKind;
import hamper.display.Circuit;
import hamper.display.HungLeg;
import hamper.display.Piece;
import hamper.display.PieceAt;
import hamper.display.PixelString;
import hamper.display.PortRef;
import hamper.display.Section;
import hamper.display.StripDecoder;
import hamper.display.Wall;
import hamper.facts.ControllerFacts;
import hamper.facts.Facts;
import hamper.facts.RunFacts;
import hamper.pattern.Colour;
import hamper.pattern.Strand;
import hamper.resolve.PixelMap;
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
   * The light of one section of one piece on one run.
   *
   * @param piece its id
   * @param names what it may be called by
   * @param supply what it draws from: the id of the supply behind its run's plug, else of its
   *     controller
   * @param layout of the frame that it lies in
   * @param strand its pixels
   * @param width channels of an address
   * @param places of its bytes in the frame, address by address; {@link FrameLayout#NOT_SENT} where
   *     nothing is sent
   */
  public record Spot(
      String piece,
      PortRef port,
      List<Target> names,
      String supply,
      FrameLayout layout,
      Strand strand,
      int width,
      int[] places) {
    /** Whether a byte of the frame is one of its own. */
    boolean stands(int place) {
      for (int own : places) {
        if (own == place && place >= 0) {
          return true;
        }
      }
      return false;
    }
  }

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
      if (pixels || piece instanceof StripDecoder) {
        Strand strand = strand(placement, leg);
        int width = placement.channels() / strand.addresses();
        boolean slots = placement.addresses() == 0;
        int[][] places =
            SentSlots.of(
                facts.plan(),
                own.controller(),
                layout,
                placement,
                slots ? placement.channels() : strand.addresses(),
                slots ? 1 : width);
        spots.add(
            new Spot(
                piece.id(),
                run.port(),
                names(leg.at(), placement),
                supply,
                layout,
                strand,
                width,
                Arrays.stream(places).flatMapToInt(Arrays::stream).toArray()));
        shade(meant, at, end);
      } else {
        keep(piece, sent(meant, at, end));
      }
      at = end;
    }
  }

  private static List<Target> names(PieceAt at, Placement placement) {
    List<Target> names = new ArrayList<>();
    names.add(new Target.OfProp(at.prop().id()));
    names.add(new Target.OfPiece(at.piece().id()));
    names.add(new Target.OfSection(at.piece().id(), placement.section() + 1));
    names.add(new Target.OfPort(placement.port()));
    names.add(new Target.OfController(placement.port().controller()));
    at.prop().zone().ifPresent(zone -> names.add(new Target.OfZone(zone)));
    return List.copyOf(names);
  }

  private static Strand strand(Placement at, HungLeg leg) {
    int port = at.port().port();
    Piece piece = leg.at().piece();
    if (piece instanceof PixelString string) {
      Section section = string.sections().get(at.section());
      int before =
          string.sections().subList(0, at.section()).stream().mapToInt(Section::pixels).sum();
      PixelMap map = PixelMap.of(section, leg.at().pixels().colourOrder());
      return Strand.of(port, at.leg(), before, string.pixels(), section, map);
    } else if (piece instanceof Wall wall) {
      return Strand.of(port, wall);
    }
    return Strand.plain(port, at.leg(), ((StripDecoder) piece).pixels());
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
   * @param hold with what it is lit
   * @param percent of full, as it is sent
   * @param readBack whether the device was seen to have the brightness that is planned
   * @param now (ms)
   */
  public void light(
      byte[] frame, Spot spot, Lights.Hold hold, double percent, boolean readBack, long now) {
    int[] places = spot.places();
    for (int i = 0; i < places.length; i++) {
      int place = places[i];
      if (place >= 0 && !kept.get(place)) {
        Colour colour = hold.pattern().at(spot.strand(), i / spot.width(), now - hold.since());
        if (colour.lights(i % spot.width(), spot.width()) && hold.what().lights(spot, place)) {
          int shown = readBack ? Math.max(1, left[place]) : WHOLE;
          int level = (int) (FULL * Math.min(percent, most(hold.ceiling(), shown)) / WHOLE);
          frame[place] = (byte) Math.max(frame[place] & FULL, level);
        }
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
