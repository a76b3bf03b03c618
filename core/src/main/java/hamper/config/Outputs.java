package hamper.config;

import hamper.catalog.DeviceModel;
import hamper.catalog.PixelType;
import hamper.catalog.PortGroup;
import hamper.catalog.PortKind;
import hamper.catalog.PortMode;
import hamper.display.Controller;
import hamper.display.HungRun;
import hamper.display.Plan;
import hamper.display.PortRef;
import hamper.resolve.ControllerBlock;
import hamper.resolve.PlacedRun;
import hamper.resolve.Placement;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * Tells the outputs of one controller in its dialect. What the dialect cannot say is left out here
 * and named by {@link UntoldFinder}.
 *
 * <p>Source: the device rules, "Dialects".
 */
final class Outputs {
  private final Controller controller;
  private final DeviceModel model;
  private final Map<PortRef, PlacedRun> placed = new HashMap<>();
  private final Starts starts;
  private final SectionTeller sections;

  Outputs(Plan plan, Controller controller, ControllerBlock block, List<Placement> placements) {
    this.controller = controller;
    this.model = plan.modelOf(controller);
    PlacedRun.of(plan.runsOf(controller), placements).forEach(one -> placed.put(one.port(), one));
    this.starts = Starts.of(plan, controller, block, placements);
    this.sections = new SectionTeller(plan, controller);
  }

  Optional<String> mode() {
    return model
        .portsOf(PortKind.PIXEL)
        .filter(group -> group.modes().size() > 1)
        .map(group -> group.modeOrFirst(controller.settings().mode()).name());
  }

  /** All ports of the controller's mode, by kind and number. */
  List<Output> tell() {
    List<Output> outputs = new ArrayList<>();
    for (PortGroup group : model.ports()) {
      PortMode mode = group.modeOrFirst(controller.settings().mode());
      for (int port = 1; port <= mode.ports(); port++) {
        outputs.add(tell(new PortRef(controller.id(), group.kind(), port), group));
      }
    }
    return outputs;
  }

  private Output tell(PortRef port, PortGroup group) {
    String label =
        group.pins().isEmpty() ? String.valueOf(port.port()) : group.pins().get(port.port() - 1);
    PlacedRun run = placed.get(port);
    if (run == null) {
      return Output.unused(port.kind(), port.port(), label);
    }
    List<Placement> placements = run.placements();
    return switch (port.kind()) {
      case PIXEL -> pixels(run.run(), label, placements);
      case DMX ->
          plain(port, label, starts.dmx(port), placements.stream().map(sections::fixture).toList());
      case RELAY ->
          plain(
              port,
              label,
              DeviceStart.NONE,
              placements.stream().map(at -> sections.circuit(at, starts.circuit(at))).toList());
      case PANEL ->
          // one matrix: its start, and how its pixels follow each other
          plain(
              port,
              label,
              DeviceStart.NONE,
              placements.stream().map(at -> sections.surface(at, starts.of(at))).toList());
      case SERIAL -> Output.unused(port.kind(), port.port(), label);
    };
  }

  private Output pixels(HungRun run, String label, List<Placement> placements) {
    PortRef port = run.port();
    List<OutputSection> told = new ArrayList<>();
    for (int i = 0; i < placements.size(); i++) {
      Placement at = placements.get(i);
      boolean opensLeg = i == 0 || placements.get(i - 1).leg() != at.leg();
      DeviceStart own = starts.perSection() ? starts.of(at) : DeviceStart.NONE;
      told.add(sections.tell(run, at, opensLeg, own));
    }
    Placement first = placements.get(0);
    PixelType type = SectionTeller.type(run, first);
    return new Output(
        port.kind(),
        port.port(),
        label,
        true,
        starts.port(first),
        run.places(),
        Optional.of(type.chip()),
        Optional.of(type.channels()),
        sections.port(run, first),
        told);
  }

  private static Output plain(
      PortRef port, String label, DeviceStart start, List<OutputSection> told) {
    return Output.plain(port.kind(), port.port(), label, start, told);
  }
}
