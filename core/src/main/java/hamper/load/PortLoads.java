package hamper.load;

import hamper.catalog.FrameTime;
import hamper.catalog.PixelType;
import hamper.catalog.PortGroup;
import hamper.catalog.PortKind;
import hamper.display.Brightness;
import hamper.display.Controller;
import hamper.display.Leg;
import hamper.display.PieceAt;
import hamper.display.PixelString;
import hamper.display.Plan;
import hamper.display.PortLimit;
import hamper.display.PortRef;
import hamper.display.Run;
import hamper.display.Section;
import java.util.List;
import java.util.Optional;
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
    return controller.runs().stream().flatMap(run -> of(plan, controller, run).stream());
  }

  /** The load of one run; empty where it carries no pixels. */
  public static Optional<PortLoad> of(Plan plan, Controller controller, Run run) {
    if (run.kind() != PortKind.PIXEL || run.legs().isEmpty()) {
      return Optional.empty();
    }
    int pixels = 0;
    int nulls = 0;
    double amps = 0;
    double fullAmps = 0;
    double idleWatts = 0;
    double micros = 0;
    PortLimit limit = new PortLimit(Integer.MAX_VALUE, PortLimit.By.MODEL);
    List<PieceAt> hung = plan.piecesOf(run);
    for (int i = 0; i < hung.size(); i++) {
      nulls += run.legs().get(i).nullPixels();
      PixelString string = hung.get(i).string();
      pixels += string.pixels();
      nulls += string.nullPixels();
    }
    PixelType before = null;
    for (int i = 0; i < hung.size(); i++) {
      Leg leg = run.legs().get(i);
      PieceAt at = hung.get(i);
      PixelString string = at.string();
      PixelType type = at.pixels();
      double gap = Current.amps(type, 0, leg.nullPixels(), 0);
      amps += gap;
      fullAmps += gap;
      idleWatts += (gap + Current.amps(type, 0, string.places(), 0)) * type.volts();
      for (Section section : string.sections()) {
        int percent = Brightness.percent(section, at.prop(), run, controller);
        amps += Current.amps(type, section.pixels(), section.nullPixels(), percent);
        fullAmps += Current.amps(type, section.pixels(), section.nullPixels(), 100);
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
    return Optional.of(
        new PortLoad(
            new PortRef(controller.id(), run.kind(), run.port()),
            pixels,
            nulls,
            limit.places(),
            limit.by(),
            micros,
            micros * plan.display().settings().framesPerSecond() / 1_000_000,
            amps,
            fullAmps,
            idleWatts,
            plan.modelOf(controller).portsOf(PortKind.PIXEL).flatMap(PortGroup::fuseAmps)));
  }
}
