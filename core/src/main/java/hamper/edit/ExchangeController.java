package hamper.edit;

import hamper.address.Protocol;
import hamper.catalog.DeviceModel;
import hamper.display.Controller;
import hamper.display.ControllerSettings;
import hamper.display.Display;
import hamper.display.Plan;
import hamper.resolve.Resolver;
import hamper.value.RecordShape;
import java.util.List;
import java.util.Optional;

/**
 * Puts a device of another model in a controller's place, with the same addresses: every start that
 * it had is held. What the new device has no ports for goes back to the tray; what it cannot be
 * told is found, and a preview says both beforehand.
 */
public record ExchangeController(String controller, String model) implements Edit {
  @Override
  public Display change(Plan plan) {
    DeviceModel next = plan.catalog().existingModel("model", model);
    Display held =
        HoldStarts.of(plan, Resolver.resolve(plan), controller, next.dialect().startsPer());
    Controller before =
        held.controllers().stream()
            .filter(other -> other.id().equals(controller))
            .findFirst()
            .orElseThrow();
    ControllerSettings settings =
        before
            .settings()
            .withMode(Optional.empty())
            .withLayout(plan.modelOf(before).dialect())
            .withProtocol(protocol(next, before.protocol()));
    Controller exchanged =
        RecordShape.with(RecordShape.with(before, "model", model), "cables", List.of())
            .withSettings(settings)
            .withPowered(
                before.powered().stream()
                    .filter(one -> one.bank().isEmpty())
                    .filter(one -> one.input() <= next.powerInputs().size())
                    .toList());
    Controller fitted = SetMode.fitted(next, withoutBoxes(next, exchanged));
    return Runs.change(held, controller, other -> fitted);
  }

  /** Legs keep their box only where the new device has boxes. */
  private static Controller withoutBoxes(DeviceModel next, Controller controller) {
    return controller.withRuns(
        controller.runs().stream()
            .map(
                run ->
                    next.portsOf(run.kind()).flatMap(group -> group.banks()).isPresent()
                        ? run
                        : run.withLegs(
                            run.legs().stream().map(leg -> leg.withBox(Optional.empty())).toList()))
            .toList());
  }

  private static Protocol protocol(DeviceModel next, Protocol now) {
    if (next.hostOnly()) {
      return Protocol.NONE;
    }
    return next.support(now).isPresent() ? now : next.protocols().get(0).protocol();
  }

  @Override
  public String label(Plan plan) {
    String title = plan.catalog().model(model).map(DeviceModel::title).orElse(model);
    return "Exchange %s for %s".formatted(plan.existingController(controller).tag(), title);
  }
}
