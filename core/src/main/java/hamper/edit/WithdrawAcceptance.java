package hamper.edit;

import hamper.display.Accepted;
import hamper.display.Display;
import hamper.display.Plan;
import hamper.value.Require;
import java.util.Optional;

/**
 * Takes an acceptance back.
 *
 * @param identity of the finding; left out where it was accepted by its words
 * @param code of the check
 * @param message of the finding
 */
public record WithdrawAcceptance(Optional<String> identity, String code, String message)
    implements Edit {
  private static final int SHORT = 60;

  @Override
  public Display change(Plan plan) {
    Accepted taken = new Accepted(identity, code, message, "-");
    var kept = plan.display().accepted().stream().filter(one -> !one.sameAs(taken)).toList();
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
