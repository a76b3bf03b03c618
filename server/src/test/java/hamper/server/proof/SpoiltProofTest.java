package hamper.server.proof;

import static org.assertj.core.api.Assertions.assertThat;

import hamper.facts.Facts;
import hamper.files.CatalogueFiles;
import hamper.samples.RandomYards;
import hamper.samples.SpoiltDocuments;
import hamper.samples.Untellable;
import java.nio.charset.StandardCharsets;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/**
 * The proof can see: documents are spoilt on their way, and the wrong pixels are where they were.
 */
class SpoiltProofTest {
  private static final JsonMapper JSON = new JsonMapper();
  private static final int MOST_DISPLAYS = 120;

  /** Spoils what is told, and keeps where it did. */
  private static final class Spoiler {
    private final SpoiltDocuments.Fault fault;
    private final Set<String> spoilt = new HashSet<>();

    Spoiler(SpoiltDocuments.Fault fault) {
      this.fault = fault;
    }

    byte[] spoil(byte[] document) {
      ObjectNode root = (ObjectNode) JSON.readTree(document);
      JsonNode before = root.get("told").deepCopy();
      ObjectNode told = (ObjectNode) root.get("told");
      fault.accept(told);
      String tag = root.at("/about/tag").asString();
      boolean all =
          !told.get("inputs").equals(before.get("inputs"))
              || !told.path("packing").equals(before.path("packing"));
      for (int i = 0; i < told.get("outputs").size(); i++) {
        JsonNode was = before.get("outputs").get(i);
        // ports that follow each other move with the one that is spoilt
        boolean follows = !was.has("start") && !was.at("/sections/0").has("start");
        if (all || follows || !told.get("outputs").get(i).equals(was)) {
          spoilt.add(tag + " " + was.get("kind").asString() + " " + was.get("port").asInt());
        }
      }
      return root.toString().getBytes(StandardCharsets.UTF_8);
    }
  }

  @Test
  @Tag("whole")
  void everyFaultIsSeenAsWrongPixelsWhereItWasPut() throws Exception {
    Map<String, Long> seen = new LinkedHashMap<>();
    for (var fault : SpoiltDocuments.faults().entrySet()) {
      for (long seed = 1; seed <= MOST_DISPLAYS && !seen.containsKey(fault.getKey()); seed++) {
        long wrong = wrong(seed, fault.getValue());
        if (wrong > 0) {
          seen.put(fault.getKey(), wrong);
        }
      }
    }
    System.out.println("[proof] faults put in on purpose, and wrong pixels seen: " + seen);
    assertThat(seen).hasSizeGreaterThanOrEqualTo(20).hasSameSizeAs(SpoiltDocuments.faults());
  }

  /**
   * Wrong pixels of a display whose documents are spoilt; none where it has findings of its own.
   */
  private static long wrong(long seed, SpoiltDocuments.Fault fault) throws Exception {
    Facts facts = Facts.of(RandomYards.of(CatalogueFiles.shipped(), seed));
    Untellable untellable = Untellable.of(facts);
    boolean plain =
        facts.controllers().stream()
            .flatMap(own -> own.runs().stream())
            .noneMatch(run -> untellable.port(run.port()));
    if (!plain) {
      return 0;
    }
    Spoiler spoiler = new Spoiler(fault);
    ProofReport report = Proof.of(facts, percent -> {}, Proof.Seam.onTheWay(spoiler::spoil));
    // a device that refuses what it was told shows nothing anywhere, and says so
    Set<String> refused =
        report.controllers().stream()
            .filter(one -> !one.refused().isEmpty())
            .map(ProofReport.ControllerProof::tag)
            .collect(Collectors.toSet());
    assertThat(report.examples())
        .as("seed " + seed)
        .filteredOn(one -> !refused.contains(one.controller()))
        .allMatch(one -> spoiler.spoilt.contains(named(facts, one)));
    return report.controllers().stream()
        .filter(one -> one.refused().isEmpty())
        .mapToLong(ProofReport.ControllerProof::wrong)
        .sum();
  }

  private static String named(Facts facts, ProofReport.WrongPixel wrong) {
    return facts.controllers().stream()
        .flatMap(own -> own.runs().stream())
        // of a strip decoder its name follows
        .filter(run -> (wrong.written() + " ").startsWith(facts.plan().written(run.port()) + " "))
        .map(run -> wrong.controller() + " " + run.port().kind() + " " + run.port().port())
        .findFirst()
        .orElse(wrong.written());
  }
}
