package hamper.progress;

/** How far a string is; each stage has those before it behind it. */
public enum Stage {
  PLANNED("planned"),
  /** In the workshop, on a bench. */
  TESTED("tested"),
  HUNG("hung"),
  /** Into the port that the plan has for it. */
  PLUGGED_IN("plugged in"),
  POWERED("powered"),
  /** By a person who stood before it. */
  SEEN_RIGHT("seen right");

  private final String title;

  Stage(String title) {
    this.title = title;
  }

  public String title() {
    return title;
  }

  /** Whether it holds only as long as the string hangs on the port it was plugged into. */
  boolean needsItsPort() {
    return this == PLUGGED_IN || this == POWERED;
  }
}
