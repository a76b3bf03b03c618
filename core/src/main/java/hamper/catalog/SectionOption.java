package hamper.catalog;

/** What a device may be told about the pixels of a section besides where they start. */
public enum SectionOption {
  GROUP("group"),
  FOLD("fold"),
  DIRECTION("direction"),
  NULL_PIXELS("null pixels"),
  COLOUR_ORDER("colour order"),
  BRIGHTNESS("brightness");

  private final String title;

  SectionOption(String title) {
    this.title = title;
  }

  public String title() {
    return title;
  }
}
