package hamper.evenings;

import static org.assertj.core.api.Assertions.assertThat;

import hamper.check.Checks;
import hamper.display.Controller;
import hamper.display.Leg;
import hamper.display.Plan;
import hamper.display.Run;
import hamper.display.Tagged;
import hamper.edit.Edit;
import hamper.edit.HangPieces;
import hamper.edit.Restore;
import hamper.edit.SetFeed;
import hamper.edit.SetTag;
import hamper.edit.SplitSection;
import hamper.edit.Together;
import hamper.facts.Facts;
import hamper.files.CatalogueFiles;
import hamper.files.DisplayFile;
import hamper.files.Json;
import hamper.samples.LargeDisplays;
import hamper.samples.RandomEdits;
import hamper.samples.RandomWorkshopEdits;
import hamper.samples.Trial;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/**
 * Evenings of random edits, whatever they make of the display: what holds for every edit is looked
 * at after each.
 */
@Tag("trial")
class RandomEveningTest {
  private static final Path DEMO =
      Path.of("../server/src/main/resources/hamper/demo/saltmarsh-quay.hamper.json");
  private static final int EDITS = Trial.size(70, 150);

  private static Plan demo() throws IOException {
    return DisplayFile.read(Files.readAllBytes(DEMO), CatalogueFiles.shipped());
  }

  @ParameterizedTest
  @ValueSource(longs = {1, 2, 3, 4})
  void factsTakenOverAreThoseWorkedOutAnew(long seed) throws IOException {
    RandomEdits edits = new RandomEdits(seed);
    Facts facts = Facts.of(demo());
    for (int i = 0; i < EDITS; i++) {
      Edit edit = edits.next(facts.plan());
      facts = facts.with(edit.applyTo(facts.plan()).plan());
      Facts anew = Facts.of(facts.plan());
      String after = "edit %d of %d: %s".formatted(i, seed, edit);
      assertThat(facts.resolution()).as(after).isEqualTo(anew.resolution());
      assertThat(facts.loads()).as(after).isEqualTo(anew.loads());
      assertThat(facts.power()).as(after).isEqualTo(anew.power());
      assertThat(facts.site()).as(after).isEqualTo(anew.site());
      assertThat(facts.untold()).as(after).isEqualTo(anew.untold());
      assertThat(facts.flows()).as(after).isEqualTo(anew.flows());
      assertThat(Checks.all(facts)).as(after).isEqualTo(Checks.all(anew));
    }
  }

  @Test
  void factsWithoutPowerStayWithoutIt() {
    Plan plan = LargeDisplays.of(CatalogueFiles.shipped(), 3, 60, 10, 7);
    Facts facts = Facts.withoutPower(plan);
    Plan changed = new RandomEdits(1).next(plan).applyTo(plan).plan();
    assertThat(facts.with(changed).power()).isEmpty();
    assertThat(facts.with(changed).loads()).isEqualTo(Facts.of(changed).loads());
  }

  @ParameterizedTest
  @ValueSource(longs = {11, 12, 13})
  void everyEditIsTakenBackAndDoneAgainThroughItsWrittenForm(long seed) throws IOException {
    RandomEdits edits = new RandomEdits(seed);
    Plan plan = demo();
    for (int i = 0; i < EDITS; i++) {
      Edit edit = i % 30 == 29 ? edits.nextOrder() : edits.next(plan);
      String json = Json.MAPPER.writerFor(Edit.class).writeValueAsString(edit);
      assertThat(Json.MAPPER.readValue(json, Edit.class)).isEqualTo(edit);
      Edit.Applied done = edit.applyTo(plan);
      String inverse = Json.MAPPER.writeValueAsString(done.inverse());
      Edit.Applied undone = Json.MAPPER.readValue(inverse, Restore.class).applyTo(done.plan());
      assertThat(undone.plan().display()).as("%s", edit).isEqualTo(plan.display());
      Plan again = undone.inverse().applyTo(undone.plan()).plan();
      assertThat(again.display()).as("%s", edit).isEqualTo(done.plan().display());
      plan = again;
    }
  }

  @ParameterizedTest
  @ValueSource(longs = {31, 32})
  void noEditTakesALabelOffALeadThatStays(long seed) throws IOException {
    RandomEdits edits = new RandomEdits(seed);
    Plan plan = demo();
    for (int i = 0; i < EDITS; i++) {
      Plan labelled = plan.with(Tagged.withAll(plan));
      Edit edit = edits.next(labelled);
      plan = edit.applyTo(labelled).plan();
      if (edit instanceof SetFeed || edit instanceof SetTag || edit instanceof Together) {
        continue; // these may say so
      }
      for (Controller controller : plan.display().controllers()) {
        for (Run run : controller.runs()) {
          for (Leg leg : run.legs()) {
            long without = leg.feeds().stream().filter(one -> one.tag().isEmpty()).count();
            int before = labelled.leg(leg.piece()).map(at -> at.leg().feeds().size()).orElse(0);
            assertThat(without)
                .as("%d: %s", i, edit)
                .isLessThanOrEqualTo(Math.max(0, leg.feeds().size() - before));
          }
        }
      }
    }
  }

  @ParameterizedTest
  @ValueSource(longs = {21, 22})
  void aWholeEveningIsUndoneStepByStepAndItsFileReadsAsItWas(long seed) throws IOException {
    RandomEdits edits = new RandomEdits(seed);
    Plan begin = demo();
    Plan plan = begin;
    Deque<Restore> undo = new ArrayDeque<>();
    for (int i = 0; i < EDITS; i++) {
      Edit.Applied done = edits.next(plan).applyTo(plan);
      undo.push(done.inverse());
      plan = done.plan();
      byte[] file = DisplayFile.write(plan.display());
      Plan read = DisplayFile.read(file, CatalogueFiles.shipped());
      assertThat(read.display()).isEqualTo(plan.display());
    }
    while (!undo.isEmpty()) {
      plan = undo.pop().applyTo(plan).plan();
    }
    assertThat(plan.display()).isEqualTo(begin.display());
  }

  @Test
  void everyKindOfEditIsAmongThem() throws IOException {
    RandomEdits edits = new RandomEdits(5);
    Plan plan = demo();
    Set<Class<?>> kinds = new HashSet<>();
    for (int i = 0; i < 1500; i++) {
      Edit edit = edits.next(plan);
      kinds.add(edit.getClass());
      if (edit instanceof SplitSection) {
        plan = edit.applyTo(plan).plan(); // something to join again
      }
    }
    kinds.add(edits.nextOrder().getClass());
    kinds.add(HangPieces.class); // made by proposals: ArrangeTest
    RandomWorkshopEdits workshop = new RandomWorkshopEdits(5);
    for (int i = 0; i < 40; i++) {
      kinds.add(workshop.next(plan).getClass());
    }
    List<Class<?>> all = new ArrayList<>(Edit.kinds());
    all.remove(Restore.class); // the inverse of each
    assertThat(kinds).containsExactlyInAnyOrderElementsOf(all);
  }
}
