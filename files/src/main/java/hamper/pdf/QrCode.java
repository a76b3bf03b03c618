package hamper.pdf;

import com.google.zxing.WriterException;
import com.google.zxing.qrcode.decoder.ErrorCorrectionLevel;
import com.google.zxing.qrcode.encoder.ByteMatrix;
import com.google.zxing.qrcode.encoder.Encoder;
import java.io.IOException;
import org.apache.pdfbox.pdmodel.PDPageContentStream;

/** A text as squares that a telephone reads (ISO/IEC 18004), with a quarter of them to spare. */
public final class QrCode {
  private final ByteMatrix squares;

  private QrCode(ByteMatrix squares) {
    this.squares = squares;
  }

  /**
   * @throws IllegalArgumentException where the text is longer than such a code holds
   */
  public static QrCode of(String text) {
    try {
      return new QrCode(Encoder.encode(text, ErrorCorrectionLevel.M).getMatrix());
    } catch (WriterException e) {
      throw new IllegalArgumentException(e);
    }
  }

  /** Squares along each side, without the quiet edge. */
  public int side() {
    return squares.getWidth();
  }

  /** Whether a square is dark, from 0 at the upper left. */
  public boolean dark(int column, int row) {
    return squares.get(column, row) == 1;
  }

  /**
   * Draws it on a page, in points.
   *
   * @param left of its left edge
   * @param top of its upper edge, counted from the bottom of the page
   */
  void draw(PDPageContentStream page, float left, float top, float side) throws IOException {
    float square = side / side();
    for (int row = 0; row < side(); row++) {
      for (int column = 0; column < side(); column++) {
        if (dark(column, row)) {
          page.addRect(left + column * square, top - (row + 1) * square, square, square);
        }
      }
    }
    page.fill();
  }

  /** Its dark squares as the path of an SVG, one unit a square. */
  public String path() {
    StringBuilder path = new StringBuilder();
    for (int row = 0; row < side(); row++) {
      for (int column = 0; column < side(); column++) {
        if (dark(column, row)) {
          path.append("M%d %dh1v1h-1z".formatted(column, row));
        }
      }
    }
    return path.toString();
  }
}
