package hamper.handover;

import hamper.catalog.InputStyle;
import hamper.catalog.PortKind;
import hamper.config.Configuration;
import hamper.config.Input;
import hamper.config.Output;
import hamper.display.Controller;
import hamper.display.ControllerSettings;
import hamper.display.Display;
import hamper.display.InputRange;
import hamper.display.Plan;
import hamper.display.Prop;
import hamper.display.Run;
import hamper.edit.Edit;
import hamper.edit.Restore;
import hamper.value.RecordShape;
import hamper.value.Require;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.UnaryOperator;

/**
 * What a device has, taken into the plan: its own settings and inputs, and chosen outputs. An
 * output on which as much hangs as the device says keeps its props, which are set as the device has
 * them; one that nobody planned becomes a prop to be named; what hung there instead goes back to
 * the tray. Starts are held where the device has them.
 */
public final class TakeOver {
  /** The device itself and its inputs, as {@link #keyOf} names outputs. */
  public static final String DEVICE = "device";

  private final Plan plan;
  private final Configuration has;
  private final TakenStarts starts;
  private final Map<String, Prop> props = new HashMap<>();
  private final List<Prop> more = new ArrayList<>();
  private final Set<String> ids = new HashSet<>();
  private Controller controller;

  private TakeOver(Plan plan, Controller controller, Configuration has) {
    this.plan = plan;
    this.controller = controller;
    this.has = has;
    this.starts = TakenStarts.of(plan.modelOf(controller).dialect(), has);
    plan.display()
        .props()
        .forEach(
            prop -> {
              props.put(prop.id(), prop);
              ids.add(prop.id());
              prop.pieces().forEach(piece -> ids.add(piece.id()));
            });
  }

  /** What names an output, such as "PIXEL 5". */
  public static String keyOf(Output output) {
    return "%s %d".formatted(output.kind(), output.port());
  }

  /**
   * The edit that takes parts of what a device has.
   *
   * @param has of a device of the controller's model
   * @param keys of outputs, and {@link #DEVICE}
   */
  public static Edit edit(Plan plan, String controller, Configuration has, Set<String> keys) {
    Controller planned = plan.existingController(controller);
    Require.that(
        planned.model().equals(has.model()),
        "model",
        Require.quoted(has.model()),
        "the plan has a %s there; exchange it first".formatted(planned.model()));
    TakeOver taking = new TakeOver(plan, planned, has);
    if (keys.contains(DEVICE)) {
      taking.device();
    }
    has.outputs().stream().filter(output -> keys.contains(keyOf(output))).forEach(taking::output);
    return Restore.between(
        "Take over what %s has".formatted(planned.tag()), plan.display(), taking.display());
  }

  private void device() {
    ControllerSettings settings = controller.settings().withMode(has.mode());
    settings = RecordShape.with(settings, "protocol", has.protocol());
    settings = RecordShape.with(settings, "transport", has.transport());
    settings = RecordShape.with(settings, "address", has.address());
    if (has.packing().isPresent()) {
      settings = RecordShape.with(settings, "packing", has.packing());
    }
    List<Input> flowing = has.inputs().stream().filter(input -> input.dmxPort().isEmpty()).toList();
    if (!has.protocol().usesUniverses()) {
      int lines =
          (int)
              has.outputs().stream()
                  .filter(output -> output.kind() == PortKind.DMX && output.used())
                  .count();
      int bytes = flowing.stream().mapToInt(Input::size).sum() - lines * 512;
      settings = settings.withBlock(Optional.empty(), 0, Math.max(0, bytes));
    } else if (!flowing.isEmpty()) {
      settings = RecordShape.with(settings, "universeSize", starts.universeSize());
      boolean table = plan.modelOf(controller).dialect().inputs() == InputStyle.MAP;
      settings =
          settings.withBlock(
              Optional.of(starts.firstUniverse()), table ? starts.universesOfBlock() : 0, 0);
    }
    controller = controller.withSettings(settings);
    controller =
        RecordShape.with(
            controller,
            "sending",
            RecordShape.with(controller.sending(), "fromStorage", has.ownStorage()));
    controller =
        controller.withInputs(
            flowing.isEmpty() || !has.protocol().usesUniverses()
                ? Optional.empty()
                : Optional.of(flowing.stream().map(this::range).toList()));
  }

  private InputRange range(Input input) {
    return new InputRange(starts.wire(input.universe().orElseThrow()), input.count(), input.size());
  }

  private void output(Output output) {
    Run run =
        controller
            .run(output.kind(), output.port())
            .orElseGet(() -> Run.of(output.kind(), output.port(), List.of()));
    if (!output.used()) {
      controller = controller.withRun(run.withLegs(List.of()));
      return;
    }
    TakenRun taken = new TakenRun(plan, starts, output);
    Optional<TakenRun.Made> kept = taken.over(run, this::prop);
    TakenRun.Made made = kept.orElseGet(() -> anew(taken));
    made.props().forEach(prop -> props.put(prop.id(), prop));
    Optional<Integer> universe =
        output.kind() == PortKind.DMX
            ? output.start().universe().map(starts::wire)
            : Optional.empty();
    controller =
        controller.withRun(
            new Run(output.kind(), output.port(), made.legs(), universe, run.brightness()));
  }

  private Prop prop(String piece) {
    return props.get(plan.existingPiece(piece).prop().id());
  }

  /** A prop that is to be named. */
  private TakenRun.Made anew(TakenRun taken) {
    String name = "%s %s".formatted(controller.tag(), taken.title());
    TakenRun.Made made = taken.anew(fresh(controller.id() + "-" + taken.slug()), name, this::fresh);
    more.addAll(made.props());
    return new TakenRun.Made(List.of(), made.legs());
  }

  /** An id that nothing has yet. */
  private String fresh(String wanted) {
    String id = wanted;
    for (int i = 2; !ids.add(id); i++) {
      id = wanted + "-" + i;
    }
    return id;
  }

  private Display display() {
    Display now = plan.display();
    List<Prop> all = new ArrayList<>(now.props().stream().map(one -> props.get(one.id())).toList());
    all.addAll(more);
    UnaryOperator<Controller> change = one -> one.id().equals(controller.id()) ? controller : one;
    return now.withProps(all).withControllers(now.controllers().stream().map(change).toList());
  }
}
