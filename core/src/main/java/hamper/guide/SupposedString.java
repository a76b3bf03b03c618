package hamper.guide;

import hamper.address.ColourOrder;
import hamper.catalog.DeviceModel;
import hamper.catalog.SectionOption;
import hamper.catalog.Told;
import hamper.config.Configurations;
import hamper.config.DeviceStart;
import hamper.config.Output;
import hamper.display.Controller;
import hamper.display.HungLeg;
import hamper.display.PixelString;
import hamper.display.Plan;
import hamper.display.Section;
import hamper.facts.ControllerFacts;
import hamper.facts.Facts;
import hamper.facts.RunFacts;
import hamper.load.RunPower;
import hamper.pattern.Pattern;
import hamper.resolve.PixelMap;
import hamper.resolve.Placement;
import hamper.send.FrameLayout;
import hamper.send.FrameLayouts;
import hamper.send.Light;
import hamper.send.Lights;
import hamper.send.MeantPort;
import hamper.send.Ramp;
import hamper.send.Target;
import hamper.send.Targets;
import java.util.Arrays;
import java.util.Map;
import java.util.Optional;

/**
 * What a string shows where its device was told something else than planned: the bytes that the
 * device clocks out, taken pixel by pixel by those that really hang there.
 */
final class SupposedString {
  private static final int WHOLE = 100;

  private final Facts facts;
  private final Plan plan;
  private final ControllerFacts own;
  private final RunFacts run;
  private final HungLeg leg;
  private final FrameLayout layout;
  private final Light light;
  private final boolean ownChannels;
  private final boolean startEach;

  private SupposedString(Facts facts, ControllerFacts own, RunFacts run, HungLeg leg, Output told) {
    this.facts = facts;
    this.plan = facts.plan();
    this.own = own;
    this.run = run;
    this.leg = leg;
    layout = FrameLayouts.of(facts).get(own.controller().id());
    light = Light.of(facts, own, layout);
    DeviceStart first = told.start().says() ? told.start() : told.sections().get(0).start();
    startEach = told.sections().stream().allMatch(section -> section.start().says());
    ownChannels = first.universe().isEmpty();
  }

  /** Bytes one after another. */
  private static final class Bytes {
    private byte[] bytes = new byte[256];
    private int count;

    void add(int level) {
      if (count == bytes.length) {
        bytes = Arrays.copyOf(bytes, 2 * count);
      }
      bytes[count++] = (byte) level;
    }

    void dark(int more) {
      for (int i = 0; i < more; i++) {
        add(0);
      }
    }

    byte[] all() {
      return Arrays.copyOf(bytes, count);
    }
  }

  /** Empty where it is no string that hangs on a port that is sent to. */
  static Optional<SupposedString> of(Facts facts, String piece) {
    for (ControllerFacts own : facts.controllers()) {
      for (RunFacts run : own.runs()) {
        for (HungLeg leg : run.run().legs()) {
          boolean placed = !run.placements().isEmpty();
          if (placed && leg.leg().piece().equals(piece) && run.run().carriesPixels()) {
            return told(facts, own, run)
                .map(told -> new SupposedString(facts, own, run, leg, told));
          }
        }
      }
    }
    return Optional.empty();
  }

  /** What the device is told of a port; nothing of one that it has not. */
  private static Optional<Output> told(Facts facts, ControllerFacts own, RunFacts run) {
    int index = facts.plan().indexOf(own.controller().id());
    return Configurations.of(facts.plan(), facts.resolution(), index).outputs().stream()
        .filter(output -> output.kind() == run.port().kind())
        .filter(output -> output.port() == run.port().port() && output.used())
        .findFirst();
  }

  Controller controller() {
    return own.controller();
  }

  HungLeg leg() {
    return leg;
  }

  RunFacts run() {
    return run;
  }

  PixelString string() {
    return leg.at().string();
  }

  int width() {
    return leg.at().pixels().channels();
  }

  /** What its device does that has lost all that it was told. */
  Supposition lost() {
    DeviceModel model = plan.modelOf(own.controller());
    ColourOrder usual =
        model
            .colourOrder()
            .filter(order -> order.channels() == width())
            .orElse(ColourOrder.natural(width()));
    boolean atPlug = model.told(SectionOption.NULL_PIXELS) == Told.PER_PORT && leg.index() == 0;
    boolean turned = string().sections().stream().anyMatch(Section::backward);
    return Supposition.lost(usual, atPlug ? Optional.of(0) : Optional.empty(), turned);
  }

  /** Whether all of its sections take their bytes in one order. */
  boolean hasOneOrder() {
    return string().sections().stream().map(leg.at()::orderOf).distinct().count() == 1;
  }

  /** Null pixels before its first pixel, its gap counted. */
  int nulls() {
    return leg.leg().nullPixels() + string().sections().get(0).nullPixels();
  }

