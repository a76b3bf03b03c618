package hamper.server.proof;

import static org.assertj.core.api.Assertions.assertThat;

import hamper.address.Protocol;
import hamper.catalog.Catalog;
import hamper.display.Controller;
import hamper.facts.ControllerFacts;
import hamper.facts.Facts;
import hamper.facts.RunFacts;
import hamper.files.CatalogueFiles;
import hamper.samples.RandomYards;
import hamper.samples.Trial;
import hamper.samples.Untellable;
import hamper.standin.StandIns;
import java.util.HashSet;
import java.util.Set;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

/**
 * Random displays over all models, kinds of pieces, protocols and transports, proven: every pixel,
 * circuit and slot shows what was meant, or a finding says that it cannot.
 */
class RandomProofTest {
  private static final Catalog CATALOG = CatalogueFiles.shipped();

  private long refused;

  @Test
  @Tag("trial")
  void everyPixelOfRandomDisplaysShowsWhatWasMeant() throws Exception {
    int displays = Trial.size(12, 1_000);
    long controllers = 0;
    long pixels = 0;
    long packets = 0;
    long lost = 0;
    long excused = 0;
    for (long seed = 1; seed <= displays; seed++) {
      Facts facts = Facts.of(RandomYards.of(CATALOG, seed));
      ProofReport report = Proof.of(facts, percent -> {});
      excused += look(facts, report, "seed " + seed);
      controllers += report.controllers().size();
      pixels += report.pixels();
      packets += report.packets();
      lost += report.lost();
    }
    System.out.printf(
        "[proof] %,d random displays: %,d controllers, %,d pixels, %,d packets, lost %,d;"
            + " %,d controllers refuse what a finding says that they have no room for,"
            + " %,d ports with a finding that says so, on the others wrong = 0%n",
        displays, controllers, pixels, packets, lost, refused, excused);
    assertThat(refused).isLessThan(controllers / 4);
    assertThat(controllers).isGreaterThan(2L * displays);
  }

  /** As on a computer that knows no loopback address but 127.0.0.1. */
  @Test
  void standInsThatShareAnAddressShowTheSame() throws Exception {
    for (long seed = 1; seed <= 10; seed++) {
      Facts facts = Facts.of(RandomYards.of(CATALOG, seed));
      ProofReport report =
          Proof.of(facts, percent -> {}, Proof.Seam.startedBy(StandIns::startSharing));
      look(facts, report, "sharing, seed " + seed);
      assertThat(report.controllers())
          .allMatch(one -> one.standIn().matches("127\\.0\\.0\\.1 door \\d+, E1.31 \\d+, .*"));
      assertThat(report.lost()).isZero();
    }
  }

  /** How many ports have a finding that says that they do not do what was planned. */
  private long look(Facts facts, ProofReport report, String where) {
    Untellable untellable = Untellable.of(facts);
    Set<String> excused = new HashSet<>();
    for (ControllerFacts own : facts.controllers()) {
      own.runs().stream()
          .map(RunFacts::port)
          .filter(untellable::port)
          .forEach(port -> excused.add(facts.plan().written(port)));
    }
    for (ProofReport.ControllerProof one : report.controllers()) {
      if (untellable.controller(one.controller()) || sharesAddress(facts, one.controller())) {
        continue;
      }
      if (!one.refused().isEmpty() && untellable.mayRefuse(one.controller())) {
        refused++;
        continue;
      }
      assertThat(one.refused()).as(where + " " + one.tag()).isEmpty();
      assertThat(report.examples())
          .as("%s, %s, a %s", where, one.tag(), one.model())
          .filteredOn(wrong -> wrong.controller().equals(one.tag()))
          .allMatch(wrong -> excused.contains(wrong.written()));
    }
    return excused.size();
  }

  /**
   * On DDP two devices of one address get each other's bytes: the plan has a fault that says so.
   */
  private static boolean sharesAddress(Facts facts, String id) {
    Controller controller = facts.plan().existingController(id);
    return controller.protocol() == Protocol.DDP
        && facts.plan().display().controllers().stream()
            .filter(other -> !other.id().equals(id))
            .anyMatch(other -> other.address().equals(controller.address()));
  }
}
