package hamper.decoder;

import static org.assertj.core.api.Assertions.assertThat;

import hamper.catalog.Catalog;
import hamper.config.Configuration;
import hamper.display.Controller;
import hamper.display.Plan;
import hamper.facts.ControllerFacts;
import hamper.facts.Facts;
import hamper.facts.RunFacts;
import hamper.files.CatalogueFiles;
import hamper.files.ConfigurationFiles;
import hamper.files.DisplayFile;
import hamper.samples.RandomEdits;
import hamper.samples.RandomYards;
import hamper.samples.Trial;
import hamper.samples.Untellable;
import hamper.standin.Played;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/**
 * Every document says what was planned: played by a device that knows docs/formats only, each byte
 * of each port shows the slot that the plan gives it, or a finding says that it does not.
 */
@Tag("trial")
class DocumentsPlayedTest {
  private static final int DISPLAYS = Trial.size(300, 3_000);
  private static final int EVENINGS = Trial.size(3, 6);
  private static final Path DEMO =
      Path.of("../server/src/main/resources/hamper/demo/saltmarsh-quay.hamper.json");
  private static final Path CATALOGUE = Path.of("src/main/resources/hamper/catalogue");
  private static final JsonMapper MAPPER = new JsonMapper();
  private static final Catalog CATALOG = CatalogueFiles.shipped();

  private final Map<String, JsonNode> models = new HashMap<>();
  private final Map<String, Integer> totals = new TreeMap<>();

  @Test
  void overRandomDisplaysOfEveryModel() throws IOException {
    for (long seed = 1; seed <= DISPLAYS; seed++) {
      look(Facts.of(RandomYards.of(CATALOG, seed)), "seed " + seed);
    }
    System.out.printf("[documents] %,d random displays: %s, wrong = 0%n", DISPLAYS, totals);
    for (String model : models().keySet()) {
      if (totals.containsKey("ports of " + model)) {
        assertThat(totals.get("ports of " + model)).as(model).isGreaterThan(DISPLAYS / 30);
      }
    }
    assertThat(totals.get("bytes")).isGreaterThan(DISPLAYS * 300);
  }

  @Test
  void overEveningsOfRandomEditsOfTheDemo() throws IOException {
    for (long seed = 31; seed < 31 + EVENINGS; seed++) {
      RandomEdits edits = new RandomEdits(seed);
      Plan plan = DisplayFile.read(Files.readAllBytes(DEMO), CATALOG);
      for (int i = 0; i < 80; i++) {
        plan = edits.next(plan).applyTo(plan).plan();
        if (i % 8 == 0) {
          look(Facts.of(plan), "evening " + seed + ", edit " + i);
        }
      }
    }
    assertThat(totals.get("bytes")).isGreaterThan(100_000);
  }

  private void look(Facts facts, String where) throws IOException {
    Untellable untellable = Untellable.of(facts);
    PlannedBytes bytes = new PlannedBytes(facts);
    for (Configuration one : facts.configurations()) {
      ControllerFacts own = facts.controllers().get(facts.plan().indexOf(one.controller()));
      if (untellable.controller(one.controller())) {
        count("controllers with a finding", 1);
      } else {
        look(bytes, own, one, untellable, where);
      }
    }
  }

  private void look(
      PlannedBytes planned,
      ControllerFacts own,
      Configuration one,
      Untellable untellable,
      String where)
      throws IOException {
    Controller controller = own.controller();
    JsonNode told = MAPPER.readTree(ConfigurationFiles.json(one)).get("told");
    JsonNode model = models().get(controller.model());
    Map<String, List<String>> shown = new Played(told, model).texts();
    for (RunFacts run : own.runs()) {
      String named = run.port().kind() + " " + run.port().port();
      if (run.placements().isEmpty()) {
        continue; // units on a serial line are told by documents of their own
      }
      if (untellable.port(run.port())) {
        count("ports with a finding", 1);
        continue;
      }
      List<String> meant = planned.of(controller, run);
      assertThat(shown.get(named))
          .as("%s, %s of %s, a %s", where, named, controller.tag(), controller.model())
          .isEqualTo(meant);
      count("ports of " + controller.model(), 1);
      count("bytes", meant.size());
    }
    shown.forEach(
        (port, bytes) -> {
          boolean hangs =
              own.runs().stream()
                  .anyMatch(
                      run ->
                          !run.placements().isEmpty()
                              && port.equals(run.port().kind() + " " + run.port().port()));
          assertThat(bytes.isEmpty()).as("%s, %s is emptied", where, port).isEqualTo(!hangs);
        });
  }

  private void count(String what, int more) {
    totals.merge(what, more, Integer::sum);
  }

  private Map<String, JsonNode> models() throws IOException {
    if (models.isEmpty()) {
      try (var files = Files.list(CATALOGUE)) {
        for (Path file : files.toList()) {
          MAPPER
              .readTree(Files.readString(file))
              .path("models")
              .forEach(model -> models.put(model.get("id").asString(), model));
        }
      }
    }
    return models;
  }
}
