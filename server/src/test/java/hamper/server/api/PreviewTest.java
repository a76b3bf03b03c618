package hamper.server.api;

import static org.assertj.core.api.Assertions.assertThat;

import hamper.check.Checks;
import hamper.check.Finding;
import hamper.config.Configuration;
import hamper.edit.Edit;
import hamper.facts.Facts;
import hamper.files.CatalogueFiles;
import hamper.files.ConfigurationFiles;
import hamper.files.DisplayFile;
import hamper.handover.Season;
import hamper.samples.RandomEdits;
import java.io.IOException;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;

/** A preview takes over what is known already, and says the same as if it had not. */
class PreviewTest {
  private static Facts demo() throws IOException {
    try (var in =
        PreviewTest.class.getResourceAsStream("/hamper/demo/saltmarsh-quay.hamper.json")) {
      return Facts.of(DisplayFile.read(in.readAllBytes(), CatalogueFiles.shipped()));
    }
  }

  private static Map<String, Configuration> byId(Facts facts) {
    return facts.configurations().stream()
        .collect(Collectors.toMap(Configuration::controller, Function.identity()));
  }

  private static String told(Configuration configuration) {
    return ConfigurationFiles.fingerprint(configuration);
  }

  @Test
  void whatIsTakenOverIsWhatWouldBeWorkedOutAnew() throws IOException {
    RandomEdits edits = new RandomEdits(3);
    Standing standing = Standing.of(demo(), Season.NONE);
    for (int i = 0; i < 150; i++) {
      Edit edit = edits.next(standing.facts().plan());
      Facts after = Facts.of(edit.applyTo(standing.facts().plan()).plan());
      Map<String, Configuration> was = byId(standing.facts());
      List<String> stale =
          after.configurations().stream()
              .filter(one -> was.containsKey(one.controller()))
              .filter(one -> !told(one).equals(told(was.get(one.controller()))))
              .map(one -> after.plan().existingController(one.controller()).tag())
              .toList();
      List<Finding> known = standing.shown().findings();
      Preview preview = Deltas.preview(standing, edit);
      assertThat(preview.stale()).as(edit.label(standing.facts().plan())).isEqualTo(stale);
      assertThat(preview.found())
          .isEqualTo(Checks.run(after).stream().filter(one -> !known.contains(one)).toList());
      if (i % 3 == 0) {
        standing = standing.with(after);
      }
    }
  }
}
