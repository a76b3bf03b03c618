package hamper.paper;

import static org.assertj.core.api.Assertions.assertThat;

import hamper.catalog.Plug;
import hamper.catalog.PortKind;
import hamper.config.SendList;
import hamper.display.Enclosure;
import hamper.display.PixelString;
import hamper.display.Plan;
import hamper.edit.GiveTags;
import hamper.facts.Facts;
import hamper.files.CatalogueFiles;
import hamper.files.DisplayFile;
import hamper.handover.Units;
import hamper.paper.Block.Cell;
import hamper.paper.Block.Table;
import hamper.progress.Progress;
import hamper.progress.StringFact;
import hamper.progress.StringFact.Condition;
import hamper.progress.StringFact.Stored;
import hamper.progress.StringFact.Trouble;
import hamper.progress.StringFact.Urgency;
import hamper.samples.RandomYards;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/** What stands on each kind of sheet is what the plan has, each thing once. */
class SheetsTest {
  private static final String COPING = "wall-coping-west-1";

  private static Plan demo() throws IOException {
    Path file = Path.of("../server/src/main/resources/hamper/demo/saltmarsh-quay.hamper.json");
    return DisplayFile.read(Files.readAllBytes(file), CatalogueFiles.shipped());
  }

  private static List<Facts> displays() throws IOException {
    List<Facts> all = new ArrayList<>(List.of(Facts.of(demo())));
    for (int seed = 0; seed < 20; seed++) {
      all.add(Facts.of(RandomYards.of(CatalogueFiles.shipped(), seed)));
    }
    return all;
  }

  private static List<Sheet> sheets(Facts facts) {
    return Paperwork.of(facts, 3, Beside.NOTHING);
  }

  private static Sheet sheet(Facts facts, Sheet.Kind kind) {
    return sheets(facts).stream().filter(one -> one.kind() == kind).findFirst().orElseThrow();
  }

  private static Stream<Table> tables(Sheet sheet) {
    return sheet.blocks().stream().filter(Table.class::isInstance).map(Table.class::cast);
  }

  private static Table table(Sheet sheet, String title) {
    return tables(sheet).filter(one -> one.title().equals(title)).findFirst().orElseThrow();
  }

  private static List<String> column(Table table, int column) {
    return table.rows().stream().map(row -> row.get(column).text()).toList();
  }

  @Test
  void whoTypesAnAddressFindsTheMaskBesideIt() throws IOException {
    CrewSheet first =
        Crew.of(Facts.of(demo())).stream()
            .filter(one -> one.tag().equals("K1"))
            .findFirst()
            .orElseThrow();
    assertThat(first.facts())
        .contains(new CrewSheet.Labelled("Address", "198.51.100.11, mask 255.255.255.0"));
  }

  @Test
  void everySheetHasAnIdOfItsOwnThatIsFitForAFileName() throws IOException {
    for (Facts facts : displays()) {
      assertThat(sheets(facts)).extracting(Sheet::id).doesNotHaveDuplicates();
      assertThat(sheets(facts)).allMatch(one -> one.id().matches("[A-Za-z0-9._-]+"));
    }
  }

  @Test
  void theSummaryHasEveryControllerAndSupplyOnceAndAddsUp() throws IOException {
    for (Facts facts : displays()) {
      Sheet summary = sheet(facts, Sheet.Kind.SUMMARY);
      assertThat(column(table(summary, "Controllers"), 0))
          .containsExactlyElementsOf(
              facts.plan().display().controllers().stream().map(one -> one.tag()).toList());
      assertThat(table(summary, "Supplies").rows()).hasSameSizeAs(facts.site().supplies());
      double hung =
          table(summary, "Controllers").rows().stream()
              .mapToDouble(row -> row.get(5).number().orElseThrow())
              .sum();
      assertThat(hung)
          .isEqualTo(
              facts
                  .plan()
                  .runs()
                  .flatMap(run -> run.legs().stream())
                  .mapToDouble(leg -> SummarySheet.pixelsOf(leg.at().piece()))
                  .sum());
    }
  }

  @Test
  void aLidHasWhatIsInItsEnclosureAndWhatLeavesIt() throws IOException {
    Facts facts = Facts.of(demo());
    List<String> seen = new ArrayList<>();
    for (Enclosure box : facts.plan().display().enclosures()) {
      Sheet lid =
          sheets(facts).stream()
              .filter(one -> one.id().equals("lid-" + box.id()))
              .findFirst()
              .orElseThrow();
      seen.addAll(column(table(lid, "In it"), 0));
      long cables =
          facts.plan().display().links().stream().filter(link -> link.touches(box.id())).count();
      assertThat(table(lid, "Network cables").rows()).hasSize((int) cables);
    }
    assertThat(seen)
        .containsExactlyInAnyOrderElementsOf(
            facts.plan().display().controllers().stream()
                .filter(one -> one.settings().enclosure().isPresent())
                .map(one -> one.tag())
                .toList());
  }

