package hamper.files;

import static org.assertj.core.api.Assertions.assertThat;

import hamper.catalog.Catalog;
import hamper.catalog.PortKind;
import hamper.display.Plan;
import hamper.display.PortRef;
import hamper.edit.Edit;
import hamper.files.PlanSheet.Does;
import hamper.files.PlanSheet.Starts;
import hamper.resolve.Resolver;
import hamper.samples.LargeDisplays;
import hamper.samples.RandomEdits;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.TreeMap;
import java.util.stream.Stream;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.dhatim.fastexcel.reader.ReadableWorkbook;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** A planner's own spreadsheet, held against the plan. */
class PlanSheetTest {
  private static final Catalog CATALOG = CatalogueFiles.shipped();
  private static final String USUAL = "node-12v";

  private static final Path DEMO =
      Path.of("../server/src/main/resources/hamper/demo/saltmarsh-quay.hamper.json");

  private static Plan demo() throws IOException {
    return DisplayFile.read(Files.readAllBytes(DEMO), CATALOG);
  }

  private static PlanSheet read(String csv, Plan plan, Starts starts) {
    return PlanSheet.read(
        csv.getBytes(StandardCharsets.UTF_8), plan, USUAL, starts, Optional.empty());
  }

  private static Plan after(Plan plan, PlanSheet sheet) {
    return sheet.edit().orElseThrow().applyTo(plan).plan();
  }

  @Test
  void whatWasExportedChangesNothingWhenItComesBack() throws IOException {
    for (int seed = 1; seed <= 20; seed++) {
      RandomEdits edits = new RandomEdits(seed);
      Plan plan = demo();
      for (int i = 0; i < 40; i++) {
        plan = edits.next(plan).applyTo(plan).plan();
      }
      var resolution = Resolver.resolve(plan);
      for (byte[] file :
          List.of(PlanSheetFiles.csv(plan, resolution), PlanSheetFiles.xlsx(plan, resolution))) {
        PlanSheet sheet = PlanSheet.read(file, plan, USUAL, Starts.HOLD, Optional.empty());
        assertThat(sheet.reasons()).isEmpty();
        assertThat(sheet.entries())
            .as("seed %d", seed)
            .allSatisfy(entry -> assertThat(entry.changes()).as("%s", entry).isEmpty());
        // props that random edits gave one name cannot be told apart, and are told
        if (sheet.bad() == 0) {
          assertThat(sheet.edit()).isEmpty();
        }
      }
    }
  }

  @Test
  void exactlyTheTwelveCellsThatWereChangedAreShown() throws IOException {
    Plan plan = demo();
    List<List<String>> rows = new ArrayList<>();
    SpreadsheetText.read(PlanSheetFiles.csv(plan, Resolver.resolve(plan)), 1_000)
        .rows()
        .forEach(row -> rows.add(new ArrayList<>(row.cells())));
    List<String> heads = rows.get(0);
    Random random = new Random(12);
    Map<String, String> changed = new TreeMap<>();
    while (changed.size() < 12) {
      int row = 1 + random.nextInt(rows.size() - 1);
      List<String> cells = rows.get(row);
      String head = List.of("Pixels", "Zone", "Null pixels", "Brightness").get(changed.size() % 4);
      int column = heads.indexOf(head);
      boolean string = !cells.get(heads.indexOf("Pixels")).isEmpty();
      boolean alone = rows.stream().filter(one -> one.get(0).equals(cells.get(0))).count() == 1;
      boolean hangs = !cells.get(heads.indexOf("Port")).isEmpty();
      String before = cells.get(column);
      if (!string || !alone || !hangs || changed.containsKey(row + 1 + head)) {
        continue;
      }
      String is = head.equals("Zone") ? "Far meadow" : String.valueOf(random.nextInt(60) + 1);
      if (!before.equals(is)) {
        cells.set(column, is);
        changed.put(row + 1 + head, before + " → " + is);
      }
    }
    PlanSheet sheet =
        read(Csv.write(heads, List.copyOf(rows.subList(1, rows.size()))), plan, Starts.HOLD);
    Map<String, String> shown = new TreeMap<>();
    sheet
        .entries()
        .forEach(
            entry ->
                entry
                    .changes()
                    .forEach(
                        one ->
                            shown.put(
                                entry.row() + one.column().title(),
                                one.from() + " → " + one.to())));
    // a string of several sections is not changed by its sum: that row is told as bad
    sheet.entries().stream()
        .filter(entry -> entry.does() == Does.BAD)
        .forEach(entry -> changed.keySet().removeIf(key -> key.startsWith("" + entry.row())));
    assertThat(shown).isEqualTo(changed).hasSizeGreaterThan(9);
    assertThat(sheet.starts()).as("starts that follow from a change are no change").isEmpty();
    Edit.Applied applied = sheet.edit().orElseThrow().applyTo(plan);
    assertThat(applied.inverse().applyTo(applied.plan()).plan().display())
        .as("undone as one")
        .isEqualTo(plan.display());
  }

