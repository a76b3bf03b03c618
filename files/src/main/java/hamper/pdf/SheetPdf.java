package hamper.pdf;

import hamper.paper.Sheet;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.time.ZonedDateTime;
import java.util.List;
import java.util.Optional;
import javax.imageio.ImageIO;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.rendering.ImageType;
import org.apache.pdfbox.rendering.PDFRenderer;

/** Sheets as one file, with bookmarks. */
public final class SheetPdf {
  private SheetPdf() {}

  /**
   * @param display its name
   * @param version of the display; 0: a file has none
   * @param printed stands on every page
   */
  public static byte[] of(
      List<Sheet> all, String display, int version, ZonedDateTime printed, PaperSize size) {
    return of(all, display, version, printed, size, Optional.empty());
  }

  /**
   * The same, with a code on each crew sheet that a phone reads.
   *
   * @param door where phones come in, while it is open
   */
  public static byte[] of(
      List<Sheet> all,
      String display,
      int version,
      ZonedDateTime printed,
      PaperSize size,
      Optional<String> door) {
    try (Sheets sheets = new Sheets(size, new Sheets.About(display, version, printed, door))) {
      for (Sheet one : all) {
        SheetPages.draw(sheets, one);
      }
      return sheets.bytes();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /** How many pages a file has. */
  public static int pages(byte[] pdf) {
    try (PDDocument document = Loader.loadPDF(pdf)) {
      return document.getNumberOfPages();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /**
   * A page as a picture in PNG.
   *
   * @param page from 0
   * @param dotsPerInch 72 shows a point as a dot
   */
  public static byte[] picture(byte[] pdf, int page, float dotsPerInch) {
    try (PDDocument document = Loader.loadPDF(pdf)) {
      BufferedImage image =
          new PDFRenderer(document).renderImageWithDPI(page, dotsPerInch, ImageType.GRAY);
      ByteArrayOutputStream out = new ByteArrayOutputStream();
      ImageIO.write(image, "png", out);
      return out.toByteArray();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }
}
