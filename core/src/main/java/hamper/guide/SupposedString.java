package hamper.guide;

import hamper.address.ColourOrder;
import hamper.catalog.DeviceModel;
import hamper.catalog.SectionOption;
import hamper.catalog.Told;
import hamper.config.Configurations;
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
import java.util.Optional;

/** A string that hangs somewhere, and what its pixels make of the bytes that its device clocks. */
final class SupposedString {
  private static final int WHOLE = 100;

  private final Facts facts;
  private final Plan plan;
  private final ControllerFacts own;
  private final RunFacts run;
  private final HungLeg leg;
  private final Output told;

  private SupposedString(Facts facts, ControllerFacts own, RunFacts run, HungLeg leg, Output told) {
    this.facts = facts;
    this.plan = facts.plan();
    this.own = own;
    this.run = run;
    this.leg = leg;
    this.told = told;
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

  ControllerFacts own() {
    return own;
  }

  /** What the device is told of its port. */
  Output told() {
    return told;
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

  /** What the device itself makes darker by (%). */
  int brightness(HungLeg here, Section section) {
    Told told = plan.modelOf(own.controller()).told(SectionOption.BRIGHTNESS);
    if (told == Told.PER_PORT) {
      HungLeg first = run.run().legs().get(0);
      return run.run().brightness(first.at(), first.at().string().sections().get(0));
    }
    return told == Told.PER_SECTION ? run.run().brightness(here.at(), section) : WHOLE;
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
