package hamper.server.handover;

import static org.assertj.core.api.Assertions.assertThat;

import hamper.catalog.Catalog;
import hamper.change.ToldDifference;
import hamper.config.Configuration;
import hamper.display.Plan;
import hamper.facts.Facts;
import hamper.files.CatalogueFiles;
import hamper.files.ConfigurationFiles;
import hamper.samples.RandomEdits;
import hamper.samples.RandomYards;
import java.util.HashMap;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** What a device is told otherwise, in words. */
class ToldDifferenceTest {
  private static final Catalog CATALOG = CatalogueFiles.shipped();

  @Test
  void differsExactlyWhereFingerprintsDiffer() {
    int same = 0;
    int different = 0;
    for (int seed = 0; seed < 40; seed++) {
      Plan plan = RandomYards.of(CATALOG, seed);
      RandomEdits edits = new RandomEdits(seed);
      Map<String, Configuration> before = all(plan);
      for (int step = 0; step < 15; step++) {
        plan = edits.next(plan).applyTo(plan).plan();
        for (Configuration now : Facts.withoutPower(plan).configurations()) {
          Configuration was = before.get(now.controller());
          if (was != null) {
            boolean equal =
                ConfigurationFiles.fingerprint(was).equals(ConfigurationFiles.fingerprint(now));
            ToldDifference difference = ToldDifference.between(was, now);
            assertThat(difference.isNone()).as("%s", difference).isEqualTo(equal);
            assertThat(difference.lines().isEmpty()).isEqualTo(equal);
            same += equal ? 1 : 0;
            different += equal ? 0 : 1;
          }
        }
      }
    }
    assertThat(same).isGreaterThan(300);
    assertThat(different).isGreaterThan(300);
  }

  @Test
  void aDocumentIsReadBackAsWhatItWasMadeOf() {
    for (int seed = 0; seed < 60; seed++) {
      for (Configuration one : Facts.withoutPower(RandomYards.of(CATALOG, seed)).configurations()) {
        Configuration read =
            ConfigurationFiles.configuration(
                ConfigurationFiles.bytes(ConfigurationFiles.json(one)));
        assertThat(ConfigurationFiles.fingerprint(read))
            .isEqualTo(ConfigurationFiles.fingerprint(one));
        assertThat(ToldDifference.between(one, read).isNone()).isTrue();
        assertThat(read.untold()).isEqualTo(one.untold());
        assertThat(read.tag()).isEqualTo(one.tag());
      }
    }
  }

  private static Map<String, Configuration> all(Plan plan) {
    Map<String, Configuration> all = new HashMap<>();
    Facts.withoutPower(plan).configurations().forEach(one -> all.put(one.controller(), one));
    return all;
  }
}
