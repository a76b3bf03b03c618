package hamper.guide;

/** What somebody sees who needs a guide. */
public enum GuideKind {
  NOTHING_LIGHTS("nothing lights"),
  WRONG_COLOURS("wrong colours"),
  AREA_DARK("a whole area is dark"),
  SHIFTED("shifted"),
  ANOTHER_LIGHTS("another prop lights"),
  END_DARK("the end is dark or brown"),
  STUTTERS("it stutters"),
  FLICKERS("flickers from here on");

  private final String title;

  GuideKind(String title) {
    this.title = title;
  }

  public String title() {
    return title;
  }
}
