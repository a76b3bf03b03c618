package hamper.edit;

import static org.assertj.core.api.Assertions.assertThat;

import hamper.catalog.Catalog;
import hamper.display.Controller;
import hamper.display.Display;
import hamper.display.Hold;
import hamper.display.PixelString;
import hamper.display.Plan;
import hamper.display.Section;
import hamper.display.Whereabouts;
import hamper.edit.OrderUniverses.By;
import hamper.facts.Facts;
import hamper.files.CatalogueFiles;
import hamper.files.DisplayFile;
import hamper.resolve.ControllerBlock;
import hamper.samples.RandomEdits;
import hamper.samples.Trial;
import hamper.value.RecordShape;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** Universes put in order lie one after another, and nobody is put on top of anybody. */
@Tag("trial")
class OrderUniversesTest {
  private static final Catalog CATALOG = CatalogueFiles.shipped();
  private static final int SEEDS = Trial.size(3, 15);
  private static final Path DEMO =
      Path.of("../server/src/main/resources/hamper/demo/saltmarsh-quay.hamper.json");

  private static Plan demo() throws IOException {
    return DisplayFile.read(Files.readAllBytes(DEMO), CATALOG);
  }

  private static List<Integer> firsts(Plan plan) {
    return Facts.of(plan).resolution().blocks().stream()
        .map(block -> block.firstUniverse().orElse(0))
        .toList();
  }

  @ParameterizedTest
  @EnumSource(By.class)
  void overRandomEveningsNobodySharesWhatHeDidNotShareBefore(By by) throws IOException {
    int tried = 0;
    for (int seed = 1; seed <= SEEDS; seed++) {
      RandomEdits edits = new RandomEdits(seed);
      Plan plan = demo();
      for (int i = 0; i < 40; i++) {
        plan = edits.next(plan).applyTo(plan).plan();
        if (i % 4 == 0) {
          check(plan, new OrderUniverses(by, 1 + seed % 5, seed % 2 == 0));
          tried++;
        }
      }
    }
    assertThat(tried).isEqualTo(10 * SEEDS);
  }

  private static void check(Plan plan, OrderUniverses edit) {
    Facts before = Facts.of(plan);
    Edit.Applied applied = edit.applyTo(plan);
    Facts after = Facts.of(applied.plan());
    assertThat(overlaps(after)).as("%s", edit).isLessThanOrEqualTo(overlaps(before));
    assertThat(edit.applyTo(applied.plan()).plan().display())
        .as("done twice is done once")
        .isEqualTo(applied.plan().display());
    assertThat(applied.inverse().applyTo(applied.plan()).plan().display())
        .isEqualTo(plan.display());
    if (edit.by() == By.LIST && edit.letGo()) {
      onStride(applied.plan(), after, edit.stride());
    }
  }

  private static int overlaps(Facts facts) {
    return facts.resolution().overlaps().pairs().size();
  }

  /** Nothing is fixed and nothing held: each begins at the first step behind the one before. */
  private static void onStride(Plan plan, Facts facts, int stride) {
    int base = plan.display().settings().firstUniverse();
    assertThat(plan.display().settings().universeStride()).isEqualTo(stride);
    for (ControllerBlock block : facts.resolution().blocks()) {
      block.firstUniverse().ifPresent(first -> assertThat((first - base) % stride).isZero());
    }
  }

  @Test
  void zoneByZoneFollowsTheListOfZones() throws IOException {
    Plan plan = demo();
    Plan ordered = new OrderUniverses(By.ZONE, 1, true).applyTo(plan).plan();
    Display display = ordered.display();
    List<Integer> firsts = firsts(ordered);
    List<Integer> inOrder = new ArrayList<>();
    IntStream.range(0, firsts.size())
        .filter(i -> firsts.get(i) > 0)
        .boxed()
        .sorted((a, b) -> firsts.get(a) - firsts.get(b))
        .map(
            i ->
                Whereabouts.zone(ordered, display.controllers().get(i))
                    .flatMap(ordered.zones()::place)
                    .orElse(Integer.MAX_VALUE))
        .forEach(inOrder::add);
    assertThat(inOrder).isSorted().hasSizeGreaterThan(4);
    List<ControllerBlock> blocks = Facts.of(ordered).resolution().blocks();
    int last =
        blocks.stream().mapToInt(one -> one.outermostUniverses().max().orElse(0)).max().getAsInt();
    int all = blocks.stream().mapToInt(ControllerBlock::universes).sum();
    assertThat(last).as("no gap is left").isEqualTo(all);
  }

  @Test
  void whoIsHeldAtAUniverseStaysAndOthersGoRoundIt() throws IOException {
    Plan plan = demo();
    Controller bridge = plan.existingController("k4");
    int first = firsts(plan).get(plan.indexOf("k4"));
    Controller fixed =
        bridge.withSettings(
            RecordShape.with(bridge.settings(), "firstUniverse", Optional.of(first)));
    plan = EditsBetween.fields(bridge, fixed).applyTo(plan).plan();
    String piece = fixed.runs().get(0).legs().get(0).piece();
    Section section = ((PixelString) plan.existingPiece(piece).piece()).sections().get(0);
    Section held = section.withHold(Optional.of(new Hold(Optional.of(first + 2), 7)));
    plan = SetSections.between(new SetSections.At(piece, 0), section, held).applyTo(plan).plan();
    Plan ordered = new OrderUniverses(By.AS_THEY_STAND, 1, false).applyTo(plan).plan();
    assertThat(firsts(ordered).get(plan.indexOf("k4"))).isEqualTo(first);
    assertThat(firsts(ordered).get(plan.indexOf("k2")))
        .isLessThan(firsts(plan).get(plan.indexOf("k2")));
    assertThat(
            Facts.of(ordered)
                .resolution()
                .placements()
                .filter(at -> at.piece().equals(piece) && at.section() == 0)
                .map(at -> at.start().orElseThrow().toString()))
        .containsExactly(first + 2 + ":7");
    assertThat(overlaps(Facts.of(ordered))).isLessThanOrEqualTo(overlaps(Facts.of(plan)));
  }
}
