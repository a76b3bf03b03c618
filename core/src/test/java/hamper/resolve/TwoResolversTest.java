package hamper.resolve;

import static org.assertj.core.api.Assertions.assertThat;

import hamper.address.ChannelSpan;
import hamper.address.UniverseChannel;
import hamper.display.Plan;
import hamper.sample.RandomDisplays;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

/**
 * Thousands of random displays: a second resolver, written channel by channel, has to agree on
 * each.
 */
@Tag("trial")
class TwoResolversTest {
  private static final int DISPLAYS = Boolean.getBoolean("hamper.trial.long") ? 10_000 : 500;

  @Test
  void aNaiveResolverAgreesOnTenThousandDisplays() {
    int overlaps = 0;
    for (int seed = 1; seed <= DISPLAYS; seed++) {
      Plan plan = RandomDisplays.everything(seed);
      List<String> quick = tell(Resolver.resolve(plan));
      assertThat(quick).as("seed %d", seed).isEqualTo(NaiveResolver.resolve(plan));
      overlaps += (int) quick.stream().filter(line -> line.startsWith("overlap")).count();
    }
    assertThat(overlaps).as("the displays are not too tame").isGreaterThan(DISPLAYS / 10);
  }

  private static List<String> tell(Resolution resolution) {
    List<String> told = new ArrayList<>();
    List<Placement> order = resolution.placements().toList();
    for (int c = 0; c < resolution.blocks().size(); c++) {
      ControllerBlock block = resolution.blocks().get(c);
      told.add(
          "block %d %d %s"
              .formatted(
                  block.channels(),
                  block.usedChannels(),
                  block.firstUniverse().map(String::valueOf).orElse("-")));
      for (Placement at : resolution.byController().get(c)) {
        Optional<ChannelSpan> span = at.controllerChannels();
        told.add(
            "%s/%d %s %s %s %s"
                .formatted(
                    at.piece(),
                    at.section(),
                    span.map(s -> "" + s.start()).orElse("-"),
                    span.map(s -> "" + s.last()).orElse("-"),
                    at.start().map(TwoResolversTest::place).orElse(-1),
                    at.end().map(TwoResolversTest::place).orElse(-1)));
      }
    }
    Map<String, Integer> shared = new TreeMap<>();
    for (Overlap pair : resolution.overlaps().pairs()) {
      shared.put(
          "overlap %05d %05d".formatted(order.indexOf(pair.a()), order.indexOf(pair.b())),
          pair.channels());
    }
    shared.forEach((pair, channels) -> told.add(pair + " " + channels));
    return told;
  }

  private static int place(UniverseChannel slot) {
    return slot.universe() * 1000 + slot.channel();
  }
}
