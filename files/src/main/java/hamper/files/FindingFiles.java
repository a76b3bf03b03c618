package hamper.files;

import hamper.check.Finding;
import hamper.check.Severity;
import java.util.List;
import tools.jackson.databind.node.ObjectNode;

/** Findings as text for people and as JSON for scripts. */
public final class FindingFiles {
  private FindingFiles() {}

  public static String json(List<Finding> findings) {
    ObjectNode root = Json.MAPPER.createObjectNode();
    root.put("format", "hamper-findings");
    root.put("formatVersion", 1);
    root.put("faults", count(findings, Severity.FAULT));
    root.put("risks", count(findings, Severity.RISK));
    root.put("hints", count(findings, Severity.HINT));
    root.set("findings", Json.MAPPER.valueToTree(findings));
    return Json.MAPPER.writerWithDefaultPrettyPrinter().writeValueAsString(root) + "\n";
  }

  public static String text(List<Finding> findings) {
    StringBuilder text = new StringBuilder();
    for (Finding finding : findings) {
      text.append(
          "%-5s %s: %s%n      %s%n"
              .formatted(
                  finding.severity().name().toLowerCase(),
                  finding.title(),
                  finding.message(),
                  finding.yard()));
    }
    text.append(
        "%d faults, %d risks, %d hints%n"
            .formatted(
                count(findings, Severity.FAULT),
                count(findings, Severity.RISK),
                count(findings, Severity.HINT)));
    return text.toString();
  }

  private static long count(List<Finding> findings, Severity severity) {
    return findings.stream().filter(finding -> finding.severity() == severity).count();
  }
}
