package hamper.pdf;

import org.apache.pdfbox.pdmodel.common.PDRectangle;

/**
 * Sheets of adhesive labels as shops sell them, told by what is on them. Lengths in millimetres.
 */
public enum LabelSize {
  A4_24("24 on A4, 70 × 37 mm", PDRectangle.A4, 3, 8, 70, 37, 0, 0.5f, 0, 0),
  A4_40("40 on A4, 48.5 × 25.4 mm", PDRectangle.A4, 4, 10, 48.5f, 25.4f, 8, 21.5f, 0, 0),
  A4_65("65 on A4, 38.1 × 21.2 mm", PDRectangle.A4, 5, 13, 38.1f, 21.2f, 4.75f, 10.7f, 2.5f, 0),
  LETTER_30(
      "30 on Letter, 66.7 × 25.4 mm",
      PDRectangle.LETTER,
      3,
      10,
      66.7f,
      25.4f,
      4.75f,
      12.7f,
      3.1f,
      0);

  static final float POINTS = 72 / 25.4f;

  private final String title;
  private final PDRectangle page;
  private final int columns;
  private final int rows;
  private final float width;
  private final float height;
  private final float left;
  private final float top;
  private final float across;
  private final float down;

  LabelSize(
      String title,
      PDRectangle page,
      int columns,
      int rows,
      float width,
      float height,
      float left,
      float top,
      float across,
      float down) {
    this.title = title;
    this.page = page;
    this.columns = columns;
    this.rows = rows;
    this.width = width;
    this.height = height;
    this.left = left;
    this.top = top;
    this.across = across;
    this.down = down;
  }

  public String title() {
    return title;
  }

  PDRectangle page() {
    return page;
  }

  /** Labels of one page. */
  public int count() {
    return columns * rows;
  }

  /** Of a label (pt). */
  float width() {
    return width * POINTS;
  }

  /** Of a label (pt). */
  float height() {
    return height * POINTS;
  }

  /** The left edge of the label at a place of the page, row by row (pt). */
  float x(int place) {
    return (left + place % columns * (width + across)) * POINTS;
  }

  /** Its upper edge, from the top of the page (pt). */
  float y(int place) {
    return (top + place / columns * (height + down)) * POINTS;
  }
}