  /** Whether its sections reach into the last universe that its controller hears. */
  boolean reachesLastUniverse() {
    Optional<Integer> last = own.block().firstUniverse().map(first -> first + universes() - 1);
    return run.placements().stream()
        .filter(at -> at.leg() == leg.index())
        .anyMatch(
            at -> at.end().isPresent() && last.equals(Optional.of(at.end().get().universe())));
  }

  /** Universes of the flowing part that it hears. */
  private int universes() {
    return own.block().sentUniverses(own.controller().settings().universeSize());
  }

  /** Whether every fuse of its controller bears all of it white at 100 %, as its own test is. */
  boolean bearsOwnTest() {
    return own.power()
        .flatMap(RunPower::feeds)
        .allMatch(feed -> feed.fuseAmps().filter(fuse -> feed.fullAmps() > fuse).isEmpty());
  }

  /** Whether the device is told its brightness, and it is not full. */
  boolean isDimmed() {
    return string().sections().stream().anyMatch(section -> brightness(leg, section) < WHOLE);
  }

  private int brightness(HungLeg here, Section section) {
    Told told = plan.modelOf(own.controller()).told(SectionOption.BRIGHTNESS);
    if (told == Told.PER_PORT) {
      HungLeg first = run.run().legs().get(0);
      return run.run().brightness(first.at(), first.at().string().sections().get(0));
    }
    return told == Told.PER_SECTION ? run.run().brightness(here.at(), section) : WHOLE;
  }

  /** What is seen of it while a pattern is on it, full, and all else is dark. */
  Sight sight(Supposition supposed, Pattern pattern) {
    byte[] frame = new byte[layout.length()];
    light.dark(frame);
    Targets what = Targets.of(new Target.OfPiece(string().id()));
    Lights.Hold hold = new Lights.Hold("", what, pattern, 0, Ramp.steady(WHOLE), Map.of(), WHOLE);
    for (Light.Spot spot : light.spots()) {
      if (spot.piece().equals(string().id())) {
        light.light(frame, spot, hold, WHOLE, false, 0);
      }
    }
    return seen(clocked(supposed, frame));
  }

  /** The bytes of the whole run as its device clocks them out. */
  private byte[] clocked(Supposition supposed, byte[] frame) {
    Bytes out = new Bytes();
    SupposedSlots slots = new SupposedSlots(plan, own, layout, supposed, ownChannels, frame);
    int lastLeg = -1;
    for (Placement at : run.placements()) {
      HungLeg here = run.run().legs().get(at.leg());
      // all else on the run is as planned
      Supposition told = at.leg() == leg.index() ? supposed : Supposition.AS_PLANNED;
      boolean begins = at.leg() != lastLeg;
      if (begins && lastLeg < 0 || startEach) {
        slots.startAt(at);
      }
      Section section = here.at().string().sections().get(at.section());
      int nulls = section.nullPixels() + (begins ? here.leg().nullPixels() : 0);
      int width = told.channels().orElse(here.at().pixels().channels());
      out.dark((begins ? told.nulls().orElse(nulls) : nulls) * width);
      pixels(here, section, told, width, slots, out);
      lastLeg = at.leg();
    }
    return out.all();
  }

  /** The pixels of a section, without its null pixels. */
  private void pixels(
      HungLeg here,
      Section planned,
      Supposition supposed,
      int width,
      SupposedSlots slots,
      Bytes out) {
    ColourOrder order = supposed.order().orElse(here.at().orderOf(planned));
    ColourOrder sent = order.channels() == width ? order : ColourOrder.natural(width);
    Section told = told(planned, supposed);
    PixelMap map = PixelMap.of(told, ColourOrder.natural(width));
    int bright = supposed.undimmed() ? WHOLE : brightness(here, planned);
    int[][] levels = slots.take(told.addresses(), width);
    for (int w = 0; w < told.pixels(); w++) {
      int address = map.addressAt(w).orElseThrow();
      for (int b = 0; b < width; b++) {
        out.add(MeantPort.scaled(levels[address][sent.channelOf(b)], bright));
      }
    }
  }

  private Section told(Section section, Supposition supposed) {
    boolean forgotten = string().sections().stream().noneMatch(Section::backward);
    return new Section(
        section.pixels(),
        0,
        supposed.ungrouped() ? 1 : section.group(),
        supposed.unfolded() ? Optional.empty() : section.fold(),
        supposed.turned() ? forgotten : section.backward(),
        Optional.empty(),
        Optional.empty(),
        Optional.empty());
  }

  /** What the pixels of this string make of the bytes of the run: each takes its own, in turn. */
  Sight seen(byte[] clocked) {
    int width = width();
    byte[] seen = new byte[string().places() * width];
    int place = leg.start();
    int at = 0;
    for (Section section : string().sections()) {
      ColourOrder order = leg.at().orderOf(section);
      for (int p = 0; p < section.nullPixels() + section.pixels(); p++, place++) {
        for (int b = 0; b < width; b++) {
          int from = place * width + b;
          seen[at + order.channelOf(b)] = from < clocked.length ? clocked[from] : 0;
        }
        at += width;
      }
    }
    return new Sight(width, seen);
  }

  Facts facts() {
    return facts;
  }
}
