package hamper.arrange;

import hamper.check.Checks;
import hamper.check.Severity;
import hamper.check.Subject;
import hamper.display.Leg;
import hamper.display.Plan;
import hamper.display.PortRef;
import hamper.edit.UnpatchPieces;
import hamper.facts.Facts;
import hamper.files.CatalogueFiles;
import hamper.files.DisplayFile;
import hamper.samples.LargeDisplays;
import hamper.samples.RandomYards;
import hamper.samples.Trial;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;

/** Plans to arrange, and what is asked of every proposal for them. */
final class Yards {
  static final int COUNT = Trial.size(5, 1_000);

  private Yards() {}

  static Plan demo() throws IOException {
    Path file = Path.of("../server/src/main/resources/hamper/demo/saltmarsh-quay.hamper.json");
    return DisplayFile.read(Files.readAllBytes(file), CatalogueFiles.shipped());
  }

  /** A random yard of which some pieces were taken off. */
  static Plan yard(int seed) {
    return thinned(RandomYards.of(CatalogueFiles.shipped(), seed), seed);
  }

  /** One whose zones have places, so that cable has a length. */
  static Plan measured(int seed) {
    return thinned(LargeDisplays.of(CatalogueFiles.shipped(), 30, 200, 20, seed), seed);
  }

  static Plan thinned(Plan plan, int seed) {
    Random random = new Random(seed);
    Set<String> mirrored =
        plan.runs()
            .flatMap(run -> run.legs().stream())
            .flatMap(leg -> leg.leg().mirrorOf().stream())
            .collect(Collectors.toSet());
    List<String> off =
        plan.runs()
            .flatMap(run -> run.legs().stream())
            .map(leg -> leg.leg().piece())
            .filter(piece -> random.nextInt(3) == 0 && !mirrored.contains(piece))
            .toList();
    return off.isEmpty() ? plan : plan.with(new UnpatchPieces(off).change(plan));
  }

  static Set<String> grave(Plan plan) {
    return Checks.run(Facts.of(plan)).stream()
        .filter(one -> one.severity() != Severity.HINT)
        // hanging a part of a prop leaves the rest as it was
        .filter(one -> !one.code().equals("not-patched"))
        .map(
            one ->
                one.code()
                    + one.severity()
                    + one.subjects().stream()
                        .map(Subject::identity)
                        .collect(Collectors.joining(",")))
        .collect(Collectors.toSet());
  }

  static Map<PortRef, List<Leg>> legs(Plan plan) {
    Map<PortRef, List<Leg>> all = new TreeMap<>(Comparator.comparing(plan::written));
    plan.runs().forEach(run -> all.put(run.port(), run.run().legs()));
    return all;
  }

  static Plan taken(Plan plan, Proposal proposal) {
    return proposal.edit().map(edit -> edit.applyTo(plan).plan()).orElse(plan);
  }

  /** Faults and risks that a plan has and another had not. */
  static Set<String> fresh(Plan before, Plan after) {
    Set<String> fresh = new HashSet<>(grave(after));
    fresh.removeAll(grave(before));
    return fresh;
  }
}
