package hamper.arrange;

import static org.assertj.core.api.Assertions.assertThat;

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
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/**
 * A proposal brings nothing that is wrong, moves nothing that hangs, and is the same every time.
 */
class ArrangeTest {
  private static final int YARDS = Boolean.getBoolean("hamper.trial.long") ? 1000 : 20;

  private static Plan demo() throws IOException {
    Path file = Path.of("../server/src/main/resources/hamper/demo/saltmarsh-quay.hamper.json");
    return DisplayFile.read(Files.readAllBytes(file), CatalogueFiles.shipped());
  }

  /** A random yard of which some pieces were taken off. */
  private static Plan yard(int seed) {
    return thinned(RandomYards.of(CatalogueFiles.shipped(), seed), seed);
  }

  /** One whose zones have places, so that cable has a length. */
  private static Plan measured(int seed) {
    return thinned(LargeDisplays.of(CatalogueFiles.shipped(), 30, 200, 20, seed), seed);
  }

  private static Plan thinned(Plan plan, int seed) {
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

  private static Map<PortRef, List<Leg>> legs(Plan plan) {
    Map<PortRef, List<Leg>> all = new TreeMap<>(java.util.Comparator.comparing(plan::written));
    plan.runs().forEach(run -> all.put(run.port(), run.run().legs()));
    return all;
  }

  private static Plan taken(Plan plan, Proposal proposal) {
    return proposal.edit().map(edit -> edit.applyTo(plan).plan()).orElse(plan);
  }

  @ParameterizedTest
  @EnumSource(Aim.class)
  void noProposalBringsAFaultOrARiskOrMovesWhatHangs(Aim aim) {
    int loose = 0;
    int hung = 0;
    for (int seed = 0; seed < YARDS; seed++) {
      Plan plan = yard(seed);
      Set<String> wanted = Arrange.loose(plan);
      Facts facts = Facts.of(plan);
      Proposal proposal = Arrange.of(facts, wanted, aim);
      Plan after = taken(plan, proposal);
      Set<String> fresh = new HashSet<>(grave(after));
      fresh.removeAll(grave(plan));
      assertThat(fresh).as("yard %d", seed).isEmpty();
      Map<PortRef, List<Leg>> now = legs(after);
      legs(plan)
          .forEach((port, was) -> assertThat(now.get(port).subList(0, was.size())).isEqualTo(was));
      assertThat(proposal.hung().size() + proposal.left().size()).isEqualTo(wanted.size());
      proposal.left().forEach(one -> assertThat(one.because()).as(one.title()).isNotBlank());
      proposal.hung().forEach(one -> assertThat(one.because()).as(one.title()).isNotBlank());
      assertThat(Arrange.of(facts, wanted, aim)).as("yard %d again", seed).isEqualTo(proposal);
      loose += wanted.size();
      hung += proposal.hung().size();
    }
    assertThat(hung).as("of %d", loose).isGreaterThan(loose / 2);
  }

  @Test
  void eachAimIsGoodAtWhatItIsFor() {
    double easyMetres = 0;
    double nearMetres = 0;
    int easyMore = 0;
    int fewMore = 0;
    for (int seed = 0; seed < 12; seed++) {
      Plan plan = measured(seed);
      Facts facts = Facts.of(plan);
      Set<String> wanted = Arrange.loose(plan);
      Proposal easy = Arrange.of(facts, wanted, Aim.EASIEST);
      Proposal few = Arrange.of(facts, wanted, Aim.FEWEST);
      Proposal near = Arrange.of(facts, wanted, Aim.SHORTEST);
      assertThat(near.hung().size()).isGreaterThan(wanted.size() / 2);
      assertThat(few.cost().another()).isLessThanOrEqualTo(easy.cost().another());
      easyMetres += easy.cost().metres();
      nearMetres += near.cost().metres();
      easyMore += easy.cost().outlets();
      fewMore += few.cost().outlets();
    }
    assertThat(nearMetres).isLessThanOrEqualTo(easyMetres);
    assertThat(fewMore).isLessThanOrEqualTo(easyMore);
  }

  @Test
  void onePropMoreMovesNothingElse() {
    for (int seed = 0; seed < YARDS; seed++) {
      Plan plan = yard(seed);
      Plan first = taken(plan, Arrange.of(Facts.of(plan), Arrange.loose(plan), Aim.EASIEST));
      Plan again = taken(first, Arrange.of(Facts.of(first), Arrange.loose(first), Aim.EASIEST));
      Map<PortRef, List<Leg>> now = legs(again);
      legs(first)
          .forEach((port, was) -> assertThat(now.get(port).subList(0, was.size())).isEqualTo(was));
    }
  }

  @Test
  void theDemosLoosePiecesFindPlacesAndTheRestIsToldWhyNot() throws IOException {
    Plan plan = demo();
    Proposal proposal = Arrange.of(Facts.of(plan), Arrange.loose(plan), Aim.EASIEST);
    assertThat(proposal.hung())
        .extracting(one -> one.title() + " on " + one.written())
        .contains("Lamp posts on K4-8", "Red dinghy on K7-3", "Buoys on K6-20");
    assertThat(proposal.left()).hasSize(5);
    assertThat(proposal.left())
        .filteredOn(one -> one.title().equals("Cargo net"))
        .extracting(Proposal.Left::because)
        .first()
        .asString()
        .contains("Cargo net on ", " asks for a fold: the device has no such setting");
    assertThat(proposal.hung().size() + proposal.left().size()).isEqualTo(10);
    assertThat(proposal.cost().another()).isZero();
  }
}
