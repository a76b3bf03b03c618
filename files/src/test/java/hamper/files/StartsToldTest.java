package hamper.files;

import static org.assertj.core.api.Assertions.assertThat;

import hamper.catalog.DeviceModel;
import hamper.catalog.PortKind;
import hamper.config.Configurations;
import hamper.config.DeviceStart;
import hamper.config.Output;
import hamper.config.Starts;
import hamper.display.Controller;
import hamper.display.Plan;
import hamper.display.Section;
import hamper.facts.Facts;
import hamper.resolve.Placement;
import hamper.samples.Yard;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** What a planner is shown as the device's own start is what its configuration tells it. */
class StartsToldTest {
  static Stream<DeviceModel> modelsWithPixelPorts() {
    return CatalogueFiles.shipped().models().stream()
        .filter(model -> model.portsOf(PortKind.PIXEL).isPresent())
        .filter(model -> !model.protocols().isEmpty());
  }

  @ParameterizedTest
  @MethodSource("modelsWithPixelPorts")
  void theStartThatIsShownIsTheOneThatIsTold(DeviceModel model) {
    Plan plan =
        Yard.empty(CatalogueFiles.shipped())
            .controller("k1", model.id())
            .string("a", "k1", 1, Section.of(30), Section.of(20))
            .plan();
    Facts facts = Facts.of(plan);
    Controller controller = plan.existingController("k1");
    int index = plan.indexOf("k1");
    Output output = Configurations.of(plan, facts.resolution(), index).outputs().get(0);
    List<Placement> placements = facts.resolution().byController().get(index);
    Starts starts = Starts.of(plan, controller, facts.resolution().blocks().get(index), placements);
    for (int i = 0; i < placements.size(); i++) {
      DeviceStart own = output.sections().get(i).start();
      DeviceStart told = own.says() || i > 0 ? own : output.start();
      assertThat(starts.told(placements.get(i))).as(model.title() + " " + i).isEqualTo(told);
    }
  }
}
