package hamper.mistakes;

import static org.assertj.core.api.Assertions.assertThat;

import hamper.advise.Remedies;
import hamper.check.Area;
import hamper.check.Check;
import hamper.check.Checks;
import hamper.check.Page;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.Test;

/** docs/checks.md is what the checks say of themselves. After a change: {@code -Dapi.update}. */
class ChecksTableTest {
  private static final Path KEPT = Path.of("../docs/checks.md");

  @Test
  void everyCheckHasItsPage() throws IOException {
    StringBuilder text =
        new StringBuilder(
            """
            # What Hamper finds

            Written by a test from the checks themselves. A **fault** will not work; a **risk** may not work, or not well;
            a **hint** is unusual. Risks and hints can be accepted with a reason; that lapses as soon as a name or a number
            in the finding changes. Where a remedy is named as known, Hamper offers changes that clear the finding and bring
            no new fault, each with a preview.
            """);
    for (Area area : Area.values()) {
      List<Page> pages =
          Checks.ALL.stream().map(Check::page).filter(page -> page.area() == area).toList();
      if (!pages.isEmpty()) {
        String title = area.title();
        text.append("\n## ").append(title.substring(0, 1).toUpperCase()).append(title.substring(1));
        text.append("\n\n| code | severity | title | what is compared | in the yard | remedy |\n");
        text.append("|---|---|---|---|---|---|\n");
        pages.forEach(page -> text.append(row(page)));
      }
    }
    if (System.getProperty("api.update") != null) {
      Files.writeString(KEPT, text);
    }
    assertThat(Files.readString(KEPT)).isEqualTo(text.toString());
  }

  private static String row(Page page) {
    return "| `%s` | %s | %s | %s | %s | %s |%n"
        .formatted(
            page.code(),
            page.severity().name().toLowerCase(),
            page.title(),
            page.compares(),
            page.yard(),
            Remedies.codes().contains(page.code()) ? "known" : "");
  }
}
