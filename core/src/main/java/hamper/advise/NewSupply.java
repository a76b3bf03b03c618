package hamper.advise;

import hamper.display.Controller;
import hamper.display.Plan;
import hamper.display.Supply;
import hamper.load.PortLoads;
import hamper.load.SiteLoads;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;

/** Supplies that remedies bring along. */
final class NewSupply {
  /** Ratings that are sold (A). */
  private static final List<Double> RATINGS =
      List.of(5.0, 10.0, 15.0, 20.0, 30.0, 40.0, 50.0, 60.0, 80.0, 100.0, 150.0, 200.0, 400.0);

  private NewSupply() {}

  /** One that is large enough for all that hangs on a controller, standing beside it. */
  static Supply forController(Plan plan, Controller controller, double volts) {
    double amps = PortLoads.of(plan, controller).mapToDouble(load -> load.amps()).sum();
    String tag = controller.tag();
    String id =
        IntStream.rangeClosed(1, plan.display().power().supplies().size() + 1)
            .mapToObj(number -> "supply-%s-%d".formatted(tag.toLowerCase(), number))
            .filter(made -> plan.supplies().find(made).isEmpty())
            .findFirst()
            .orElseThrow();
    return new Supply(
            id,
            "Supply " + tag,
            controller.settings().zone(),
            volts,
            rating(amps / SiteLoads.PLANNED_SHARE).orElse(amps / SiteLoads.PLANNED_SHARE),
            Optional.empty(),
            Optional.empty())
        .withEnclosure(controller.settings().enclosure());
  }

  /** The smallest rating that is sold and gives so many amperes. */
  static Optional<Double> rating(double amps) {
    return RATINGS.stream().filter(size -> size >= amps).findFirst();
  }
}
