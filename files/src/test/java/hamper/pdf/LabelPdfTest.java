package hamper.pdf;

import static org.assertj.core.api.Assertions.assertThat;

import com.google.zxing.BinaryBitmap;
import com.google.zxing.NotFoundException;
import com.google.zxing.RGBLuminanceSource;
import com.google.zxing.Result;
import com.google.zxing.common.HybridBinarizer;
import com.google.zxing.multi.qrcode.QRCodeMultiReader;
import hamper.display.Plan;
import hamper.edit.GiveTags;
import hamper.files.CatalogueFiles;
import hamper.paper.TagSheet;
import hamper.samples.RandomYards;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.rendering.ImageType;
import org.apache.pdfbox.rendering.PDFRenderer;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** Labels are read back as a phone reads them, from the rendered page. */
class LabelPdfTest {
  private static final List<TagSheet.Row> ROWS = rows();

  private static List<TagSheet.Row> rows() {
    Plan plan = RandomYards.of(CatalogueFiles.shipped(), 3);
    return TagSheet.rows(new GiveTags().applyTo(plan).plan());
  }

  static Stream<String> read(BufferedImage image) throws NotFoundException {
    int[] dots = image.getRGB(0, 0, image.getWidth(), image.getHeight(), null, 0, image.getWidth());
    BinaryBitmap bitmap =
        new BinaryBitmap(
            new HybridBinarizer(new RGBLuminanceSource(image.getWidth(), image.getHeight(), dots)));
    return Stream.of(new QRCodeMultiReader().decodeMultiple(bitmap)).map(Result::getText);
  }

  @ParameterizedTest
  @EnumSource(LabelSize.class)
  void eachCodeOfEachLabelIsItsTag(LabelSize size) throws Exception {
    List<TagSheet.Row> few = ROWS.subList(0, Math.min(ROWS.size(), 20));
    byte[] pdf = LabelPdf.of(few, size, 7, 2);
    List<String> seen = new ArrayList<>();
    try (PDDocument document = Loader.loadPDF(pdf)) {
      PDFRenderer renderer = new PDFRenderer(document);
      for (int page = 0; page < document.getNumberOfPages(); page++) {
        BufferedImage image = renderer.renderImageWithDPI(page, 300, ImageType.RGB);
        for (int place = 0; place < size.count(); place++) {
          seen.addAll(readOne(size, image, place));
        }
      }
      String text = new PDFTextStripper().getText(document);
      few.forEach(row -> assertThat(text).contains(row.tag().text()));
      assertThat(text).contains("v7");
    }
    List<String> wanted = new ArrayList<>();
    few.forEach(
        row -> {
          for (int i = 0; i < LabelPdf.labels(List.of(row)); i++) {
            wanted.add(row.tag().text());
          }
        });
    assertThat(seen).containsExactlyElementsOf(wanted);
  }

  /** What a phone sees that is held over one label. */
  private static List<String> readOne(LabelSize size, BufferedImage page, int place) {
    float scale = 300 / 72f;
    int x = Math.max(0, (int) (size.x(place) * scale));
    int y = Math.max(0, (int) (size.y(place) * scale));
    int width = Math.min(page.getWidth() - x, (int) (size.width() * scale));
    int height = Math.min(page.getHeight() - y, (int) (size.height() * scale));
    try {
      return read(page.getSubimage(x, y, width, height)).toList();
    } catch (NotFoundException e) {
      return List.of();
    }
  }

  @ParameterizedTest
  @EnumSource(LabelSize.class)
  void labelsLieWithinThePageAndNotOnOneAnother(LabelSize size) {
    for (int a = 0; a < size.count(); a++) {
      assertThat(size.x(a) + size.width()).isLessThanOrEqualTo(size.page().getWidth() + 0.5f);
      assertThat(size.y(a) + size.height()).isLessThanOrEqualTo(size.page().getHeight() + 0.5f);
      for (int b = a + 1; b < size.count(); b++) {
        boolean apart =
            size.x(b) >= size.x(a) + size.width() - 0.01f
                || size.x(a) >= size.x(b) + size.width() - 0.01f
                || size.y(b) >= size.y(a) + size.height() - 0.01f;
        assertThat(apart).as("%s: %d and %d", size, a, b).isTrue();
      }
    }
  }

  @Test
  void aTestPageHasRulersAndSaysSo() throws IOException {
    try (PDDocument document = Loader.loadPDF(LabelPdf.testPage(LabelSize.A4_24))) {
      assertThat(new PDFTextStripper().getText(document))
          .contains("100 mm each")
          .contains(LabelSize.A4_24.title());
    }
  }
}
