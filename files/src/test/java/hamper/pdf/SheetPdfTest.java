package hamper.pdf;

import static org.assertj.core.api.Assertions.assertThat;

import hamper.catalog.PortKind;
import hamper.display.HungLeg;
import hamper.facts.Facts;
import hamper.files.AddressTable;
import hamper.files.CatalogueFiles;
import hamper.files.DisplayFile;
import hamper.paper.Beside;
import hamper.paper.Crew;
import hamper.paper.CrewSheet;
import hamper.paper.CrewSheet.LegRow;
import hamper.paper.Paperwork;
import hamper.paper.Sheet;
import hamper.samples.RandomYards;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.ZoneOffset;
import java.time.ZonedDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.rendering.ImageType;
import org.apache.pdfbox.rendering.PDFRenderer;
import org.apache.pdfbox.text.PDFTextStripper;
import org.apache.pdfbox.text.TextPosition;
import org.junit.jupiter.api.Test;

/** What a crew holds in its hands says of each leg what the address table says, in wire order. */
class SheetPdfTest {
  private static final Path DEMO =
      Path.of("../server/src/main/resources/hamper/demo/saltmarsh-quay.hamper.json");
  private static final ZonedDateTime EVENING =
      ZonedDateTime.of(2026, 11, 27, 18, 0, 0, 0, ZoneOffset.UTC);

  private static Facts demo() {
    try {
      return Facts.of(DisplayFile.read(Files.readAllBytes(DEMO), CatalogueFiles.shipped()));
    } catch (IOException e) {
      throw new AssertionError(e);
    }
  }

  private static byte[] pdf(Facts facts, PaperSize size) {
    return SheetPdf.of(
        Paperwork.of(facts, 7, Beside.NOTHING), facts.plan().display().name(), 7, EVENING, size);
  }

  private static List<LegRow> legs(CrewSheet sheet, String written) {
    return sheet.groups().stream()
        .flatMap(group -> group.ports().stream())
        .filter(row -> row.written().equals(written))
        .flatMap(row -> row.legs().stream())
        .toList();
  }

  /**
   * While the crew door is open a phone reads the way to the controller's page, and the version.
   */
  @Test
  void eachCrewSheetHasTheCodeOfItsControllersPage() throws Exception {
    Facts facts = demo();
    String origin = "https://192.168.100.200:8090";
    List<String> read = new ArrayList<>();
    byte[] pdf =
        SheetPdf.of(
            Paperwork.of(facts, 7, Beside.NOTHING).stream()
                .filter(sheet -> sheet.kind() == Sheet.Kind.CREW)
                .toList(),
            "Saltmarsh Quay",
            7,
            EVENING,
            PaperSize.A4,
            Optional.of(origin));
    try (PDDocument document = Loader.loadPDF(pdf)) {
      for (int page = 0; page < document.getNumberOfPages(); page++) {
        BufferedImage image =
            new PDFRenderer(document).renderImageWithDPI(page, 200, ImageType.RGB);
        BufferedImage head =
            image.getSubimage(image.getWidth() * 3 / 4, 0, image.getWidth() / 4, 400);
        LabelPdfTest.read(head).forEach(read::add);
      }
    }
    assertThat(read.stream().distinct())
        .containsExactlyElementsOf(
            facts.controllers().stream()
                .map(own -> "%s/controller/%s?v=7".formatted(origin, own.controller().id()))
                .toList());
  }

  @Test
  void everyLegIsOnItsControllersSheetOnceInWireOrderWithTheNumbersOfTheAddressTable() {
    List<Facts> all = new ArrayList<>(List.of(demo()));
    for (int seed = 0; seed < 30; seed++) {
      all.add(Facts.of(RandomYards.of(CatalogueFiles.shipped(), seed)));
    }
    for (Facts facts : all) {
      List<CrewSheet> sheets = Crew.of(facts);
      AddressTable table = AddressTable.of(facts.plan(), facts.resolution());
      facts
          .plan()
          .runs()
          .forEach(
              run -> {
                CrewSheet sheet = sheets.get(facts.plan().indexOf(run.controller().id()));
                List<LegRow> legs = legs(sheet, run.written());
                assertThat(legs.stream().map(LegRow::piece))
                    .as(run.written())
                    .containsExactlyElementsOf(
                        run.legs().stream().map(HungLeg::leg).map(leg -> leg.piece()).toList());
                legs.forEach(leg -> sameAs(table, leg));
              });
    }
  }

