package hamper.value;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** A number is read the same in a finding, on paper and in a browser, on every computer. */
class DecimalsTest {
  /** What {@code toFixed} of a browser makes of the same numbers. */
  @ParameterizedTest
  @CsvSource({
    "1.45, 1, 1.4", "7.35, 1, 7.3", "0.35, 1, 0.3", "0.25, 1, 0.3", "2.675, 2, 2.67",
    "1.005, 2, 1.00", "12, 1, 12.0", "0.5, 0, 1", "1234.5, 1, 1234.5", "8.345, 2, 8.35"
  })
  void theyAreRoundedAsABrowserDoes(double value, int decimals, String told) {
    assertThat(Decimals.of(value, decimals)).isEqualTo(told);
  }

  @Test
  void thousandsStandApartAndUselessDecimalsAreLeftOut() {
    assertThat(Decimals.grouped(1234567.25, 1)).isEqualTo("1,234,567.3");
    assertThat(Decimals.brief(1024)).isEqualTo("1,024");
    assertThat(Decimals.brief(7.5)).isEqualTo("7.5");
    assertThat(Decimals.brief(6.97)).isEqualTo("7");
    assertThat(Decimals.rated(1.25)).as("a fuse that is sold").isEqualTo("1.25");
    assertThat(Decimals.rated(0.8 * 2.3)).isEqualTo("1.84");
    assertThat(Decimals.rated(0.8 * 7.5)).isEqualTo("6");
    assertThat(Decimals.rated(100)).isEqualTo("100");
    assertThat(Decimals.plain(12)).isEqualTo("12");
    assertThat(Decimals.plain(9.5)).isEqualTo("9.5");
    assertThat(Decimals.plain(100)).isEqualTo("100");
    assertThat(Decimals.plain(0.00004)).isEqualTo("0.00004");
    assertThat(Decimals.of(1 / 0.0, 1))
        .as("no number, but no trouble either")
        .isEqualTo("Infinity");
    assertThat(Decimals.brief(1 / 0.0)).isEqualTo("Infinity");
  }

  @Test
  void theyAreTheSameWhereACommaIsWritten() {
    Locale before = Locale.getDefault();
    try {
      Locale.setDefault(Locale.GERMANY);
      assertThat(Decimals.of(4.25, 1)).isEqualTo("4.3");
      assertThat(Decimals.grouped(1024.5, 1)).isEqualTo("1,024.5");
      assertThat(Decimals.plain(9.5)).isEqualTo("9.5");
    } finally {
      Locale.setDefault(before);
    }
  }

  @Test
  void nobodyRoundsAnotherWay() throws IOException {
    for (String module : List.of("core", "files", "server")) {
      try (Stream<Path> files = Files.walk(Path.of("..", module, "src/main/java"))) {
        for (Path file : files.filter(one -> one.toString().endsWith(".java")).toList()) {
          if (!file.endsWith("Decimals.java")) {
            assertThat(Files.readString(file))
                .as(file.toString())
                .doesNotContainPattern("%[,\\d]*\\.\\d+f");
          }
        }
      }
    }
  }
}
