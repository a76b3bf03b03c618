package hamper.load;

import hamper.catalog.Gauge;
import hamper.catalog.PixelType;
import hamper.catalog.PortGroup;
import hamper.catalog.PortKind;
import hamper.display.Cable;
import hamper.display.Conductor;
import hamper.display.Controller;
import hamper.display.Feed;
import hamper.display.HungLeg;
import hamper.display.HungRun;
import hamper.display.Leg;
import hamper.display.PieceAt;
import hamper.display.PixelString;
import hamper.display.Plan;
import hamper.display.PoweredInput;
import hamper.display.Section;
import hamper.display.Supply;
import hamper.display.Wiring;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * A run as a wire: its positions, what each draws, what lies between them, and where power enters;
 * in parts between joints that cut positive. Source: the load rules, "Current and voltage".
 */
public final class RunWire {
  /**
   * Neighbouring positions that draw the same.
   *
   * @param count of positions, from 1
   * @param amps that each draws at planned brightness (A)
   * @param fullAmps that each draws at 100 % (A)
   * @param ohms of the loop between two of them (Ω)
   * @param ohmsBefore of the loop from the position before the first of them (Ω)
   * @param volts that its pixels are made for (V)
   * @param leastVolts below which their colours go wrong (V)
   */
  record Stretch(
      int count,
      double amps,
      double fullAmps,
      double ohms,
      double ohmsBefore,
      double volts,
      double leastVolts) {
    boolean sameVoltage(Stretch other) {
      return volts == other.volts && leastVolts == other.leastVolts;
    }
  }

  /** A feed before anything is known of its current. */
  record Tap(
      Optional<FeedLoad.FeedRef> at,
      Optional<PoweredInput.Socket> input,
      Optional<Supply> supply,
      double volts,
      int position,
      Cable lead,
      Gauge gauge,
      double ohms,
      Optional<Double> fuseAmps) {}

  /**
   * A part whose positive is joined.
   *
   * @param before positions of the run before it
   */
  record Part(int before, String piece, List<Stretch> stretches, List<Tap> taps) {
    int positions() {
      int sum = 0;
      for (Stretch stretch : stretches) {
        sum += stretch.count();
      }
      return sum;
    }

    /** As a ladder sees it, at planned brightness or at 100 %. */
    LoadedWire wire(boolean full) {
      LoadedWire wire = new LoadedWire(stretches.size());
      for (Stretch one : stretches) {
        wire.add(one.count(), full ? one.fullAmps() : one.amps(), one.ohms(), one.ohmsBefore());
      }
      return wire;
    }

    /**
     * @param lost the index of a feed that is left out; −1 for none
     */
    List<Ladder.Tap> ladderTaps(int lost) {
      List<Ladder.Tap> kept = new ArrayList<>(taps.size());
      for (int i = 0; i < taps.size(); i++) {
        if (i != lost) {
          Tap tap = taps.get(i);
          kept.add(new Ladder.Tap(tap.position(), tap.volts(), tap.ohms()));
        }
      }
      return kept;
    }
  }

  private static final double CONTACT_LOOP = 2 * Wiring.CONTACT_OHMS;

  private final Plan plan;
  private final HungRun run;
  private final List<Part> parts = new ArrayList<>();

  /** Of the part in hand. */
  private List<Stretch> stretches = new ArrayList<>();

  private List<Tap> taps = new ArrayList<>();
  private int before;
  private int reached;
  private String first = "";

  private RunWire(Plan plan, HungRun run) {
    this.plan = plan;
    this.run = run;
  }

  /** The parts of a run of pixels, along the wire. */
  static List<Part> parts(Plan plan, HungRun run) {
    RunWire wire = new RunWire(plan, run);
    run.legs().forEach(wire::add);
    wire.close();
    return wire.parts;
  }

  /**
   * The power input behind a socket: ports are shared out evenly over the inputs of their
   * controller, in their order; a remote box has one of its own. Empty where the model tells none.
   *
   * @param box of the socket, where the port has boxes
   */
  static Optional<PoweredInput.Socket> inputOf(
      Plan plan, Controller controller, int port, int box) {
    Optional<PortGroup> group = plan.modelOf(controller).portsOf(PortKind.PIXEL);
    if (group.flatMap(PortGroup::banks).isPresent()) {
      int bank = group.get().banks().get().bankOf(port);
      return Optional.of(new PoweredInput.Socket(Optional.of(bank), box));
    }
    int inputs = plan.modelOf(controller).powerInputs().size();
    int ports = plan.modeOf(controller, PortKind.PIXEL).map(mode -> mode.ports()).orElse(0);
    if (inputs == 0 || ports == 0) {
      return Optional.empty();
    }
    int input = Math.min(inputs, (port - 1) * inputs / ports + 1);
    return Optional.of(new PoweredInput.Socket(Optional.empty(), input));
  }

