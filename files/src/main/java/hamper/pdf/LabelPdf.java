package hamper.pdf;

import hamper.display.Tag;
import hamper.paper.TagSheet.Row;
import java.io.ByteArrayOutputStream;
import java.io.Closeable;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.List;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;

/**
 * Labels for strings and cables: the tag large, its QR code, and in small print where it is plugged
 * in at that version. A cable has two, one for each end.
 */
public final class LabelPdf implements Closeable {
  /** Printers leave the edge of a page alone. */
  private static final float PADDING = 8;

  private static final float EDGE = 14;

  private static final float SMALL = 7;
  private static final float MEDIUM = 9;
  private static final float LARGE = 17;
  private static final float LEADING = 1.2f;

  private final PDDocument document = new PDDocument();
  private final Type type;
  private final LabelSize size;
  private final int version;
  private PDPageContentStream page;

  private LabelPdf(LabelSize size, int version) throws IOException {
    this.size = size;
    this.version = version;
    type = new Type(document);
    document.getDocumentInformation().setTitle("Labels");
    document.getDocumentInformation().setProducer("Hamper");
  }

  /** A label: what it says besides its tag. */
  private record Label(String tag, String what, String where) {}

  /**
   * @param version of the display; 0: a file has none
   * @param used labels of the first page that are gone already
   */
  public static byte[] of(List<Row> rows, LabelSize size, int version, int used) {
    List<Label> labels = rows.stream().flatMap(row -> labels(row).stream()).toList();
    try (LabelPdf made = new LabelPdf(size, version)) {
      int place = used % size.count();
      made.turn();
      for (Label label : labels) {
        if (place == size.count()) {
          made.turn();
          place = 0;
        }
        made.label(label, place);
        place++;
      }
      return made.bytes();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /** How many labels tags take. */
  public static int labels(List<Row> rows) {
    return rows.stream().mapToInt(row -> labels(row).size()).sum();
  }

  /**
   * A page to lay over a sheet of labels: the edges of each, and rulers in millimetres, by which a
   * printer that scales is found out.
   */
  public static byte[] testPage(LabelSize size) {
    try (LabelPdf made = new LabelPdf(size, 0)) {
      made.turn();
      made.test();
      return made.bytes();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private static List<Label> labels(Row row) {
    List<Label> all = new ArrayList<>();
    String tag = row.tag().text();
    String from = row.from().isEmpty() ? "not plugged in" : row.from();
    if (row.tag().kind() == Tag.Kind.STRING) {
      all.add(new Label(tag, row.what(), from));
    } else {
      all.add(new Label(tag, "near end", from));
      all.add(new Label(tag, "far end", "to " + row.to()));
    }
    return all;
  }

  private void turn() throws IOException {
    if (page != null) {
      page.close();
    }
    PDPage next = new PDPage(size.page());
    document.addPage(next);
    page = new PDPageContentStream(document, next);
  }

  private void label(Label label, int place) throws IOException {
    float x = Math.max(size.x(place) + PADDING, EDGE);
    float y = size.y(place) + PADDING;
    float inside = size.height() - 2 * PADDING;
    float code = Math.min(inside, 68);
    float print = inside > 70 ? MEDIUM : SMALL;
    float top = size.page().getHeight() - y - (inside - code) / 2;
    QrCode.of(label.tag()).draw(page, x, top, code);
    float left = x + code + PADDING;
    float room = size.x(place) + size.width() - PADDING - left;
    float large = LARGE;
    while (type.width(label.tag(), large, true) > room && large > SMALL) {
      large -= 0.5f;
    }
    float baseline = y + large * 0.8f;
    write(label.tag(), left, baseline, large, true);
    List<String> small = new ArrayList<>(type.lines(label.what(), print, false, room));
    small.addAll(type.lines(label.where(), print, false, room));
    if (version > 0) {
      small.add("v" + version);
    }
    float at = baseline + large * 0.25f;
    for (String line : small) {
      at += print * LEADING;
      if (at > y + inside) {
        return;
      }
      write(line, left, at, print, false);
    }
  }

  private void write(String text, float x, float baseline, float points, boolean bold)
      throws IOException {
    page.beginText();
    page.setFont(type.font(bold), points);
    page.newLineAtOffset(x, size.page().getHeight() - baseline);
    page.showText(type.shown(text, bold));
    page.endText();
  }

  /** Module by module, as vectors: sharp at any resolution. */
  private void test() throws IOException {
    page.setLineWidth(0.3f);
    float height = size.page().getHeight();
    for (int place = 0; place < size.count(); place++) {
      page.addRect(
          size.x(place), height - size.y(place) - size.height(), size.width(), size.height());
    }
    page.stroke();
    ruler(true);
    ruler(false);
    write(
        "Print at 100 %, then lay a rule beside these: 100 mm each. " + size.title(),
        60,
        height / 2 - 14,
        10,
        true);
  }

  /** 100 mm, a stroke each millimetre, across or down from the middle of the page. */
  private void ruler(boolean across) throws IOException {
    float middle = size.page().getHeight() / 2;
    float left = 60;
    for (int mm = 0; mm <= 100; mm++) {
      float along = mm * LabelSize.POINTS;
      float stroke = mm % 10 == 0 ? 12 : mm % 5 == 0 ? 8 : 5;
      if (across) {
        page.moveTo(left + along, middle);
        page.lineTo(left + along, middle - stroke);
      } else {
        page.moveTo(left, middle - along);
        page.lineTo(left + stroke, middle - along);
      }
    }
    page.stroke();
  }

  private byte[] bytes() throws IOException {
    page.close();
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    document.save(out);
    return out.toByteArray();
  }

  @Override
  public void close() throws IOException {
    document.close();
  }
}
