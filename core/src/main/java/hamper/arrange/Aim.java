package hamper.arrange;

/** What a proposal is to be good at, once everything that must hold does. */
public enum Aim {
  /** Props whole, their strings on rising ports, each port by itself. */
  EASIEST("easiest to hang", 1000, 250, 12, 1, 40, 15),
  /** As little cable as can be. */
  SHORTEST("shortest cable", 30, 2, 1, 1000, 0, 1),
  /** As few controllers as can be. */
  FEWEST("fewest controllers", 20, 2, 1, 2, 100_000, 0);

  private final String title;
  private final double split;
  private final double backwards;
  private final double skipped;
  private final double metre;
  private final double another;
  private final double shared;

  /**
   * @param split a prop over another controller
   * @param backwards a string of a prop on a lower port than the one before it
   * @param skipped each port between two strings of a prop
   * @param metre of cable
   * @param another controller that nothing hung on
   * @param shared a port that something hangs on already
   */
  Aim(
      String title,
      double split,
      double backwards,
      double skipped,
      double metre,
      double another,
      double shared) {
    this.title = title;
    this.split = split;
    this.backwards = backwards;
    this.skipped = skipped;
    this.metre = metre;
    this.another = another;
    this.shared = shared;
  }

  public String title() {
    return title;
  }

  double split() {
    return split;
  }

  double backwards() {
    return backwards;
  }

  double skipped() {
    return skipped;
  }

  double metre() {
    return metre;
  }

  double another() {
    return another;
  }

  double shared() {
    return shared;
  }
}
