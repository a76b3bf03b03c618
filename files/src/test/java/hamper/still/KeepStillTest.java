package hamper.still;

import static org.assertj.core.api.Assertions.assertThat;

import hamper.catalog.Catalog;
import hamper.display.Plan;
import hamper.edit.Edit;
import hamper.files.CatalogueFiles;
import hamper.resolve.Resolution;
import hamper.resolve.Resolver;
import hamper.samples.RandomEdits;
import hamper.samples.RandomYards;
import hamper.samples.Trial;
import hamper.value.RefusedException;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

/** After handover nobody wants a start to move that does not have to. */
@Tag("trial")
class KeepStillTest {
  private static final Catalog CATALOG = CatalogueFiles.shipped();
  private static final int EDITS = Trial.size(600, 2_000);

  @Test
  void nothingMovesThatDoesNotHaveToAndNeverMoreThanWithout() {
    long with = 0;
    long without = 0;
    int moving = 0;
    int kept = 0;
    int made = 0;
    for (int seed = 0; made < EDITS; seed++) {
      Plan plan = RandomYards.of(CATALOG, seed);
      RandomEdits edits = new RandomEdits(seed);
      for (int step = 0; step < 20 && made < EDITS; step++) {
        Edit edit =
            hasStrings(plan) && step % 2 == 1 ? edits.nextOfSection(plan) : edits.next(plan);
        Resolution stood = Resolver.resolve(plan);
        Kept still = KeepStill.of(plan, stood, edit);
        Plan after = plan.with(still.edit().change(plan));
        Resolution stands = Resolver.resolve(after);
        Outside outside = Outside.of(plan, stood, plan.with(edit.change(plan)));
        assertThat(outside.moved(stands)).isEqualTo(still.with());
        assertThat(still.with()).isLessThanOrEqualTo(still.without());
        if (still.with() > 0) {
          assertThat(NaiveStill.findsRoom(plan, stood, plan.with(edit.change(plan))))
              .as("seed %d, step %d: %s, %s", seed, step, edit.label(plan), still.moving())
              .isFalse();
        }
        with += still.with();
        without += still.without();
        moving += still.without() > 0 ? 1 : 0;
        kept += still.without() > 0 && still.with() == 0 ? 1 : 0;
        made++;
        plan = after;
      }
    }
    System.out.printf(
        "%,d edits: %,d would move starts outside them, %,d of these none with keeping still;"
            + " %,d channels moved instead of %,d%n",
        made, moving, kept, with, without);
    assertThat(with).isLessThan(without / 3);
  }

  private static boolean hasStrings(Plan plan) {
    return plan.pixelRuns().findAny().isPresent();
  }

  @Test
  void whatIsMadeWithItIsTakenBackAsOneStep() throws RefusedException {
    Plan plan = RandomYards.of(CATALOG, 3);
    RandomEdits edits = new RandomEdits(3);
    int held = 0;
    for (int i = 0; i < 60; i++) {
      Kept still = KeepStill.of(plan, edits.next(plan));
      held += still.held() ? 1 : 0;
      Edit.Applied applied = still.edit().applyTo(plan);
      assertThat(applied.inverse().applyTo(applied.plan()).plan().display())
          .isEqualTo(plan.display());
      plan = applied.plan();
    }
    assertThat(held).isPositive();
  }
}
