package hamper.pattern;

/** Kinds of patterns, each with what it is for. */
public enum PatternKind {
  ENDS("first green, second blue, last red", "shift, colours and length at one look") {
    @Override
    Colour at(Pattern pattern, Strand strand, int address, long millis) {
      if (strand.shows(1, address)) {
        return Colour.GREEN;
      } else if (strand.shows(2, address)) {
        return Colour.BLUE;
      }
      return strand.shows(strand.total(), address) ? Colour.RED : Colour.DARK;
    }
  },
  WHITE("white", "whether it lights at all") {
    @Override
    Colour at(Pattern pattern, Strand strand, int address, long millis) {
      return Colour.WHITE;
    }
  },
  COLOUR("one colour", "colours, and which channel is which") {
    @Override
    Colour at(Pattern pattern, Strand strand, int address, long millis) {
      return pattern.colour();
    }
  },
  TURNS("colours in turn", "red, green, blue and white for two seconds each") {
    @Override
    Colour at(Pattern pattern, Strand strand, int address, long millis) {
      return TURN[(int) (millis / TURN_MILLIS % TURN.length)];
    }

    @Override
    public boolean moves() {
      return true;
    }
  },
  LEGS("string by string in two colours", "where one ends and the next begins") {
    @Override
    Colour at(Pattern pattern, Strand strand, int address, long millis) {
      return strand.leg() % 2 == 0 ? Colour.GREEN : Colour.BLUE;
    }
  },
  NUMBER("number of the port", "tens as red pixels, then ones as green") {
    @Override
    Colour at(Pattern pattern, Strand strand, int address, long millis) {
      int tens = strand.port() / TEN;
      int place = strand.firstOf(address);
      if (place <= tens) {
        return Colour.RED;
      }
      return place <= tens + strand.port() % TEN ? Colour.GREEN : Colour.DARK;
    }
  },
  COUNT("one pixel, counted", "steps along the wire: which one is it really?") {
    @Override
    Colour at(Pattern pattern, Strand strand, int address, long millis) {
      return strand.shows(pattern.from(), address) ? pattern.colour() : Colour.DARK;
    }
  },
  PART("a part, halved", "closes in on a dead spot") {
    @Override
    Colour at(Pattern pattern, Strand strand, int address, long millis) {
      int place = strand.firstOf(address);
      return place >= pattern.from() && place <= pattern.to() ? pattern.colour() : Colour.DARK;
    }
  },
  TENTHS("every tenth red", "how far along something is") {
    @Override
    Colour at(Pattern pattern, Strand strand, int address, long millis) {
      return strand.firstOf(address) % TEN == 0 ? Colour.RED : Colour.GREEN;
    }
  },
  SOAK("white for hours", "whether it bears its planned load") {
    @Override
    Colour at(Pattern pattern, Strand strand, int address, long millis) {
      return Colour.WHITE;
    }
  },
  CORNERS(
      "corners of a wall", "top left red, top right green, bottom left blue, bottom right white") {
    @Override
    Colour at(Pattern pattern, Strand strand, int address, long millis) {
      if (strand.columns() == 0) {
        return ENDS.at(pattern, strand, address, millis);
      }
      int cell = strand.firstOf(address) - 1;
      int column = cell % strand.columns();
      int row = cell / strand.columns();
      int across = Math.min(column, strand.columns() - 1 - column);
      int down = Math.min(row, strand.rows() - 1 - row);
      if (across >= mark(strand.columns()) || down >= mark(strand.rows())) {
        return Colour.DARK;
      }
      boolean right = column > across;
      boolean bottom = row > down;
      if (bottom) {
        return right ? Colour.WHITE : Colour.BLUE;
      }
      return right ? Colour.GREEN : Colour.RED;
    }
  },
  COLUMNS("column by column", "whether columns follow each other") {
    @Override
    Colour at(Pattern pattern, Strand strand, int address, long millis) {
      int lines = strand.columns() == 0 ? strand.total() : strand.columns();
      int line = (strand.firstOf(address) - 1) % lines;
      return line == millis / SWEEP_MILLIS % lines ? pattern.colour() : Colour.DARK;
    }

    @Override
    public boolean moves() {
      return true;
    }
  },
  ROWS("row by row", "whether rows follow each other") {
    @Override
    Colour at(Pattern pattern, Strand strand, int address, long millis) {
      int columns = Math.max(1, strand.columns());
      int row = (strand.firstOf(address) - 1) / columns;
      int rows = strand.total() / columns;
      return row == millis / SWEEP_MILLIS % rows ? pattern.colour() : Colour.DARK;
    }

    @Override
    public boolean moves() {
      return true;
    }
  },
  ARROW("an arrow for up", "which way up a wall hangs") {
    @Override
    Colour at(Pattern pattern, Strand strand, int address, long millis) {
      if (strand.columns() == 0) {
        return ENDS.at(pattern, strand, address, millis);
      }
      int cell = strand.firstOf(address) - 1;
      double across = cell % strand.columns() - (strand.columns() - 1) / 2.0;
      int row = cell / strand.columns();
      boolean shaft = Math.abs(across) < 1;
      boolean head = Math.abs(Math.abs(across) - row) < 1;
      return shaft || head && row * 2 <= strand.rows() ? pattern.colour() : Colour.DARK;
    }
  };

  private static final int TEN = 10;
  private static final int TURN_MILLIS = 2_000;
  private static final int SWEEP_MILLIS = 250;

  /** Part of a side that a corner's mark takes. */
  private static final int MARK_PART = 4;

  private static final Colour[] TURN = {Colour.RED, Colour.GREEN, Colour.BLUE, Colour.WHITE};

  private final String title;
  private final String purpose;

  PatternKind(String title, String purpose) {
    this.title = title;
    this.purpose = purpose;
  }

  /** As people call it, such as "first green, second blue, last red". */
  public String title() {
    return title;
  }

  /** What one sees by it. */
  public String purpose() {
    return purpose;
  }

  /** Whether it changes by itself. */
  public boolean moves() {
    return false;
  }

  /** Whether so few pixels change from one step to the next that it is no flash. */
  public boolean small() {
    return this == COUNT;
  }

  abstract Colour at(Pattern pattern, Strand strand, int address, long millis);

  private static int mark(int side) {
    return Math.max(1, Math.min(TEN, side / MARK_PART));
  }
}
