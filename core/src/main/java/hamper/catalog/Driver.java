package hamper.catalog;

/**
 * What drives the data line of a pixel socket, and so how far the first pixel may be away. Rules of
 * thumb.
 */
public enum Driver {
  /** Straight from logic of 3.3 V. */
  UNBUFFERED("unbuffered 3.3 V", 2),
  /** Through a buffer of 5 V. */
  BUFFERED("buffered 5 V", 5);

  private final String title;
  private final double metres;

  Driver(String title, double metres) {
    this.title = title;
    this.metres = metres;
  }

  /** As people say it. */
  public String title() {
    return title;
  }

  /** Beyond this the data may fail (m). */
  public double metres() {
    return metres;
  }
}