  @Test
  void fiveThousandRowsWithFortyMistakes() {
    Plan plan = LargeDisplays.of(CATALOG, 60, 10, 10, 3);
    List<String> tags =
        plan.display().controllers().stream()
            .filter(one -> plan.hasPort(new PortRef(one.id(), PortKind.PIXEL, 4)))
            .map(one -> one.tag())
            .toList();
    StringBuilder csv = new StringBuilder("Helligkeit;Anzahl (px);Ausgang;Gerät;Name;Bereich\n");
    Random random = new Random(40);
    List<Integer> bad = new ArrayList<>();
    Map<Integer, String> where = new TreeMap<>();
    List<Integer> all = new ArrayList<>();
    for (int i = 0; i < 5_000; i++) {
      all.add(i);
    }
    java.util.Collections.shuffle(all, random);
    bad.addAll(all.subList(0, 40));
    for (int i = 0; i < 5_000; i++) {
      String bright = i % 3 == 0 ? "30,0" : "25 %";
      String pixels = i % 5 == 0 ? "1.020" : "50,0 px";
      String tag = tags.get(i % tags.size());
      String output = String.valueOf(1 + i % 4);
      int mistake = bad.indexOf(i);
      if (mistake >= 0) {
        switch (mistake % 5) {
          case 0 -> bright = "120";
          case 1 -> pixels = "many";
          case 2 -> output = "99";
          case 3 -> tag = "K999";
          default -> bright = "12,5";
        }
        where.put(
            i + 2,
            List.of("Helligkeit", "Anzahl (px)", "Ausgang", "Gerät", "Helligkeit")
                .get(mistake % 5));
      }
      csv.append(
          "%s;%s;%s;%s;Tree no %d;Meadow %d\n".formatted(bright, pixels, output, tag, i, i % 9));
    }
    long before = System.nanoTime();
    PlanSheet sheet = read(csv.toString(), plan, Starts.FLOW);
    Plan taken = after(plan, sheet);
    System.out.printf(
        "[sheet] 5,000 rows read, held against the plan and taken in %d ms%n",
        (System.nanoTime() - before) / 1_000_000);
    assertThat(sheet.bad()).isEqualTo(40);
    Map<Integer, String> told = new TreeMap<>();
    sheet.entries().stream()
        .filter(entry -> entry.does() == Does.BAD)
        .forEach(
            entry ->
                told.put(
                    entry.row(), entry.reasons().get(0).place().replaceFirst("row \\d+, ", "")));
    assertThat(told).isEqualTo(where);
    assertThat(taken.display().props()).hasSize(plan.display().props().size() + 4_960);
    assertThat(taken.display().zones()).hasSize(plan.display().zones().size() + 9);
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "50|50",
        "1.020|1020",
        "1,020|1020",
        "1 020 px|1020",
        "50,0|50",
        "50.0 px|50",
        "1'020|1020",
        "50,5|",
        "fifty|",
        "1.02.0|",
        "-3|",
        "0|"
      })
  void wholeNumbersAreReadAsPeopleWriteThem(String written, Integer read) {
    PlanCells cells =
        new PlanCells(
            new SpreadsheetText.Row(2, List.of(written)),
            Map.of(PlanColumn.PIXELS, 0),
            Map.of(PlanColumn.PIXELS, "Pixels"));
    Optional<Integer> found = Optional.empty();
    try {
      found = cells.whole(PlanColumn.PIXELS, 1, 10_000);
    } catch (hamper.value.RefusedException e) {
      assertThat(e.place()).isEqualTo("Pixels");
    }
    assertThat(found).isEqualTo(Optional.ofNullable(read));
  }

  @Test
  void startsOfTheSheetFlowOrAreHeld() throws IOException {
    Plan plan = demo();
    String csv =
        "Name;Universum;Kanal\nGangway rail;30;7\nNew tree;1;1\n".replace("New tree;1;1\n", "");
    PlanSheet flow = read(csv, plan, Starts.FLOW);
    assertThat(flow.starts())
        .singleElement()
        .satisfies(one -> assertThat(one.sheet()).isEqualTo("30:7"))
        .satisfies(one -> assertThat(one.why()).isEmpty());
    assertThat(flow.edit()).isEmpty();
    Plan held = after(plan, read(csv, plan, Starts.HOLD));
    String start =
        Resolver.resolve(held)
            .placements()
            .filter(at -> at.piece().equals("gangway-rail-1"))
            .findFirst()
            .map(SheetStarts::written)
            .orElseThrow();
    assertThat(start).isEqualTo("30:7");
  }

  @Test
  void aRowMovesAPieceToItsPlaceOnAPort() throws IOException {
    Plan plan = demo();
    String csv = "Prop,Controller,Port,Position\nGangway rail,K1,2,1\n";
    Plan moved = after(plan, read(csv, plan, Starts.FLOW));
    var port = moved.leg("gangway-rail-1").orElseThrow().port();
    assertThat(moved.written(port)).isEqualTo("K1-2");
    assertThat(moved.run(port).orElseThrow().legs().get(0).leg().piece())
        .isEqualTo("gangway-rail-1");
  }

  @Test
  void whatAColumnMeansMayBeSaid() throws IOException {
    Plan plan = demo();
    byte[] csv = "Was;Wieviel\nTide clock rim;77\n".getBytes(StandardCharsets.UTF_8);
    assertThat(PlanSheet.read(csv, plan, USUAL, Starts.FLOW, Optional.empty()).reasons())
        .singleElement()
        .satisfies(reason -> assertThat(reason.message()).contains("no column means the prop"));
    PlanSheet said =
        PlanSheet.read(
            csv,
            plan,
            USUAL,
            Starts.FLOW,
            Optional.of(List.of(Optional.of(PlanColumn.PROP), Optional.of(PlanColumn.PIXELS))));
    assertThat(said.entries().get(0).reasons()).isEmpty();
    assertThat(said.entries().get(0).changes())
        .singleElement()
        .satisfies(change -> assertThat(change.to()).isEqualTo("77"));
  }

  @Test
  void whatIsNoTableIsOneSentence() throws IOException {
    Plan plan = demo();
    List<byte[]> files =
        List.of(
            new byte[0],
            "PK\u0003\u0004 garbage".getBytes(StandardCharsets.UTF_8),
            new byte[] {0, 1, 2, (byte) 0xff},
            "only a head".getBytes(StandardCharsets.UTF_8),
            bomb());
    for (byte[] file : files) {
      PlanSheet sheet = PlanSheet.read(file, plan, USUAL, Starts.FLOW, Optional.empty());
      assertThat(sheet.reasons()).hasSize(1);
      assertThat(sheet.edit()).isEmpty();
    }
  }

  /** 204 MB of nothing, packed. */
  private static byte[] bomb() throws IOException {
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    try (ZipOutputStream zip = new ZipOutputStream(out)) {
      zip.putNextEntry(new ZipEntry("xl/worksheets/sheet1.xml"));
      byte[] zeros = new byte[1 << 20];
      for (int i = 0; i < 204; i++) {
        zip.write(zeros);
      }
    }
    return out.toByteArray();
  }

  @Test
  void aWorkbookIsReadByAStrangerToo() throws IOException {
    Plan plan = demo();
    byte[] file = PlanSheetFiles.xlsx(plan, Resolver.resolve(plan));
    try (ReadableWorkbook book = new ReadableWorkbook(new ByteArrayInputStream(file));
        Stream<org.dhatim.fastexcel.reader.Row> rows = book.getFirstSheet().openStream()) {
      assertThat(rows.count()).isEqualTo(89);
    }
  }
}
