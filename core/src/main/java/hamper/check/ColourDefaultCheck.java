package hamper.check;

import hamper.address.ColourOrder;
import hamper.catalog.DeviceModel;
import hamper.catalog.SectionOption;
import hamper.catalog.Told;
import hamper.display.Controller;
import hamper.display.HungLeg;
import hamper.display.HungRun;
import hamper.facts.Facts;
import java.util.List;
import java.util.function.Consumer;

/** Colours whose order nobody told where device and pixels differ. */
final class ColourDefaultCheck extends Check {
  ColourDefaultCheck() {
    super(
        "colour-order-default",
        Area.COLOURS,
        Severity.HINT,
        "Nobody said the order of colours",
        "Per controller: the colour order of each section that names none, which is its pixel type’s, with that which the model sends by default, where it can be told",
        "Red and green are exchanged if the device is left as it comes.");
  }

  @Override
  void run(Facts facts, Consumer<Finding> out) {
    for (Controller controller : facts.plan().controllers().all()) {
      DeviceModel model = facts.plan().modelOf(controller);
      if (model.colourOrder().isEmpty() || model.told(SectionOption.COLOUR_ORDER) == Told.NOT) {
        continue; // no default to differ from, or a finding of its own
      }
      facts.plan().runsOf(controller).stream()
          .filter(HungRun::carriesPixels)
          .flatMap(run -> run.legs().stream().filter(leg -> silent(model, leg)).limit(1))
          .findFirst()
          .ifPresent(leg -> out.accept(told(controller, model, leg)));
    }
  }

  private static boolean silent(DeviceModel model, HungLeg leg) {
    ColourOrder type = leg.at().pixels().colourOrder();
    return !model.usualOrder(type.channels()).equals(type)
        && leg.at().string().sections().stream().anyMatch(s -> s.colourOrder().isEmpty());
  }

  private Finding told(Controller controller, DeviceModel model, HungLeg leg) {
    ColourOrder type = leg.at().pixels().colourOrder();
    String sent = model.usualOrder(type.channels()).letters();
    return finding(
        "Pixels on %s, such as %s, are %s, and %s sends %s unless it is told: say the order"
            .formatted(controller.tag(), leg.at().title(), type.letters(), model.title(), sent),
        Measure.named(type.letters()),
        Measure.named(sent),
        List.of(Subject.controller(controller.id())));
  }
}
