package hamper.advise;

import static org.assertj.core.api.Assertions.assertThat;

import hamper.advise.RescueAnswer.Dark;
import hamper.advise.RescueAnswer.Way;
import hamper.check.Checks;
import hamper.check.Severity;
import hamper.display.Controller;
import hamper.display.HungLeg;
import hamper.display.Plan;
import hamper.facts.Facts;
import hamper.files.CatalogueFiles;
import hamper.files.DisplayFile;
import hamper.resolve.Resolution;
import hamper.samples.RandomYards;
import hamper.samples.Trial;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

/** Where a controller is dead, no answer makes anything worse, and what stays dark is said. */
@Tag("trial")
class RescueTest {
  private static final int DISPLAYS = Trial.size(5, 100);

  private static final Path DEMO =
      Path.of("../server/src/main/resources/hamper/demo/saltmarsh-quay.hamper.json");

  private int answers;
  private int neighbours;
  private int dark;

  @Test
  void forEachControllerOfTheDemo() throws IOException {
    Plan demo = DisplayFile.read(Files.readAllBytes(DEMO), CatalogueFiles.shipped());
    tryAll(Facts.of(demo), Trial.isLong() ? 1 : 3);
    assertThat(neighbours).isPositive();
    System.out.printf("demo: %d answers, %d pieces stay dark in all%n", answers, dark);
  }

  @Test
  void forEachControllerOfRandomDisplays() {
    for (int seed = 0; seed < DISPLAYS; seed++) {
      tryAll(Facts.of(RandomYards.of(CatalogueFiles.shipped(), seed)));
    }
    System.out.printf(
        "%d displays: %d answers, %d by neighbours, %d pieces stay dark in all%n",
        DISPLAYS, answers, neighbours, dark);
    assertThat(answers).isGreaterThan(3 * DISPLAYS);
  }

  private void tryAll(Facts facts) {
    tryAll(facts, 1);
  }

  /**
   * @param each of so many controllers one is tried
   */
  private void tryAll(Facts facts, int each) {
    List<Controller> controllers = facts.plan().display().controllers();
    for (int i = 0; i < controllers.size(); i += each) {
      Controller controller = controllers.get(i);
      if (!facts.plan().modelOf(controller).hostOnly()) {
        Rescue.of(facts, controller.id()).forEach(answer -> check(facts, controller, answer));
      }
    }
  }

  private void check(Facts facts, Controller dead, RescueAnswer answer) {
    answers++;
    neighbours += answer.way() == Way.NEIGHBOURS ? 1 : 0;
    dark += answer.dark().size();
    if (answer.edit().isEmpty()) {
      assertThat(answer.way()).isEqualTo(Way.SPARE);
      return;
    }
    Plan after = facts.plan().with(answer.edit().get().change(facts.plan()));
    Facts then = Facts.of(after);
    assertThat(faults(then)).as(answer.title()).isSubsetOf(faults(facts));
    Set<String> told =
        answer.dark().stream().map(Dark::piece).collect(Collectors.toCollection(TreeSet::new));
    Set<String> stays = new TreeSet<>();
    facts.plan().runsOf(dead).stream()
        .flatMap(run -> run.legs().stream())
        .map(HungLeg::at)
        .map(at -> at.piece().id())
        .filter(id -> !lights(then, answer.way() == Way.NEIGHBOURS ? dead.id() : "", id))
        .forEach(stays::add);
    assertThat(told).as(answer.title()).isEqualTo(stays);
  }

  /** Whether a piece hangs on a device that is alive. */
  private static boolean lights(Facts facts, String dead, String piece) {
    Resolution resolution = facts.resolution();
    return resolution
        .placements()
        .anyMatch(at -> at.piece().equals(piece) && !at.port().controller().equals(dead));
  }

  private static Set<String> faults(Facts facts) {
    return Checks.all(facts).stream()
        .filter(finding -> finding.severity() == Severity.FAULT)
        .map(finding -> finding.code() + " " + finding.subjects().get(0))
        .collect(Collectors.toCollection(TreeSet::new));
  }
}