  @Test
  void aDmxLineIsTerminatedOnceAndWiredAsTheModelSays() throws IOException {
    Facts facts = Facts.of(demo());
    Sheet dmx = sheet(facts, Sheet.Kind.DMX);
    Table first = tables(dmx).findFirst().orElseThrow();
    assertThat(first.title()).isEqualTo("K5-DMX1, universe 36");
    assertThat(column(first, 3)).containsExactly("1", "9", "17", "25", "101", "129");
    assertThat(column(first, 6)).containsExactly("", "", "", "", "", "120 Ω here");
    assertThat(dmx.blocks().toString()).contains(Plug.FIVE_PINS.cable());
    long fixtures =
        facts
            .plan()
            .runs()
            .filter(run -> run.run().kind() == PortKind.DMX)
            .mapToLong(run -> run.legs().size())
            .sum();
    assertThat(tables(dmx).mapToLong(one -> one.rows().size()).sum()).isEqualTo(fixtures);
  }

  @Test
  void listsForSourcesAndForTheShowHaveARowForEachLine() throws IOException {
    for (Facts facts : displays()) {
      assertThat(tables(sheet(facts, Sheet.Kind.SEND)).findFirst().orElseThrow().rows())
          .hasSameSizeAs(SendList.of(facts.plan(), facts.resolution()));
      assertThat(tables(sheet(facts, Sheet.Kind.SHOW)).findFirst().orElseThrow().rows())
          .hasSize((int) facts.resolution().placements().count());
    }
  }

  @Test
  void everyStringIsTakenDownOnceByZoneAndAlongTheWire() throws IOException {
    for (Facts facts : displays()) {
      Progress progress = Progress.of(facts.plan(), List.of(), Set.of());
      Sheet sheet = TakeDownSheet.of(facts.plan(), progress);
      List<String> taken =
          tables(sheet)
              .filter(one -> one.columns().get(2).title().equals("Unplug from"))
              .flatMap(one -> column(one, 1).stream())
              .toList();
      assertThat(taken)
          .containsExactlyInAnyOrderElementsOf(
              facts.plan().display().props().stream()
                  .flatMap(
                      prop ->
                          prop.pieces().stream()
                              .filter(PixelString.class::isInstance)
                              .map(prop::titleOf))
                  .toList());
    }
  }

  private static StringFact fact(String piece, StringFact.What what) {
    return new StringFact(piece, Instant.ofEpochSecond(1), "Ada", what);
  }

  @Test
  void troubleAndWhatWasPutAwayStandOnTheListOfJanuary() throws IOException {
    Plan plan = new GiveTags().applyTo(demo()).plan();
    Trouble dark = new Trouble("dark", Urgency.SOON, "", Optional.empty());
    Progress progress =
        Progress.of(
            plan,
            List.of(
                fact(COPING, new Stored(Condition.SCRAP, "skip")),
                fact("wall-coping-east-1", dark)),
            Set.of());
    Sheet sheet = TakeDownSheet.of(plan, progress);
    assertThat(table(sheet, "Scrap, to be bought anew").rows())
        .singleElement()
        .satisfies(
            row ->
                assertThat(row)
                    .extracting(Cell::text)
                    .containsExactly("S001", "Coping west", "Harbour wall", "skip"));
    assertThat(table(sheet, "To repair in spring").rows()).isEmpty();
    assertThat(column(table(sheet, "Harbour wall"), 3)).contains("dark");
    String crew = Crew.of(Facts.of(plan), progress).toString();
    assertThat(crew).contains("▲ trouble, soon: dark").contains("S001");
  }

  @Test
  void theSpreadsheetsTablesAreRectangularAndHaveTitlesOfTheirOwn() throws IOException {
    for (Facts facts : displays()) {
      List<Table> tables = BookTables.of(facts, 1, new Beside(Progress.NONE, Units.NONE));
      assertThat(tables).extracting(Table::title).doesNotHaveDuplicates().hasSize(10);
      assertThat(tables).allMatch(one -> one.title().length() <= 31);
      Table loads =
          tables.stream().filter(one -> one.title().equals("Loads")).findFirst().orElseThrow();
      assertThat(loads.rows()).hasSize(facts.loads().size() + facts.site().supplies().size());
    }
  }
}
