package hamper.load;

import hamper.catalog.FrameTime;
import hamper.catalog.PixelType;
import hamper.catalog.PortGroup;
import hamper.catalog.PortKind;
import hamper.display.Controller;
import hamper.display.HungLeg;
import hamper.display.HungRun;
import hamper.display.PixelString;
import hamper.display.Plan;
import hamper.display.PortLimit;
import hamper.display.Section;
import java.util.List;
import java.util.stream.Stream;

/** Loads of pixel ports, from the plan alone. */
public final class PortLoads {
  private PortLoads() {}

  /** Every pixel port that something hangs on, by controller and port. */
  public static List<PortLoad> of(Plan plan) {
    // no controller's loads depend on another's
    return plan.display().controllers().parallelStream()
        .flatMap(controller -> of(plan, controller))
        .toList();
  }

  /** The pixel ports of one controller that something hangs on. */
  public static Stream<PortLoad> of(Plan plan, Controller controller) {
    return plan.runsOf(controller).stream()
        .filter(HungRun::carriesPixels)
        .map(run -> of(plan, run));
  }

  /**
   * @param run that carries pixels
   */
  public static PortLoad of(Plan plan, HungRun run) {
    Controller controller = run.controller();
    int pixels = 0;
    double amps = 0;
    double fullAmps = 0;
    double idleWatts = 0;
    double micros = 0;
    PortLimit limit = new PortLimit(Integer.MAX_VALUE, PortLimit.By.MODEL);
    for (HungLeg leg : run.legs()) {
      pixels += leg.at().string().pixels();
    }
    int nulls = run.places() - pixels;
    PixelType before = null;
    for (HungLeg leg : run.legs()) {
      PixelString string = leg.at().string();
      PixelType type = leg.at().pixels();
      double gap = type.amps(0, leg.leg().nullPixels(), 0);
      amps += gap;
      fullAmps += gap;
      idleWatts += (gap + type.amps(0, string.places(), 0)) * type.volts();
      for (Section section : string.sections()) {
        int percent = run.brightness(leg.at(), section);
        amps += type.amps(section.pixels(), section.nullPixels(), percent);
        fullAmps += type.amps(section.pixels(), section.nullPixels(), 100);
      }
      if (type == before) {
        continue; // its limits are known
      }
      before = type;
      // one port clocks one type; where a run mixes types, the slowest tells the truth
      micros = Math.max(micros, FrameTime.micros(type, pixels + nulls));
      PortLimit ofType = PortLimit.of(plan, controller, type);
      limit = ofType.places() < limit.places() ? ofType : limit;
    }
    return new PortLoad(
        run.port(),
        pixels,
        nulls,
        limit.places(),
        limit.by(),
        micros,
        micros * plan.display().settings().framesPerSecond() / 1_000_000,
        amps,
        fullAmps,
        idleWatts,
        plan.modelOf(controller).portsOf(PortKind.PIXEL).flatMap(PortGroup::fuseAmps));
  }
}
