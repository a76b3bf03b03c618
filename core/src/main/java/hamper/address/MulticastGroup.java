package hamper.address;

/** The IPv4 group of an E1.31 universe: 239.255.high.low. Source: E1.31, universe addressing. */
public final class MulticastGroup {
  private MulticastGroup() {}

  /**
   * @param universe 1..63999
   */
  public static String of(int universe) {
    return "239.255.%d.%d".formatted(universe >> 8, universe & 255);
  }
}
