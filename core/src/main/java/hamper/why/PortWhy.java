package hamper.why;

import hamper.catalog.FrameTime;
import hamper.catalog.PixelType;
import hamper.check.Subject;
import hamper.display.Controller;
import hamper.display.HungLeg;
import hamper.display.HungRun;
import hamper.display.PixelString;
import hamper.display.PortLimit;
import hamper.display.Section;
import hamper.facts.Facts;
import hamper.load.FeedLoad;
import hamper.load.PortLoad;
import hamper.load.RunPower;
import hamper.value.Decimals;
import hamper.why.Why.Fold;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * Why a pixel port carries what it does, and no more.
 *
 * <p>Source: the load rules, "Frame time" and "Current and voltage".
 */
final class PortWhy {
  private final Facts facts;
  private final HungRun run;
  private final PortLoad load;
  private final Controller controller;

  private PortWhy(Facts facts, HungRun run, PortLoad load) {
    this.facts = facts;
    this.run = run;
    this.load = load;
    this.controller = run.controller();
  }

  /** Empty where no pixels hang there. */
  static Optional<PortWhy> of(Facts facts, Question question) {
    return facts.loads().stream()
        .filter(load -> load.port().equals(question.port().orElseThrow()))
        .findFirst()
        .map(load -> new PortWhy(facts, facts.plan().run(load.port()).orElseThrow(), load));
  }

  private Subject subject(HungLeg leg) {
    return Subject.leg(run.port(), leg.leg().piece());
  }

  List<Why> pixels() {
    List<Term> terms = new ArrayList<>();
    for (HungLeg leg : run.legs()) {
      terms.add(Term.of(leg.at().title(), leg.places()).noted(nulls(leg)).at(subject(leg)));
      if (leg.leg().nullPixels() > 0) {
        terms.add(
            Term.of("null pixels in the gap before " + leg.at().title(), leg.leg().nullPixels())
                .at(subject(leg)));
      }
    }
    return List.of(
        new Why(
            "What " + run.written() + " clocks out",
            load.places(),
            "pixel",
            Words.count(load.places(), "pixel"),
            Fold.SUM,
            "pixels that light and null pixels count alike: all are clocked out",
            terms));
  }

  private static String nulls(HungLeg leg) {
    int nulls = leg.places() - leg.at().string().pixels();
    return nulls > 0 ? Words.count(nulls, "null pixel") + " among them" : "";
  }

  private List<PixelType> types() {
    return run.legs().stream().map(leg -> leg.at().pixels()).distinct().toList();
  }

  List<Why> limit() {
    double rate = facts.plan().display().settings().framesPerSecond();
    List<Term> terms = new ArrayList<>();
    for (PixelType type : types()) {
      int model = PortLimit.ofModel(facts.plan(), controller, type);
      if (model < Integer.MAX_VALUE) {
        terms.add(
            Term.of(
                    "%s drives, of %d channels"
                        .formatted(facts.plan().modelOf(controller).title(), type.channels()),
                    model)
                .at(Subject.controller(controller.id())));
      }
      terms.add(
          Term.of(
                  "%s at %s frames a second".formatted(type.name(), Decimals.plain(rate)),
                  FrameTime.mostPlaces(type, rate))
              .noted(
                  "as many as a frame of %s ms has time for"
                      .formatted(Decimals.of(1000 / rate, 1))));
    }
    return List.of(
        new Why(
            "Most pixels on " + run.written(),
            load.limit(),
            "pixel",
            Words.count(load.limit(), "pixel"),
            Fold.LEAST,
            "the lower of what the model drives and what a frame has time for",
            terms));
  }

