package hamper.paper;

import hamper.facts.Facts;
import hamper.progress.Progress;
import java.util.ArrayList;
import java.util.List;

/** All sheets of a display. */
public final class Paperwork {
  private Paperwork() {}

  /**
   * In the order in which they are printed: the summary, lids, controllers, and then lists.
   *
   * @param version of the display; 0: a file has none
   * @param beside what is known besides the plan
   */
  public static List<Sheet> of(Facts facts, int version, Beside beside) {
    List<Sheet> all = new ArrayList<>();
    all.add(SummarySheet.of(facts));
    all.addAll(LidSheets.of(facts));
    all.addAll(crew(facts, beside.progress()));
    DmxSheet.of(facts).ifPresent(all::add);
    all.add(SendSheets.sendList(facts));
    all.add(SendSheets.showList(facts, version));
    all.add(ShoppingSheet.of(facts.plan()));
    all.add(TagSheet.of(facts.plan()));
    all.add(UnitSheet.of(beside.units()));
    all.add(TakeDownSheet.of(facts.plan(), beside.progress()));
    return all;
  }

  /** Crew sheets alone, with the walls of each controller. */
  public static List<Sheet> crew(Facts facts, Progress progress) {
    return Crew.of(facts, progress).stream().flatMap(one -> one.sheets().stream()).toList();
  }
}
