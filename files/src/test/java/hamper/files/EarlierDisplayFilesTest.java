package hamper.files;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import hamper.check.Checks;
import hamper.display.Plan;
import hamper.display.Tag;
import hamper.display.Workshop;
import hamper.facts.Facts;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** One file of every version is kept: each opens, and is written as the newest. */
class EarlierDisplayFilesTest {
  private static Plan read(int version) throws IOException {
    return DisplayFile.read(bytes(version), CatalogueFiles.shipped());
  }

  private static byte[] bytes(int version) throws IOException {
    try (var in =
        EarlierDisplayFilesTest.class.getResourceAsStream(
            "/display-files/version-%d.hamper.json".formatted(version))) {
      return in.readAllBytes();
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
  void milestonesAreWrittenAndReadWithTheirDisplays() throws IOException {
    DisplayFile.Contents contents = DisplayFile.open(bytes(3), CatalogueFiles.shipped());
    assertThat(contents.milestones())
        .singleElement()
        .matches(one -> one.name().equals("Opening night") && one.by().equals("Ada"))
        .matches(one -> one.display().name().equals("Two boxes, last year"));
    byte[] written = DisplayFile.write(contents.plan().display(), contents.milestones());
    DisplayFile.Contents again = DisplayFile.open(written, CatalogueFiles.shipped());
    assertThat(again.milestones()).isEqualTo(contents.milestones());
    assertThat(again.plan().display()).isEqualTo(contents.plan().display());
    assertThat(again.plan().display().settings().still()).isTrue();
    assertThat(again.plan().display().props().get(0).rank()).contains(2);
  }

  @Test
  void twoMilestonesOfOneIdAreRefused() throws IOException {
    String file = new String(bytes(3), StandardCharsets.UTF_8);
    int from = file.indexOf('{', file.indexOf("\"milestones\""));
    String one = file.substring(from, file.lastIndexOf(']'));
    String twice = file.substring(0, file.lastIndexOf(']')) + "," + one + "]}";
    assertThatThrownBy(
            () ->
                DisplayFile.open(twice.getBytes(StandardCharsets.UTF_8), CatalogueFiles.shipped()))
        .isInstanceOf(BadFileException.class)
        .hasMessageContaining("milestones[1].id")
        .hasMessageContaining("used already");
  }

  @Test
  void aMilestoneThatIsNoDisplayIsRefusedWithItsPlace() throws IOException {
    String spoilt =
        new String(bytes(3), StandardCharsets.UTF_8)
            .replaceAll("(?s)(\"milestones\".*?\"model\": )\"own\"", "$1\"nobody\"");
    assertThatThrownBy(
            () ->
                DisplayFile.open(spoilt.getBytes(StandardCharsets.UTF_8), CatalogueFiles.shipped()))
        .isInstanceOf(BadFileException.class)
        .hasMessageContaining("milestones[0].display.controllers[0]");
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

  @Test
  void tagsAndStockOfVersion4AreRead() throws IOException {
    Workshop workshop = read(4).display().workshop();
    assertThat(workshop.spares()).isEqualTo(8);
    assertThat(workshop.allowance()).isEqualTo(Workshop.USUAL_ALLOWANCE);
    assertThat(workshop.inStock("Fuse, 5 A")).isEqualTo(20);
    assertThat(workshop.tags()).extracting(Tag::text).containsExactly("S001", "C002");
    assertThat(read(3).display().workshop()).isEqualTo(Workshop.NONE);
  }
}
