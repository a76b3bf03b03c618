package hamper.samples;

import hamper.catalog.DeviceModel;
import hamper.display.Controller;
import hamper.display.Plan;
import hamper.edit.AddControllers;
import hamper.edit.Edit;
import hamper.edit.EditsBetween;
import hamper.edit.ExchangeController;
import hamper.edit.HoldGiven;
import hamper.edit.HoldPlaces;
import hamper.edit.MoveController;
import hamper.edit.PutController;
import hamper.edit.RemoveController;
import hamper.edit.SetMode;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;

/** What random planners do to controllers. */
final class RandomControllerEdits {
  private final Choice choice;

  RandomControllerEdits(Choice choice) {
    this.choice = choice;
  }

  List<Function<Plan, Edit>> kinds() {
    return List.of(
        this::mode,
        this::controller,
        this::dimmer,
        this::firstUniverse,
        this::exchange,
        this::holdGiven,
        this::holdPlaces,
        this::moveController,
        this::removeController,
        this::addControllers);
  }

  private Edit mode(Plan plan) {
    Controller controller = choice.controller(plan);
    List<String> modes =
        plan.modelOf(controller).ports().stream()
            .flatMap(group -> group.modes().stream())
            .map(mode -> mode.name())
            .toList();
    return new SetMode(controller.id(), Optional.of(choice.one(modes)));
  }

  private Edit controller(Plan plan) {
    Controller like = choice.controller(plan);
    return new PutController(
        new Controller(
            choice.id(),
            "N" + choice.random().nextInt(10_000),
            like.name(),
            like.model(),
            like.settings().withAddress(Optional.empty()),
            Optional.empty(),
            List.of()));
  }

  private Edit dimmer(Plan plan) {
    Controller controller = choice.controller(plan);
    return EditsBetween.fields(
        controller,
        controller.withSettings(
            controller.settings().withBrightness(Optional.of(choice.random().nextInt(101)))));
  }

  private Edit firstUniverse(Plan plan) {
    Controller controller = choice.controller(plan);
    Optional<Integer> first =
        Optional.of(1 + choice.random().nextInt(60)).filter(u -> choice.random().nextBoolean());
    return EditsBetween.fields(
        controller,
        controller.withSettings(
            controller.settings().withBlock(first, choice.random().nextInt(6), 0)));
  }

  private Edit exchange(Plan plan) {
    DeviceModel model = choice.one(plan.catalog().models());
    return new ExchangeController(choice.controller(plan).id(), model.id());
  }

  private Edit holdGiven(Plan plan) {
    return new HoldGiven(choice.controller(plan).id());
  }

  private Edit holdPlaces(Plan plan) {
    return new HoldPlaces(
        List.of(
            new HoldPlaces.SectionPlace(
                choice.string(plan).id(), 0, 1 + choice.random().nextInt(2_000))),
        List.of(),
        List.of());
  }

  private Edit moveController(Plan plan) {
    return new MoveController(choice.controller(plan).id(), choice.random().nextInt(7) - 3);
  }

  private Edit removeController(Plan plan) {
    return new RemoveController(choice.controller(plan).id());
  }

  private Edit addControllers(Plan plan) {
    return new AddControllers(choice.one(plan.catalog().models()).id(), List.of(choice.id()));
  }
}
