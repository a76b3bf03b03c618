package hamper.catalog;

/**
 * What a DMX line leaves a device by. Source: ANSI E1.11 (plugs of five pins), ANSI E1.27-2
 * (network plugs); plugs of three pins are wired the same as far as they go.
 */
public enum Plug {
  FIVE_PINS(
      "plug of five pins",
      "straight: pin to the same pin. 1 common, 2 data −, 3 data +; 4, 5 free"),
  THREE_PINS("plug of three pins", "straight: pin to the same pin. 1 common, 2 data −, 3 data +"),
  NETWORK("network plug", "to five pins: 1 (data +) to 3, 2 (data −) to 2, 7 (common) to 1"),
  TERMINALS("screw terminals", "to five pins: common to 1, data − to 2, data + to 3");

  private final String title;
  private final String cable;

  Plug(String title, String cable) {
    this.title = title;
    this.cable = cable;
  }

  /** As people say it. */
  public String title() {
    return title;
  }

  /** How the first cable of a line is wired. */
  public String cable() {
    return cable;
  }
}
