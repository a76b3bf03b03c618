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
    return section
        .brightness()
        .or(prop::brightness)
        .or(run::brightness)
        .or(() -> controller.settings().brightness())
        .orElse(DEFAULT_PERCENT);
  }
}
