package hamper.pdf;

import org.apache.pdfbox.pdmodel.common.PDRectangle;

/** What printers have in them. */
public enum PaperSize {
  A4(PDRectangle.A4),
  LETTER(PDRectangle.LETTER);

  private final PDRectangle box;

  PaperSize(PDRectangle box) {
    this.box = box;
  }

  PDRectangle box() {
    return box;
  }
}
