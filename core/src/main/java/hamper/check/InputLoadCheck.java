package hamper.check;

import hamper.facts.Facts;
import hamper.load.SiteLoads.InputLoad;
import java.util.List;
import java.util.function.Consumer;

/** A controller's power input that carries too much. */
final class InputLoadCheck extends Check {
  InputLoadCheck() {
    super(
        "input-load",
        Area.POWER,
        Severity.FAULT,
        "A power input carries too much",
        "The current of a controller's power input at planned brightness, all white, with its rating (fault) and with 80 % of it (risk); the model's ports are shared out evenly over its inputs, in their order",
        "The terminal gets hot, its fuse blows, or the board is damaged.");
  }

  @Override
  void run(Facts facts, Consumer<Finding> out) {
    for (InputLoad load : facts.site().inputs()) {
      Rating.of(load.amps(), load.rating().amps(), "A")
          .ifPresent(
              rating ->
                  out.accept(
                      finding(
                          rating.severity(),
                          "Power input %d of %s carries %s at planned brightness; it is rated %s"
                              .formatted(
                                  load.input(),
                                  facts.plan().existingController(load.controller()).tag(),
                                  rating.found(),
                                  rating.rated()),
                          rating.found(),
                          rating.allowed(),
                          List.of(Subject.controller(load.controller())))));
    }
  }
}
