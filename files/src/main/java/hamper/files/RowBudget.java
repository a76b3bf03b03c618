package hamper.files;

import hamper.value.RefusedException;

/** Counts what the rows of a table ask for, the bad ones too, before any of it is made. */
final class RowBudget {
  /** Most props that one table makes. */
  private static final int MOST_PROPS = PropRows.MOST_ROWS;

  /** Most pieces, and most sections, that one table makes. */
  private static final int MOST_PARTS = 10_000;

  private int props;
  private long pieces;
  private long sections;

  /**
   * @param count of props that a row makes
   * @throws hamper.value.RefusedException where the table asks for more than one makes
   */
  void spend(int count, WhatCell what) {
    props += count;
    pieces += (long) count * what.count();
    sections += (long) count * what.count() * what.sizes().size();
    // words are made only when they are said: there are as many calls as rows
    if (props > MOST_PROPS) {
      throw new RefusedException(
          PropColumn.PROP.title(),
          "%,d props with this row".formatted(props),
          "one table makes at most %,d; split it in several".formatted(MOST_PROPS));
    }
    if (pieces > MOST_PARTS || sections > MOST_PARTS) {
      throw new RefusedException(
          PropColumn.WHAT.title(),
          "%,d pieces of %,d sections with this row".formatted(pieces, sections),
          "one table makes at most %,d of each; split it in several".formatted(MOST_PARTS));
    }
  }
}
