package hamper.decoder;

import static org.assertj.core.api.Assertions.assertThat;

import hamper.display.PortRef;
import hamper.facts.ControllerFacts;
import hamper.facts.Facts;
import hamper.facts.RunFacts;
import hamper.files.CatalogueFiles;
import hamper.files.ConfigurationFiles;
import hamper.files.DisplayFile;
import hamper.samples.SpoiltDocuments;
import hamper.standin.Played;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/**
 * Faults put into the demo's documents on purpose are seen as wrong bytes: the test that plays
 * documents can see. And a stranger's device of a page plays the demo as it was planned.
 */
class FaultsSeenTest {
  private static final Path DEMO =
      Path.of("../server/src/main/resources/hamper/demo/saltmarsh-quay.hamper.json");
  private static final Path STRANGER = Path.of("../docs/formats/example-decoder/play.mjs");
  private static final Path CATALOGUE = Path.of("src/main/resources/hamper/catalogue");
  private static final JsonMapper MAPPER = new JsonMapper();

  private final Facts facts = demo();
  private final PlannedBytes bytes = new PlannedBytes(facts);

  /** What each port is planned to show. */
  private final Map<PortRef, List<String>> planned = new HashMap<>();

  private static Facts demo() {
    try {
      return Facts.of(DisplayFile.read(Files.readAllBytes(DEMO), CatalogueFiles.shipped()));
    } catch (IOException e) {
      throw new AssertionError(e);
    }
  }

  private static JsonNode model(String id) throws IOException {
    try (var files = Files.list(CATALOGUE)) {
      for (Path file : files.toList()) {
        for (JsonNode model : MAPPER.readTree(Files.readString(file)).path("models")) {
          if (model.get("id").asString().equals(id)) {
            return model;
          }
        }
      }
    }
    throw new AssertionError(id);
  }

  /** Every wrong byte of a document, as "port, place". */
  private List<String> wrong(ControllerFacts own, Map<String, List<String>> shown) {
    List<String> wrong = new ArrayList<>();
    for (RunFacts run : own.runs()) {
      List<String> meant =
          planned.computeIfAbsent(
              run.port(),
              port -> run.placements().isEmpty() ? List.of() : bytes.of(own.controller(), run));
      List<String> played =
          shown.getOrDefault(run.port().kind() + " " + run.port().port(), List.of());
      for (int i = 0; i < Math.max(meant.size(), played.size()); i++) {
        String plan = i < meant.size() ? meant.get(i) : "nothing";
        String play = i < played.size() ? played.get(i) : "nothing";
        if (!plan.equals(play)) {
          wrong.add(run.run().written() + " " + i);
        }
      }
    }
    return wrong;
  }

  @Test
  void everyFaultIsSeenSomewhereAndNothingElseIsWrong() throws IOException {
    Map<String, Integer> seen = new LinkedHashMap<>();
    for (var configuration : facts.configurations()) {
      ControllerFacts own =
          facts.controllers().get(facts.plan().indexOf(configuration.controller()));
      JsonNode model = model(own.controller().model());
      JsonNode told = MAPPER.readTree(ConfigurationFiles.json(configuration)).get("told");
      List<String> unspoilt = wrong(own, new Played(told, model).texts());
      if (configuration.untold().isEmpty()) {
        assertThat(unspoilt).as(own.controller().tag()).isEmpty();
      }
      int before = unspoilt.size();
      SpoiltDocuments.faults()
          .forEach(
              (name, fault) -> {
                ObjectNode spoilt = (ObjectNode) told.deepCopy();
                fault.accept(spoilt);
                int after;
                try {
                  after = wrong(own, new Played(spoilt, model).texts()).size();
                } catch (RuntimeException e) {
                  after = before + 1; // a device that cannot even read it
                }
                seen.merge(name, Math.max(0, after - before), Integer::sum);
              });
    }
    System.out.println("[documents] faults put in on purpose, and wrong bytes seen: " + seen);
    assertThat(seen).hasSizeGreaterThanOrEqualTo(20);
    assertThat(seen.values()).allMatch(bytes -> bytes > 0);
  }

  @Test
  void aStrangersDevicePlaysTheDemo() throws Exception {
    assertThat(Files.readAllLines(STRANGER)).hasSizeLessThan(200);
    Path folder = Files.createTempDirectory("stranger");
    int bytes = 0;
    for (var configuration : facts.configurations()) {
      ControllerFacts own =
          facts.controllers().get(facts.plan().indexOf(configuration.controller()));
      Path model = folder.resolve("model.json");
      Path document = folder.resolve(own.controller().tag() + ".json");
      Files.writeString(model, MAPPER.writeValueAsString(model(own.controller().model())));
      Files.writeString(document, ConfigurationFiles.json(configuration));
      Process node =
          new ProcessBuilder("node", STRANGER.toString(), model.toString(), document.toString())
              .redirectErrorStream(true)
              .start();
      String answer = new String(node.getInputStream().readAllBytes());
      assertThat(node.waitFor()).as(answer).isZero();
      Map<String, List<String>> shown = new LinkedHashMap<>();
      for (var port : MAPPER.readTree(answer).properties()) {
        List<String> own1 = new ArrayList<>();
        port.getValue().forEach(slot -> own1.add(slot.asString()));
        shown.put(port.getKey(), own1);
        bytes += own1.size();
      }
      JsonNode told = MAPPER.readTree(ConfigurationFiles.json(configuration)).get("told");
      assertThat(shown)
          .as(own.controller().tag())
          .isEqualTo(new Played(told, model(own.controller().model())).texts());
      if (configuration.untold().isEmpty()) {
        assertThat(wrong(own, shown)).as(own.controller().tag()).isEmpty();
      }
    }
    assertThat(bytes).isGreaterThan(10_000);
  }
}
