package hamper.advise;

import hamper.check.Finding;
import hamper.display.HungLeg;
import hamper.display.HungRun;
import hamper.display.Leg;
import hamper.display.PixelString;
import hamper.display.Plan;
import hamper.display.PortLimit;
import hamper.display.PortRef;
import hamper.edit.CutString;
import hamper.edit.Cuts;
import hamper.edit.Edit;
import hamper.edit.PatchPieces;
import hamper.edit.Together;
import hamper.facts.Facts;
import hamper.value.Require;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * Cuts the string at which a port is full and hangs the rest, with what hangs behind it, on empty
 * ports of the same controller.
 */
final class CutAdviser implements Adviser {
  @Override
  public Stream<Edit> think(Facts facts, Finding finding) {
    Plan plan = facts.plan();
    return finding
        .ports()
        .flatMap(port -> plan.run(port).stream())
        .filter(HungRun::carriesPixels)
        .flatMap(run -> cut(plan, run).stream());
  }

  private static Optional<Edit> cut(Plan plan, HungRun run) {
    int limit = limit(plan, run);
    if (run.places() <= limit) {
      return Optional.empty();
    }
    HungLeg full = run.at(limit + 1);
    PixelString string = (PixelString) full.at().piece();
    if (string.places() <= limit) {
      return Optional.empty(); // it has room as it is, on another port
    }
    List<CutString> cuts = Cuts.of(plan, string, limit - full.start(), limit);
    List<PortRef> free =
        EmptyPorts.of(plan, run.controller(), run.run().kind()).limit(cuts.size()).toList();
    if (cuts.isEmpty() || free.size() < cuts.size()) {
      return Optional.empty();
    }
    List<Edit> steps = new ArrayList<>(cuts);
    for (int i = 0; i < cuts.size(); i++) {
      List<String> moving = new ArrayList<>(List.of(cuts.get(i).rest()));
      if (i == cuts.size() - 1) {
        run.run().legs().stream().skip(full.index() + 1).map(Leg::piece).forEach(moving::add);
      }
      steps.add(new PatchPieces(moving, free.get(i), Optional.empty()));
    }
    String where =
        cuts.size() == 1 ? plan.written(free.get(0)) : "%d empty ports".formatted(cuts.size());
    return Optional.of(new Together(title(full, run, cuts.get(0), where), steps));
  }

  private static String title(HungLeg full, HungRun run, CutString cut, String where) {
    String words = "Cut %s after pixel %d and hang the rest on %s";
    String named = words.formatted(full.at().title(), cut.after(), where);
    return named.length() <= Require.LONGEST_NAME
        ? named
        : words.formatted("a string of " + run.written(), cut.after(), where);
  }

  private static int limit(Plan plan, HungRun run) {
    return run.legs().stream()
        .mapToInt(
            leg ->
                PortLimit.of(plan, run.controller(), plan.typeOf((PixelString) leg.at().piece()))
                    .places())
        .min()
        .orElse(Integer.MAX_VALUE);
  }
}