  private void close() {
    if (!stretches.isEmpty()) {
      parts.add(new Part(before, first, stretches, taps));
    }
    before = reached;
    stretches = new ArrayList<>();
    taps = new ArrayList<>();
  }

  private void add(HungLeg hung) {
    Leg leg = hung.leg();
    PieceAt at = hung.at();
    PixelString string = at.string();
    PixelType type = at.pixels();
    Wiring wires = string.wires();
    boolean broken = leg.cut().contains(Conductor.POSITIVE) || wires.dataOnly();
    boolean socket = hung.socket();
    if (socket || broken) {
      close();
    }
    boolean joined = !socket && !broken;
    if (stretches.isEmpty()) {
      first = leg.piece();
    }
    Cable cable = run.cableTo(hung, plan);
    double step = wires.gaugeOrUsual().loopOhms(wires.spacingOrUsual());
    double link = link(leg, cable, step);
    double plug = CONTACT_LOOP + wires.gaugeOrUsual().loopOhms(string.leadMetres());
    if (socket && !wires.dataOnly()) {
      double toFirst = leg.nullPixels() > 0 ? link + CONTACT_LOOP : link + plug;
      taps.add(ownTap(hung, type, cable, toFirst));
    }
    double idle = type.idleMilliamps() / 1000;
    if (leg.nullPixels() > 0) {
      put(leg.nullPixels(), idle, idle, link, joined ? link + CONTACT_LOOP : 0, type);
    }
    double into = leg.nullPixels() > 0 ? link + plug : joined ? link + plug : 0;
    for (Section section : string.sections()) {
      if (section.nullPixels() > 0) {
        put(section.nullPixels(), idle, idle, step, into, type);
        into = step;
      }
      int percent = run.brightness(at, section);
      double amps = type.amps(1, 0, percent);
      put(section.pixels(), amps, type.amps(1, 0, 100), step, into, type);
      into = step;
    }
    for (int i = 0; i < leg.feeds().size(); i++) {
      taps.add(tap(hung, i));
    }
  }

  /** The loop between neighbours in the gap: its cable, shared out over its null pixels. */
  private static double link(Leg leg, Cable cable, double step) {
    if (cable.metres() == 0 && leg.nullPixels() > 0) {
      return step; // nobody knows the cable: null pixels stand as far apart as pixels
    }
    return leg.gaugeOrUsual().loopOhms(cable.metres()) / (leg.nullPixels() + 1);
  }

  private void put(
      int count, double amps, double fullAmps, double ohms, double into, PixelType type) {
    stretches.add(new Stretch(count, amps, fullAmps, ohms, into, type.volts(), type.leastVolts()));
    reached += count;
  }

  private Tap ownTap(HungLeg leg, PixelType type, Cable cable, double ohms) {
    Controller controller = run.controller();
    Optional<PoweredInput.Socket> input = inputOf(plan, controller, run.run().port(), leg.box());
    Optional<Supply> supply = input.flatMap(controller::supplyOf).map(plan::existingSupply);
    return new Tap(
        Optional.empty(),
        input,
        supply,
        supply.map(Supply::volts).orElse(type.volts()),
        1,
        cable,
        leg.leg().gaugeOrUsual(),
        ohms,
        plan.modelOf(controller).portsOf(PortKind.PIXEL).flatMap(PortGroup::fuseAmps));
  }

  private Tap tap(HungLeg leg, int index) {
    Feed feed = leg.leg().feeds().get(index);
    Supply supply = plan.existingSupply(feed.supply());
    Cable lead = Cable.lead(plan, feed, leg.at());
    return new Tap(
        Optional.of(new FeedLoad.FeedRef(leg.leg().piece(), index)),
        Optional.empty(),
        Optional.of(supply),
        supply.volts(),
        leg.start() - before + Math.min(feed.position(), leg.places()),
        lead,
        feed.gaugeOrUsual(),
        feed.gaugeOrUsual().loopOhms(lead.metres()),
        feed.fuseAmps());
  }
}
