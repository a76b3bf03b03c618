package hamper.pdf;

import java.io.ByteArrayOutputStream;
import java.io.Closeable;
import java.io.IOException;
import java.time.ZonedDateTime;
import java.util.GregorianCalendar;
import java.util.List;
import java.util.Optional;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.PDPageContentStream.AppendMode;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.interactive.documentnavigation.outline.PDDocumentOutline;
import org.apache.pdfbox.pdmodel.interactive.documentnavigation.outline.PDOutlineItem;

/**
 * A document in the making: pages with a head and a foot, written from the top down. Lengths are in
 * points; y is counted from the top.
 */
final class Sheets implements Closeable {
  static final float MARGIN = 40;
  static final float SMALLEST = 10;
  private static final float FOOT = 34;
  private static final float HEAD = 58;
  private static final float CODE = 52;
  static final float LEADING = 1.32f;

  private final PDDocument document = new PDDocument();
  private final PDDocumentOutline outline = new PDDocumentOutline();
  private final Type type;
  private final PDRectangle box;
  private final About about;
  private PDPageContentStream page;
  private String head = "";
  private Optional<QrCode> code = Optional.empty();
  private float at;

  Sheets(PaperSize size, About about) throws IOException {
    box = size.box();
    this.about = about;
    type = new Type(document);
    document.getDocumentCatalog().setDocumentOutline(outline);
    document.getDocumentInformation().setTitle(about.display());
    document.getDocumentInformation().setProducer("Hamper");
    document.getDocumentInformation().setCreationDate(GregorianCalendar.from(about.printed()));
  }

  /**
   * What stands on every page.
   *
   * @param display its name
   * @param version of the display; 0: a file has none
   * @param printed when
   * @param door where phones of the crew come in, such as "http://192.168.1.20:8090", while it is
   *     open
   */
  record About(String display, int version, ZonedDateTime printed, Optional<String> door) {
    /**
     * What a phone opens that reads the code of a controller's sheet, and what moved since then.
     */
    Optional<String> link(String controller) {
      return door.map(origin -> "%s/controller/%s?v=%d".formatted(origin, controller, version));
    }
  }

  float width() {
    return box.getWidth() - 2 * MARGIN;
  }

  /** Where the next thing is written. */
  float at() {
    return at;
  }

  /**
   * Begins a sheet on a page of its own, with a bookmark.
   *
   * @param controller whose page on a phone its head leads to
   */
  void begin(String title, Optional<String> controller) throws IOException {
    head = title;
    code = controller.flatMap(about::link).map(QrCode::of);
    turn();
    PDOutlineItem item = new PDOutlineItem();
    item.setTitle(title);
    item.setDestination(document.getPage(document.getNumberOfPages() - 1));
    outline.addLast(item);
  }

  private void turn() throws IOException {
    endPage();
    PDPage next = new PDPage(box);
    document.addPage(next);
    page = new PDPageContentStream(document, next);
    page.setLineWidth(0.7f);
    at = MARGIN;
    float right = code.isPresent() ? width() - CODE - 8 : width();
    if (code.isPresent()) {
      code.get().draw(page, MARGIN + width() - CODE, box.getHeight() - MARGIN + 12, CODE);
    }
    List<String> lines = type.lines(head, 18, true, right - 130);
    for (String line : lines) {
      write(line, 0, at + 16, 18, true);
      at += 22;
    }
    String told =
        (about.version() > 0 ? "version " + about.version() + " · " : "")
            + "%tF".formatted(about.printed());
    write(told, right - type.width(told, SMALLEST, false), MARGIN + 10, SMALLEST, false);
    List<String> display = type.lines(about.display(), SMALLEST, false, 125);
    for (int i = 0; i < Math.min(2, display.size()); i++) {
      String line = display.get(i);
      write(line, right - type.width(line, SMALLEST, false), MARGIN + 23 + i * 13, SMALLEST, false);
    }
    at = Math.max(at, MARGIN + HEAD - 16);
    line(0, at, width(), at);
    at += 10;
  }

