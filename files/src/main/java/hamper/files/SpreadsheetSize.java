package hamper.files;

/**
 * How large a table is, counted in one pass over its characters before anything is made of it.
 *
 * @param rows in which something stands
 * @param lines in all, empty ones too
 * @param widest most cells of any row
 * @param longest most characters of any cell
 */
record SpreadsheetSize(int rows, int lines, Most widest, Most longest) {
  /**
   * The largest of something, and the first row that has it.
   *
   * @param row from 1
   */
  record Most(int value, int row) {
    Most or(int other, int otherRow) {
      return other > value ? new Most(other, otherRow) : this;
    }
  }

  static SpreadsheetSize of(String text, char separator) {
    Counter counter = new Counter();
    boolean quoted = false;
    for (int i = 0; i < text.length(); i++) {
      char c = text.charAt(i);
      char next = i + 1 < text.length() ? text.charAt(i + 1) : 0;
      if (quoted) {
        // two quotation marks stand for one
        boolean escaped = c == '"' && next == '"';
        i += escaped ? 1 : 0;
        quoted = c != '"' || escaped;
        counter.character(c);
      } else if (c == '\n' || c == '\r' && next != '\n') {
        counter.endRow();
      } else if (c == separator) {
        counter.endCell();
      } else if (c == '"' && counter.isCellEmpty()) {
        quoted = true;
      } else {
        counter.character(c);
      }
    }
    counter.endRow();
    return counter.size();
  }

  /** What has been seen so far. */
  private static final class Counter {
    private int rows;
    private int row = 1;
    private int cells = 1;
    private int cell;
    private boolean cellFilled;
    private boolean rowFilled;
    private Most widest = new Most(0, 1);
    private Most longest = new Most(0, 1);

    boolean isCellEmpty() {
      return !cellFilled;
    }

    void character(char c) {
      cell++;
      cellFilled |= !Character.isWhitespace(c);
    }

    void endCell() {
      longest = longest.or(cell, row);
      rowFilled |= cellFilled;
      cells++;
      cell = 0;
      cellFilled = false;
    }

    void endRow() {
      endCell();
      widest = widest.or(cells - 1, row);
      rows += rowFilled ? 1 : 0;
      row++;
      cells = 1;
      rowFilled = false;
    }

    SpreadsheetSize size() {
      return new SpreadsheetSize(rows, row - 1, widest, longest);
    }
  }
}
