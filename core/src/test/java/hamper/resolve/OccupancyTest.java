package hamper.resolve;

import static org.assertj.core.api.Assertions.assertThat;

import hamper.display.Controller;
import hamper.display.Plan;
import hamper.sample.RandomDisplays;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;

/** Who stands in a universe, beside a search through all placements. */
class OccupancyTest {
  private static final int DISPLAYS = 500;

  @Test
  void whoStandsInAUniverseIsWhoseStartAndEndIncludeIt() {
    int spans = 0;
    for (int seed = 1; seed <= DISPLAYS; seed++) {
      Plan plan = RandomDisplays.everything(seed);
      Resolution resolution = Resolver.resolve(plan);
      List<Controller> controllers = plan.display().controllers();
      for (Occupancy domain : resolution.occupancy()) {
        List<Placement> own =
            resolution
                .placements()
                .filter(at -> at.start().isPresent() && at.end().isPresent())
                .filter(
                    at -> PacketDomain.of(controllers.get(at.controller())).equals(domain.domain()))
                .toList();
        Set<Integer> universes = new TreeSet<>();
        own.forEach(at -> universes.addAll(universesOf(at)));
        if (domain.hasUniverses()) {
          assertThat(domain.universes().boxed().collect(Collectors.toSet()))
              .as("seed %d", seed)
              .isEqualTo(universes);
        }
        for (int universe : universes) {
          List<Occupancy.Span> here = domain.in(universe);
          spans += here.size();
          assertThat(here)
              .as("seed %d, universe %d", seed, universe)
              .isSortedAccordingTo((a, b) -> a.first() - b.first())
              .extracting(Occupancy.Span::placement)
              .containsExactlyInAnyOrderElementsOf(
                  own.stream().filter(at -> universesOf(at).contains(universe)).toList());
          here.forEach(span -> assertThat(span.first()).isBetween(1, span.last()));
        }
      }
    }
    assertThat(spans).isGreaterThan(DISPLAYS);
  }

  private static Set<Integer> universesOf(Placement at) {
    Set<Integer> universes = new TreeSet<>();
    for (int u = at.start().get().universe(); u <= at.end().get().universe(); u++) {
      universes.add(u);
    }
    return universes;
  }
}
