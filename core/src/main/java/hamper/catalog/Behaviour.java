package hamper.catalog;

/** What a device does while nobody sends to it. */
public enum Behaviour {
  /** Every output stays as it was last told; at the start, as it was when power went. */
  HOLD("holds the last levels"),
  /** Every output goes to its safe state: lights off, a relay as its circuit says. */
  SAFE("goes to its safe state"),
  /** It plays a show that it stores. */
  STORED("plays a show that it stores");

  private final String title;

  Behaviour(String title) {
    this.title = title;
  }

  /** As a sentence has it, after the device. */
  public String title() {
    return title;
  }
}
