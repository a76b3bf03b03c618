package hamper.paper;

import hamper.handover.Units;
import hamper.progress.Progress;

/** What sheets say besides the plan: how far strings are, and which units there are. */
public record Beside(Progress progress, Units units) {
  /** Of a plan of which nothing else is known. */
  public static final Beside NOTHING = new Beside(Progress.NONE, Units.NONE);
}
