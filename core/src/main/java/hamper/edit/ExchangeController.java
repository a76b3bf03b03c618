package hamper.edit;

import hamper.address.Protocol;
import hamper.catalog.DeviceModel;
import hamper.display.Controller;
import hamper.display.ControllerSettings;
import hamper.display.Display;
import hamper.display.Plan;
import hamper.resolve.Resolver;
import hamper.value.RefusedException;
import hamper.value.Require;
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
    DeviceModel next =
        plan.catalog()
            .model(model)
            .orElseThrow(
                () ->
                    new RefusedException(
                        "model", Require.quoted(model), "no device model has this id"));
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
        new Controller(
            before.id(),
            before.tag(),
            before.name(),
            model,
            settings,
            before.inputs(),
            before.sending(),
            before.adapters(),
            List.of(),
            before.powered().stream()
                .filter(one -> one.bank().isEmpty())
                .filter(one -> one.input() <= next.powerInputs().size())
                .toList(),
            before.runs());
    Controller fitted = SetMode.fitted(next, withoutBoxes(next, exchanged));
    return held.withControllers(Runs.change(held.controllers(), controller, other -> fitted));
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
