package hamper.advise;

import hamper.check.Finding;
import hamper.edit.Edit;
import hamper.facts.Facts;
import java.util.stream.Stream;

/** Thinks of edits that may settle a finding. Whether one does is tried by {@link Remedies}. */
interface Adviser {
  /** In the order in which a planner would think of them. */
  Stream<Edit> think(Facts facts, Finding finding);

  /** How many of those that help are offered, the first ones. */
  default int most() {
    return 3;
  }
}
