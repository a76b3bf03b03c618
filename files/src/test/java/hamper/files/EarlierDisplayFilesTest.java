package hamper.files;

import static org.assertj.core.api.Assertions.assertThat;

import hamper.check.Checks;
import hamper.display.Plan;
import hamper.facts.Facts;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** One file of every version is kept: each opens, and is written as the newest. */
class EarlierDisplayFilesTest {
  private static Plan read(int version) throws IOException {
    try (var in =
        EarlierDisplayFilesTest.class.getResourceAsStream(
            "/display-files/version-%d.hamper.json".formatted(version))) {
      return DisplayFile.read(in.readAllBytes(), CatalogueFiles.shipped());
    }
  }

  @Test
  void everyVersionOpensAndIsWrittenAsTheNewest() throws IOException {
    int newest = FormatVersions.newest("hamper-display");
    for (int version = 1; version <= newest; version++) {
      Plan plan = read(version);
      byte[] written = DisplayFile.write(plan.display());
      assertThat(new String(written, StandardCharsets.UTF_8))
          .contains("\"formatVersion\" : " + newest);
      assertThat(DisplayFile.read(written, CatalogueFiles.shipped()).display())
          .isEqualTo(plan.display());
    }
  }

  @Test
  void whatWasAcceptedByItsWordsStaysAccepted() throws IOException {
    Plan plan = read(1);
    assertThat(plan.display().accepted())
        .singleElement()
        .matches(one -> one.identity().equals(Optional.empty()));
    assertThat(Checks.accepted(Facts.of(plan)))
        .singleElement()
        .matches(one -> one.finding().code().equals("colour-orders"));
  }
}
