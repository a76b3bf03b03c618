package hamper.edit;

import hamper.display.Display;
import hamper.display.Plan;
import hamper.value.Require;

/**
 * Takes an acceptance back.
 *
 * @param code of the check
 * @param message of the finding
 */
public record WithdrawAcceptance(String code, String message) implements Edit {
  private static final int SHORT = 60;

  @Override
  public Display change(Plan plan) {
    var kept =
        plan.display().accepted().stream()
            .filter(one -> !one.code().equals(code) || !one.message().equals(message))
            .toList();
    Require.that(
        kept.size() < plan.display().accepted().size(),
        "message",
        Require.quoted(message),
        "nobody accepted this");
    return plan.display().withAccepted(kept);
  }

  @Override
  public String label(Plan plan) {
    return "Do not accept: " + shortened(message);
  }

  static String shortened(String message) {
    return message.length() > SHORT ? message.substring(0, SHORT - 1) + "…" : message;
  }
}
