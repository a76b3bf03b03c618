package hamper.server.proof;

import hamper.value.Decimals;
import java.util.List;
import java.util.Locale;

/** A proof for people. */
public final class ProofText {
  private static final int MOST_TOLD = 40;

  private ProofText() {}

  public static String of(ProofReport report) {
    StringBuilder text = new StringBuilder();
    line(
        text,
        "%-8s %-26s %-15s %9s %9s %7s",
        "",
        "model",
        "stand-in",
        "pixels",
        "packets",
        "wrong");
    for (ProofReport.ControllerProof one : report.controllers()) {
      line(
          text,
          "%-8s %-26s %-15s %,9d %,9d %,7d%s",
          one.tag(),
          one.model(),
          one.standIn(),
          one.pixels(),
          one.packets(),
          one.wrong(),
          one.refused().isEmpty() ? "" : "  " + one.refused());
    }
    report.leftOut().forEach(one -> line(text, "%-8s left out: %s", one.what(), one.why()));
    for (ProofReport.WrongPixel one : report.examples().stream().limit(MOST_TOLD).toList()) {
      line(
          text,
          "%s position %d: meant %s, shown %s",
          one.written(),
          one.position(),
          levels(one.meant()),
          levels(one.shown()));
    }
    line(
        text,
        "%d controllers, %,d pixels, %,d packets in %s s: lost %,d, wrong %,d",
        report.controllers().size(),
        report.pixels(),
        report.packets(),
        Decimals.of(report.millis() / 1000.0, 1),
        report.lost(),
        report.wrong());
    return text.toString();
  }

  private static String levels(List<Integer> levels) {
    boolean none = levels.stream().allMatch(level -> level < 0);
    return none ? "nothing" : levels.toString();
  }

  private static void line(StringBuilder text, String format, Object... values) {
    text.append(String.format(Locale.ROOT, format, values)).append(System.lineSeparator());
  }
}
