package hamper.edit;

import hamper.display.Accepted;
import hamper.display.Display;
import hamper.display.Plan;
import java.util.ArrayList;
import java.util.List;

/** Takes a risk or a hint, with a reason; or takes it for another reason. */
public record AcceptFinding(Accepted finding) implements Edit {
  @Override
  public Display change(Plan plan) {
    List<Accepted> accepted = new ArrayList<>(plan.display().accepted());
    accepted.removeIf(finding::sameAs);
    accepted.add(finding);
    return plan.display().withAccepted(accepted);
  }

  @Override
  public String label(Plan plan) {
    return "Accept: " + WithdrawAcceptance.shortened(finding.message());
  }
}
