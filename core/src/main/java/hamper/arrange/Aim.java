package hamper.arrange;

/** What a proposal is to be good at, once everything that must hold does. */
public enum Aim {
  /** Props whole, their strings on rising ports, each port by itself. */
  EASIEST("easiest to hang", new Weights(1000, 250, 12, 1, 40, 15, 200, 30, 0, 10, 8, 30, 60)),
  /** As little cable as can be. */
  SHORTEST("shortest cable", new Weights(30, 2, 1, 1000, 0, 1, 5000, 2, 0, 2, 2, 5, 8_000)),
  /** As few controllers as can be. */
  FEWEST("fewest controllers", new Weights(20, 2, 1, 2, 100_000, 0, 1000, 10, 0, 2, 0, 10, 100));

  private final String title;
  private final Weights weights;

  Aim(String title, Weights weights) {
    this.title = title;
    this.weights = weights;
  }

  public String title() {
    return title;
  }

  Weights weights() {
    return weights;
  }
}
