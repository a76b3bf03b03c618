package hamper.check;

import hamper.config.Untold;
import hamper.display.Controller;
import hamper.display.Plan;
import hamper.facts.Facts;
import java.util.List;
import java.util.function.Consumer;

/** The plan asks for something that the device's dialect cannot say. */
final class UntoldCheck extends Check {
  UntoldCheck() {
    super(
        "dialect",
        Area.DIALECT,
        Severity.FAULT,
        "The device cannot be told this",
        "What the plan asks for with what the device model can be told",
        "The device does it its own way: pixels are shifted or look wrong.");
  }

  @Override
  void run(Facts facts, Consumer<Finding> out) {
    facts.untold().forEach(untold -> out.accept(told(facts.plan(), untold)));
  }

  private Finding told(Plan plan, Untold untold) {
    Controller controller = plan.existingController(untold.controller());
    String model = plan.modelOf(controller).title();
    String socket = untold.port().map(plan::written).orElse(controller.tag());
    String where =
        untold
            .piece()
            .map(piece -> plan.existingPiece(piece).title() + " on " + socket)
            .orElse(socket);
    return finding(
        "%s asks for %s (%s)".formatted(where, untold.what(), model),
        Measure.named(untold.what()),
        Measure.words("what " + model + " can be told"),
        List.of(subject(untold)));
  }

  private static Subject subject(Untold untold) {
    if (untold.port().isEmpty()) {
      return Subject.controller(untold.controller());
    }
    return untold
        .piece()
        .map(piece -> Subject.leg(untold.port().get(), piece))
        .orElseGet(() -> Subject.port(untold.port().get()));
  }
}