  List<Why> frameTime() {
    PixelType slowest =
        types().stream()
            .filter(type -> FrameTime.micros(type, load.places()) == load.frameMicros())
            .findFirst()
            .orElseThrow();
    double microsPerBit = 1000 / slowest.bitRateKHz();
    List<Term> terms = new ArrayList<>();
    terms.add(
        Term.of(
                Words.count(load.places(), "pixel") + " of %d bits".formatted(slowest.bits()),
                load.places() * slowest.bits() * microsPerBit)
            .noted(
                "%s clocks at %s kHz"
                    .formatted(slowest.name(), Decimals.plain(slowest.bitRateKHz())))
            .asking(Question.ofPort(Question.Kind.PIXELS, run.port())));
    double rest = slowest.headBits() + Math.ceil(load.places() * slowest.tailBits());
    if (rest > 0) {
      terms.add(Term.of("bits before the first and after the last", rest * microsPerBit));
    }
    terms.add(Term.of("reset, so that all take what they have", slowest.resetMicros()));
    return List.of(
        new Why(
            "Time of a frame on " + run.written(),
            load.frameMicros(),
            "µs",
            "%s µs, which is %s frames a second"
                .formatted(
                    Decimals.grouped(load.frameMicros(), 0),
                    Decimals.of(load.framesPerSecond(), 1)),
            Fold.SUM,
            types().size() == 1
                ? "all pixels one after another, then a pause"
                : "all pixels one after another, then a pause; the slowest type tells the truth",
            terms));
  }

  List<Why> amps(boolean full) {
    List<Term> terms = new ArrayList<>();
    for (HungLeg leg : run.legs()) {
      PixelString string = leg.at().string();
      PixelType type = leg.at().pixels();
      double amps = type.amps(0, leg.leg().nullPixels(), 0);
      for (Section section : string.sections()) {
        int percent = full ? 100 : run.brightness(leg.at(), section);
        amps += type.amps(section.pixels(), section.nullPixels(), percent);
      }
      terms.add(
          Term.of(leg.at().title(), amps)
              .noted(
                  "%s of %s mA at 100 %%, %s mA dark; %s"
                      .formatted(
                          Words.count(string.pixels(), "pixel"),
                          Decimals.plain(type.fullMilliamps()),
                          Decimals.plain(type.idleMilliamps()),
                          full ? "100 %" : brightness(leg)))
              .at(subject(leg)));
    }
    double amps = full ? load.fullAmps() : load.amps();
    return List.of(
        new Why(
            "Current of " + run.written() + (full ? " at 100 %" : " at planned brightness"),
            amps,
            "A",
            Words.decimal(amps, 1, "A"),
            Fold.SUM,
            "all white: idle + (full − idle) × brightness for each pixel; null pixels idle",
            terms),
        throughFeeds(full, amps));
  }

  /** The same current, as it comes in. */
  private Why throughFeeds(boolean full, double amps) {
    List<Term> terms = new ArrayList<>();
    double fed = 0;
    List<FeedLoad> feeds =
        facts.power().stream()
            .filter(power -> power.port().equals(run.port()))
            .flatMap(RunPower::feeds)
            .toList();
    for (FeedLoad feed : feeds) {
      double one = full ? feed.fullAmps() : feed.amps();
      fed += one;
      terms.add(
          Term.of(
                  feed.at().isPresent()
                      ? "feed at position %,d".formatted(feed.position())
                      : "the port's own feed",
                  one)
              .noted(feed.supply().map(supply -> supply.name()).orElse(""))
              .at(
                  feed.supply()
                      .map(supply -> Subject.supply(supply.id()))
                      .orElse(Subject.port(run.port()))));
    }
    if (Math.abs(amps - fed) > UNFED) {
      terms.add(Term.of("pixels that nothing feeds", amps - fed));
    }
    return new Why(
        "The same through its feeds",
        terms.stream().mapToDouble(Term::amount).sum(),
        "A",
        Words.decimal(amps, 1, "A"),
        Fold.SUM,
        "current takes the way of the least resistance: each feed by its lead and by where it enters",
        terms);
  }

  /** How exactly the solver shares out a current (A). */
  private static final double UNFED = 1e-4;

  private String brightness(HungLeg leg) {
    List<String> percents =
        leg.at().string().sections().stream()
            .map(section -> run.brightness(leg.at(), section) + " %")
            .distinct()
            .toList();
    return "planned " + String.join(", ", percents);
  }
}
