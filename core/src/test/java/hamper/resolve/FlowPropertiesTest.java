package hamper.resolve;

import static org.assertj.core.api.Assertions.assertThat;

import hamper.address.ChannelSpan;
import hamper.address.Protocol;
import hamper.catalog.PortKind;
import hamper.display.Controller;
import hamper.display.Display;
import hamper.display.Plan;
import hamper.sample.RandomDisplays;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** What must hold of every display. The seed is the test's name: run it again with that seed. */
class FlowPropertiesTest {
  static List<Integer> seeds() {
    List<Integer> seeds = new ArrayList<>();
    for (int seed = 1; seed <= 150; seed++) {
      seeds.add(seed);
    }
    return seeds;
  }

  @ParameterizedTest(name = "seed {0}")
  @MethodSource("seeds")
  void nothingOverlapsInsideAControllerWithoutHoldsAndMirrors(int seed) {
    Plan plan = RandomDisplays.of(seed, false);
    assertThat(Resolver.resolve(plan).overlaps().pairs())
        .filteredOn(pair -> pair.a().controller() == pair.b().controller())
        .isEmpty();
  }

  @ParameterizedTest(name = "seed {0}")
  @MethodSource("seeds")
  void withHoldsOnlyHeldMeetsHeld(int seed) {
    Plan plan = RandomDisplays.of(seed, true);
    assertThat(Resolver.resolve(plan).overlaps().pairs())
        .filteredOn(pair -> pair.a().controller() == pair.b().controller())
        .allMatch(pair -> pair.a().held() && pair.b().held());
  }

  @ParameterizedTest(name = "seed {0}")
  @MethodSource("seeds")
  void everyAddressHasItsChannelsAndBlocksFollowEachOther(int seed) {
    Resolution resolution = Resolver.resolve(RandomDisplays.of(seed, true));
    resolution
        .placements()
        .filter(at -> at.kind() == PortKind.PIXEL)
        .forEach(
            at -> {
              ChannelSpan span = at.controllerChannels().orElseThrow();
              assertThat(span.length()).isGreaterThanOrEqualTo(at.channels());
            });
    int next = 1;
    for (ControllerBlock block : resolution.blocks()) {
      if (block.channels() > 0) {
        assertThat(block.displayStart()).isEqualTo(next);
        next += block.channels();
      }
    }
  }

  @ParameterizedTest(name = "seed {0}")
  @MethodSource("seeds")
  void theOrderInWhichRunsAndPropsAreWrittenChangesNothing(int seed) {
    Plan plan = RandomDisplays.of(seed, true);
    Random random = new Random(seed);
    Display display = plan.display();
    List<hamper.display.Prop> props = new ArrayList<>(display.props());
    Collections.shuffle(props, random);
    List<Controller> controllers =
        display.controllers().stream()
            .map(
                controller -> {
                  var runs = new ArrayList<>(controller.runs());
                  Collections.shuffle(runs, random);
                  return controller.withRuns(runs);
                })
            .toList();
    Plan shuffled = plan.with(display.withProps(props).withControllers(controllers));
    assertThat(Resolver.resolve(shuffled)).isEqualTo(Resolver.resolve(plan));
  }

  @ParameterizedTest(name = "seed {0}")
  @MethodSource("seeds")
  void assignedUniversesMeetNobody(int seed) {
    Plan plan = RandomDisplays.of(seed, true);
    Resolution resolution = Resolver.resolve(plan);
    boolean[] taken = new boolean[70_000];
    for (int i = 0; i < resolution.blocks().size(); i++) {
      Controller controller = plan.display().controllers().get(i);
      ControllerBlock block = resolution.blocks().get(i);
      if (controller.protocol() == Protocol.DDP || block.firstUniverse().isEmpty()) {
        continue;
      }
      for (int u = 0; u < block.flowingUniverses(); u++) {
        int universe = block.firstUniverse().get() + u;
        assertThat(taken[universe]).as("universe %d", universe).isFalse();
        taken[universe] = true;
      }
    }
  }
}