  private static void sameAs(AddressTable table, LegRow leg) {
    List<AddressTable.Row> rows =
        table.sections().stream().filter(row -> row.pieceId().equals(leg.piece())).toList();
    if (rows.isEmpty() || leg.first().isEmpty()) {
      return;
    }
    AddressTable.Row first = rows.get(0);
    AddressTable.Row last = rows.get(rows.size() - 1);
    String begin =
        first
            .offset()
            .map(at -> "byte " + at)
            .orElseGet(() -> slot(first.startUniverse().get(), first.startChannel().get()));
    String end =
        last.offset()
            .map(at -> "byte " + (at + last.length().get() - 1))
            .orElseGet(() -> slot(last.endUniverse().get(), last.endChannel().get()));
    assertThat(leg.first()).as(leg.title()).isEqualTo(begin);
    assertThat(leg.last()).as(leg.title()).isEqualTo(end);
    if (leg.pixels() > 0 && first.kind() == PortKind.PIXEL) {
      assertThat(leg.pixels())
          .isEqualTo(rows.stream().mapToInt(row -> row.pixels().orElse(0)).sum());
    }
  }

  private static String slot(int universe, int channel) {
    return universe + ":" + channel;
  }

  /** The text of all pages, and the smallest letters on them. */
  private static final class Read extends PDFTextStripper {
    float smallest = Float.MAX_VALUE;
    float farthest;

    @Override
    protected void writeString(String text, List<TextPosition> positions) throws IOException {
      for (TextPosition one : positions) {
        smallest = Math.min(smallest, one.getFontSizeInPt());
        farthest = Math.max(farthest, one.getX() + one.getWidth());
      }
      super.writeString(text, positions);
    }
  }

  private static String squeezed(String text) {
    return text.replaceAll("\\s+", " ");
  }

  @Test
  void theTextOfThePagesIsText() throws Exception {
    Facts facts = demo();
    for (PaperSize size : PaperSize.values()) {
      try (PDDocument document = Loader.loadPDF(pdf(facts, size))) {
        Read read = new Read();
        String text = squeezed(read.getText(document));
        for (CrewSheet sheet : Crew.of(facts)) {
          for (CrewSheet.PortsOf group : sheet.groups()) {
            for (CrewSheet.PortRow port : group.ports()) {
              port.legs().forEach(leg -> assertThat(text).contains(squeezed(leg.told())));
            }
          }
        }
        assertThat(text)
            .contains("Planned values. Measure before energising.")
            .contains("version 7 · 2026-11-27")
            .contains("K1-12 free");
        assertThat(read.smallest).as("nothing under 10 pt").isGreaterThanOrEqualTo(10);
        assertThat(read.farthest)
            .as("within the page")
            .isLessThanOrEqualTo(size.box().getWidth() - Sheets.MARGIN + 1);
        assertThat(document.getDocumentCatalog().getDocumentOutline().children())
            .as("a bookmark for each sheet and each side of a wall")
            .hasSizeGreaterThanOrEqualTo(facts.controllers().size());
      }
    }
  }

  @Test
  void namesOfAnyLettersKeepTheLayout() throws Exception {
    DisplayFile.read(Files.readAllBytes(DEMO), CatalogueFiles.shipped());
    String file =
        Files.readString(DEMO)
            .replace("\"Coping west\"", "\"" + "Größenwahn ".repeat(5) + "ßßßßßßßß\"")
            .replace("\"Bollards\"", "\"שלום לכולם 12\"")
            .replace("\"Anchor\"", "\"🎄🎄 \uD83E\uDEE0 end\"")
            .replace("\"Pier head\"", "\"" + "W".repeat(64) + "\"");
    Facts facts =
        Facts.of(DisplayFile.read(file.getBytes(StandardCharsets.UTF_8), CatalogueFiles.shipped()));
    try (PDDocument document = Loader.loadPDF(pdf(facts, PaperSize.A4))) {
      Read read = new Read();
      String text = read.getText(document);
      assertThat(text).contains("Größenwahn").contains("□□");
      assertThat(read.farthest)
          .isLessThanOrEqualTo(PaperSize.A4.box().getWidth() - Sheets.MARGIN + 1);
    }
  }

  @Test
  void aPageIsAPictureToo() {
    byte[] pdf = pdf(demo(), PaperSize.A4);
    assertThat(SheetPdf.pages(pdf)).isGreaterThan(10);
    byte[] picture = SheetPdf.picture(pdf, 0, 72);
    assertThat(picture).startsWith(0x89, 'P', 'N', 'G');
  }
}