  private void endPage() throws IOException {
    if (page != null) {
      page.close();
      page = null;
    }
  }

  /** Goes to a new page where there is not so much room left. */
  void need(float height) throws IOException {
    if (at + height > box.getHeight() - MARGIN - FOOT) {
      turn();
    }
  }

  /** The same; tells whether it did. */
  boolean turned(float height) throws IOException {
    int before = document.getNumberOfPages();
    need(height);
    return document.getNumberOfPages() > before;
  }

  /** A title within a sheet; what follows stays with it. */
  void heading(String title) throws IOException {
    skip(8);
    need(70);
    paragraph(title, 0, width(), 12, true);
    skip(3);
  }

  List<String> lines(String text, float size, boolean bold, float room) {
    return type.lines(text, size, bold, room);
  }

  void thinLine(float fromX, float fromY, float toX, float toY) throws IOException {
    page.setLineWidth(0.25f);
    line(fromX, fromY, toX, toY);
    page.setLineWidth(0.7f);
  }

  void skip(float height) {
    at += height;
  }

  /** Writes one line at a place of the page; nothing moves on. */
  void write(String text, float x, float baseline, float size, boolean bold) throws IOException {
    page.beginText();
    page.setFont(type.font(bold), size);
    page.newLineAtOffset(MARGIN + x, box.getHeight() - baseline);
    page.showText(type.shown(text, bold));
    page.endText();
  }

  /** Writes a text that is wrapped, and moves on. */
  void paragraph(String text, float x, float room, float size, boolean bold) throws IOException {
    for (String line : type.lines(text, size, bold, room)) {
      need(size * LEADING);
      write(line, x, at + size, size, bold);
      at += size * LEADING;
    }
  }

  /** How high a wrapped text is. */
  float height(String text, float room, float size, boolean bold) {
    return type.lines(text, size, bold, room).size() * size * LEADING;
  }

  float textWidth(String text, float size, boolean bold) {
    return type.width(text, size, bold);
  }

  void line(float fromX, float fromY, float toX, float toY) throws IOException {
    page.moveTo(MARGIN + fromX, box.getHeight() - fromY);
    page.lineTo(MARGIN + toX, box.getHeight() - toY);
    page.stroke();
  }

  /**
   * A rectangle.
   *
   * @param grey of its inside, 0 black to 1 white; below 0: none
   */
  void rectangle(float x, float y, float width, float height, float grey) throws IOException {
    page.addRect(MARGIN + x, box.getHeight() - y - height, width, height);
    if (grey < 0) {
      page.stroke();
    } else {
      page.setNonStrokingColor(grey);
      page.fillAndStroke();
      page.setNonStrokingColor(0f);
    }
  }

  /** Slanted lines within a rectangle: told apart without colours. */
  void hatch(float x, float y, float width, float height) throws IOException {
    page.setLineWidth(0.35f);
    for (float from = x - height; from < x + width; from += 4) {
      float left = Math.max(x, from);
      float right = Math.min(x + width, from + height);
      if (right > left) {
        line(left, y + height - (left - from), right, y + height - (right - from));
      }
    }
    page.setLineWidth(0.7f);
  }

  /** All pages with their feet, as a file. */
  byte[] bytes() throws IOException {
    endPage();
    int count = document.getNumberOfPages();
    for (int i = 0; i < count; i++) {
      page = new PDPageContentStream(document, document.getPage(i), AppendMode.APPEND, true, true);
      float foot = box.getHeight() - MARGIN + 8;
      write("Planned values. Measure before energising.", 0, foot, SMALLEST, false);
      String number = "%d of %d".formatted(i + 1, count);
      write(number, width() - type.width(number, SMALLEST, false), foot, SMALLEST, false);
      endPage();
    }
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    document.save(out);
    return out.toByteArray();
  }

  @Override
  public void close() throws IOException {
    document.close();
  }
}
