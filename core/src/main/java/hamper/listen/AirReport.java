package hamper.listen;

import hamper.facts.Facts;
import java.util.Comparator;
import java.util.List;

/**
 * What is planned beside what was heard.
 *
 * @param lines one for each planned stream, in the order of the send list
 * @param findings of the moment; nothing of them is kept
 * @param others streams that nobody planned
 */
public record AirReport(List<AirLine> lines, List<AirFinding> findings, List<HeardStream> others) {
  static final Comparator<HeardStream> BY_UNIVERSE =
      Comparator.comparing(HeardStream::protocol)
          .thenComparing(HeardStream::universe)
          .thenComparing(HeardStream::from)
          .thenComparing(HeardStream::to);

  public AirReport {
    lines = List.copyOf(lines);
    findings = List.copyOf(findings);
    others = List.copyOf(others);
  }

  /** Whether plan and network agree, as far as can be heard. */
  public boolean agrees() {
    return findings.isEmpty();
  }

  /**
   * @param heard streams that were heard here, and those that devices have counted
   */
  public static AirReport of(Facts facts, List<HeardStream> heard, Vantage vantage) {
    return new Comparison(facts, heard, vantage).report();
  }
}
