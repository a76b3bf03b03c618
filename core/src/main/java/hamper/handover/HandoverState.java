package hamper.handover;

/** How a device stands to what the plan tells it. */
public enum HandoverState {
  NEVER("never given"),
  GIVEN("given"),
  STALE("stale"),
  REFUSED("refused"),
  UNKNOWN("unknown"),
  NOT_KEPT("not kept"),
  DIFFERENT("different");

  private final String word;

  HandoverState(String word) {
    this.word = word;
  }

  public String word() {
    return word;
  }
}
