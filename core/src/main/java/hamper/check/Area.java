package hamper.check;

/** What part of the plan a check looks at. */
public enum Area {
  ADDRESSES("addresses"),
  COMPLETENESS("completeness"),
  INPUTS("inputs"),
  PORTS("ports"),
  DIALECT("dialect"),
  POWER("power"),
  DATA("data"),
  NETWORK("network"),
  COLOURS("colours"),
  WALLS("walls"),
  SERIAL("serial lines"),
  CIRCUITS("circuits"),
  HANDOVER("handover");

  private final String title;

  Area(String title) {
    this.title = title;
  }

  public String title() {
    return title;
  }
}
