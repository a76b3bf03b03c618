package hamper.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/** What is left out of each commit's run is told, with what guards it there instead. */
class LeftToTheWholeRunTest {
  private static final Path DECISION = Path.of("../docs/decisions/26-what-guards-each-commit.md");
  private static final Pattern LEFT_OUT = Pattern.compile("(?m)^ *@Tag\\(\"whole\"\\)");
  private static final Pattern NAME = Pattern.compile("`(\\w+Test)`");

  private static Set<String> leftOut() throws IOException {
    Set<String> names = new TreeSet<>();
    for (String module : List.of("core", "standin", "files", "server", "e2e")) {
      try (Stream<Path> all = Files.walk(Path.of("..", module, "src", "test", "java"))) {
        for (Path file : all.filter(one -> one.toString().endsWith("Test.java")).toList()) {
          if (LEFT_OUT.matcher(Files.readString(file)).find()) {
            names.add(file.getFileName().toString().replace(".java", ""));
          }
        }
      }
    }
    return names;
  }

  @Test
  void theTableOfTheDecisionNamesEachTestOfTheTag() throws IOException {
    Set<String> told = new TreeSet<>();
    Files.readString(DECISION)
        .lines()
        .filter(line -> line.startsWith("| `"))
        .map(line -> line.split("\\|")[1])
        .forEach(left -> NAME.matcher(left).results().forEach(name -> told.add(name.group(1))));
    assertThat(told).isEqualTo(leftOut());
  }
}
