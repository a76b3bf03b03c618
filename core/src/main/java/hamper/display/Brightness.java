package hamper.display;

/**
 * The planned brightness of a section. The nearest setting counts; settings do not multiply.
 *
 * <p>Source: the load rules, "Current and voltage".
 */
public final class Brightness {
  /** Where nobody says anything (percent). */
  public static final int DEFAULT_PERCENT = 30;

  private Brightness() {}

  /**
   * @return percent, 0..100
   */
  public static int percent(Section section, Prop prop, Run run, Controller controller) {
    return section.brightness().orElseGet(() -> outside(prop, run, controller));
  }

  /** Of a section that says nothing itself (percent). */
  public static int outside(Prop prop, Run run, Controller controller) {
    return prop.brightness()
        .or(run::brightness)
        .or(() -> controller.settings().brightness())
        .orElse(DEFAULT_PERCENT);
  }

  /** Of a section that says nothing itself, and hangs nowhere (percent). */
  public static int outside(Prop prop) {
    return prop.brightness().orElse(DEFAULT_PERCENT);
  }
}
