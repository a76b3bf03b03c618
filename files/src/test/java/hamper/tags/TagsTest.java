package hamper.tags;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import hamper.catalog.PortKind;
import hamper.display.Display;
import hamper.display.Plan;
import hamper.display.PortRef;
import hamper.display.Tag;
import hamper.display.Tagged;
import hamper.display.Workshop;
import hamper.edit.Change;
import hamper.edit.Edit;
import hamper.edit.GiveTags;
import hamper.edit.PatchPieces;
import hamper.edit.Restore;
import hamper.edit.SetTag;
import hamper.files.CatalogueFiles;
import hamper.files.DisplayFile;
import hamper.paper.TagSheet;
import hamper.samples.RandomEdits;
import hamper.samples.RandomWorkshopEdits;
import hamper.samples.RandomYards;
import hamper.samples.Trial;
import hamper.value.RefusedException;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** A tag belongs to a thing: it stays when that moves, and is never given to another. */
@org.junit.jupiter.api.Tag("trial")
class TagsTest {
  private static final int EVENINGS = Trial.size(150, 1_000);
  private static final int EDITS = 14;

  private static Plan yard(long seed) {
    return RandomYards.of(CatalogueFiles.shipped(), seed);
  }

  @Test
  void noTagIsGivenTwiceOverManyEvenings() {
    int given = 0;
    for (int seed = 0; seed < EVENINGS; seed++) {
      given += evening(seed);
    }
    assertThat(given).as("tags that were given").isGreaterThan(5 * EVENINGS);
  }

  /** Edits, undone and done again at random; every text that the program gave, and to what. */
  private static int evening(int seed) {
    Plan plan = yard(seed % 50);
    Random random = new Random(seed);
    RandomEdits edits = new RandomEdits(seed);
    RandomWorkshopEdits workshop = new RandomWorkshopEdits(seed);
    Deque<Restore> done = new ArrayDeque<>();
    Deque<Restore> undone = new ArrayDeque<>();
    Map<String, String> ever = new HashMap<>();
    for (int i = 0; i < EDITS; i++) {
      int draw = random.nextInt(6);
      Deque<Restore> from = draw == 0 ? done : undone;
      boolean back = draw < 2 && !from.isEmpty();
      Edit edit = back ? from.pop() : random.nextBoolean() ? edits.next(plan) : workshop.next(plan);
      Plan before = plan;
      Edit.Applied applied = edit.applyTo(plan);
      plan = applied.plan();
      (back && draw == 0 ? undone : done).push(applied.inverse());
      if (!back) {
        undone.clear();
      }
      TagSheet.rows(plan).stream()
          .map(TagSheet.Row::tag)
          .filter(tag -> !tag.text().startsWith("RED"))
          .forEach(
              tag ->
                  assertThat(ever.computeIfAbsent(tag.text(), text -> thing(tag)))
                      .as("%s in evening %d", tag.text(), seed)
                      .isEqualTo(thing(tag)));
      assertThat(plan.display().workshop().lastTag())
          .isGreaterThanOrEqualTo(before.display().workshop().lastTag());
    }
    return ever.size();
  }

  /** What a tag is on; a feed is known by its string. */
  private static String thing(Tag tag) {
    return tag.kind() == Tag.Kind.LEAD ? "a lead of " + tag.of() : tag.on().toString();
  }

  private static Plan after(Plan plan, Edit edit) {
    return edit.applyTo(plan).plan();
  }

  @Test
  void eachStringAndCableGetsOneAndKeepsItWhereverItMoves() {
    Plan tagged = after(yard(3), new GiveTags());
    Map<Tag.On, String> tags = tagged.display().workshop().byThing();
    assertThat(tags.keySet()).containsExactlyInAnyOrderElementsOf(Tagged.things(tagged).keySet());
    assertThat(after(tagged, new GiveTags()).display()).isEqualTo(tagged.display());
    Plan later = tagged;
    RandomEdits edits = new RandomEdits(3);
    for (int i = 0; i < 40; i++) {
      later = after(later, edits.next(later));
    }
    assertThat(later.display().workshop().byThing()).isEqualTo(tags);
  }

  @Test
  void whatIsUndoneLeavesAGapAndOneThingLosesItsTagByHand() {
    Plan plan = yard(4);
    Edit.Applied given = new GiveTags().applyTo(plan);
    int last = given.plan().display().workshop().lastTag();
    Plan undone = given.inverse().applyTo(given.plan()).plan();
    assertThat(undone.display().workshop().tags()).isEmpty();
    assertThat(undone.display().withWorkshop(Workshop.NONE)).isEqualTo(plan.display());
    Tag first = after(undone, new GiveTags()).display().workshop().tags().get(0);
    assertThat(first.text()).isEqualTo("S%03d".formatted(last + 1));
    Plan off = after(given.plan(), new SetTag(first.on(), Change.none()));
    assertThat(off.display().workshop().byThing()).doesNotContainKey(first.on());
  }

  @Test
  void aTagThatIsTakenIsRefusedWithItsPlaceAndAFileKeepsAll() {
    Plan tagged = after(yard(5), new GiveTags());
    Tag first = tagged.display().workshop().tags().get(0);
    Tag second = tagged.display().workshop().tags().get(1);
    assertThatThrownBy(() -> after(tagged, new SetTag(second.on(), Change.to(first.text()))))
        .isInstanceOf(RefusedException.class)
        .hasMessageContaining(first.text())
        .hasMessageContaining("it is there already");
    assertThatThrownBy(() -> after(tagged, new SetTag(second.on(), Change.to("a tag"))))
        .hasMessageContaining("1 to 12 letters");
    byte[] file = DisplayFile.write(tagged.display());
    Display read = DisplayFile.read(file, CatalogueFiles.shipped()).display();
    assertThat(read).isEqualTo(tagged.display());
  }

  @Test
  void theLeadOfAFeedHasATagThatGoesWhereItsStringGoes() throws IOException {
    Plan plan = after(demo(), new GiveTags());
    Map<Tag.On, String> leads = Tagged.leads(plan);
    assertThat(leads).as("feeds of the demo").hasSize(53).doesNotContainValue("");
    Tag.On lead = leads.keySet().iterator().next();
    Plan moved =
        after(
            plan,
            new PatchPieces(
                List.of(lead.of()), new PortRef("k1", PortKind.PIXEL, 12), Optional.empty()));
    assertThat(Tagged.leads(moved)).containsEntry(lead, leads.get(lead));
    Plan renamed = after(plan, new SetTag(lead, Change.to("RED-9")));
    assertThat(Tagged.leads(renamed)).containsEntry(lead, "RED-9");
    assertThatThrownBy(() -> after(plan, new SetTag(lead, Change.to("S001"))))
        .hasMessageContaining("feeds[0].tag");
    assertThat(Tagged.untagged(plan)).isZero();
  }

  private static Plan demo() throws IOException {
    Path file = Path.of("../server/src/main/resources/hamper/demo/saltmarsh-quay.hamper.json");
    return DisplayFile.read(Files.readAllBytes(file), CatalogueFiles.shipped());
  }
}
