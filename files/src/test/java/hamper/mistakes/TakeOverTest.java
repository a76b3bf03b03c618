package hamper.mistakes;

import static org.assertj.core.api.Assertions.assertThat;

import hamper.catalog.Catalog;
import hamper.change.ToldDifference;
import hamper.config.Configuration;
import hamper.config.Configurations;
import hamper.display.Controller;
import hamper.display.Plan;
import hamper.edit.Edit;
import hamper.files.CatalogueFiles;
import hamper.handover.TakeOver;
import hamper.resolve.Resolver;
import hamper.samples.RandomYards;
import hamper.samples.Yard;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import org.junit.jupiter.api.Test;

/** What a device has is taken into the plan, and then it is told just that. */
class TakeOverTest {
  private static final Catalog CATALOG = CatalogueFiles.shipped();

  private static Configuration configuration(Plan plan, String id) {
    return Configurations.of(plan, Resolver.resolve(plan), plan.indexOf(id));
  }

  private static Set<String> all(Configuration has) {
    Set<String> keys = new HashSet<>(Set.of(TakeOver.DEVICE));
    has.outputs().forEach(output -> keys.add(TakeOver.keyOf(output)));
    return keys;
  }

  /** Everything that a display says of one device, onto one that nothing was planned for. */
  private static List<String> differences(Plan plan, Controller device) {
    Configuration has = configuration(plan, device.id());
    Plan bare =
        Yard.on(
                new Plan(
                    Yard.empty(CATALOG)
                        .plan()
                        .display()
                        .withModels(plan.display().models())
                        .withPixelTypes(plan.display().pixelTypes()),
                    CATALOG))
            .controller(device.id(), device.model())
            .plan();
    Edit edit = TakeOver.edit(bare, device.id(), has, all(has));
    Plan after = bare.with(edit.change(bare));
    List<String> lines = ToldDifference.between(has, configuration(after, device.id())).lines();
    // and once more, over what hangs there by now
    Plan again = after.with(TakeOver.edit(after, device.id(), has, all(has)).change(after));
    assertThat(again.display().props()).hasSameSizeAs(after.display().props());
    List<String> both = new ArrayList<>(lines);
    both.addAll(ToldDifference.between(has, configuration(again, device.id())).lines());
    return both;
  }

  @Test
  void takenOverThereIsNoDifferenceForAllModels() {
    Set<String> models = new TreeSet<>();
    for (Map.Entry<String, Plan> one : Backgrounds.correct().entrySet()) {
      Plan plan = one.getValue();
      for (Controller device : plan.display().controllers()) {
        if (!plan.modelOf(device).hostOnly()) {
          models.add(device.model());
          assertThat(differences(plan, device)).as("%s, %s", one.getKey(), device.tag()).isEmpty();
        }
      }
    }
    assertThat(models)
        .containsAll(
            CATALOG.models().stream().filter(m -> !m.hostOnly()).map(m -> m.id()).toList());
  }

  /** Whether a device can be told all of it: what it was not told nobody can take from it. */
  private static boolean isWhole(Configuration has) {
    return has.untold().isEmpty()
        && has.outputs().stream()
            .noneMatch(
                output ->
                    output.start().unwritable()
                        || output.sections().stream().anyMatch(one -> one.start().unwritable()));
  }

  @Test
  void randomDisplaysToo() {
    int taken = 0;
    int told = 0;
    for (int seed = 0; seed < 150; seed++) {
      Plan plan = RandomYards.of(CATALOG, seed);
      for (Controller device : plan.display().controllers()) {
        if (!plan.modelOf(device).hostOnly() && isWhole(configuration(plan, device.id()))) {
          taken++;
          List<String> lines = differences(plan, device);
          told += lines.isEmpty() ? 0 : 1;
          assertThat(lines).as("seed %d, %s %s", seed, device.tag(), device.model()).isEmpty();
        }
      }
    }
    System.out.printf("%d random devices taken over, %d with a difference%n", taken, told);
    assertThat(taken).isGreaterThan(100);
  }
}
