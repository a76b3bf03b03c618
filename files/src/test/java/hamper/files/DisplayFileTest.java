package hamper.files;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import hamper.catalog.Catalog;
import hamper.display.Plan;
import hamper.resolve.Resolver;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** A display file comes back as it was, and one that cannot be used says where and why. */
class DisplayFileTest {
  static final Path EXAMPLE = Path.of("../docs/formats/example.hamper.json");
  static final Path DEMO =
      Path.of("../server/src/main/resources/hamper/demo/saltmarsh-quay.hamper.json");

  private static final Catalog CATALOG = CatalogueFiles.shipped();

  private static String example() throws IOException {
    return Files.readString(EXAMPLE);
  }

  private static void refused(String json, String place, String words) {
    assertThatThrownBy(() -> DisplayFile.read(json.getBytes(StandardCharsets.UTF_8), CATALOG))
        .isInstanceOfSatisfying(
            BadFileException.class, e -> assertThat(e.reasons().get(0).place()).isEqualTo(place))
        .hasMessageContaining(words);
  }

  @ParameterizedTest
  @CsvSource({
    "../docs/formats/example.hamper.json",
    "src/test/resources/first-slice.hamper.json",
    "../server/src/main/resources/hamper/demo/saltmarsh-quay.hamper.json"
  })
  void aFileSurvivesReadingWritingAndReading(Path file) throws IOException {
    Plan plan = DisplayFile.read(Files.readAllBytes(file), CATALOG);
    byte[] written = DisplayFile.write(plan.display());
    Plan again = DisplayFile.read(written, CATALOG);
    assertThat(again.display()).isEqualTo(plan.display());
    assertThat(DisplayFile.write(again.display())).isEqualTo(written);
    assertThat(Resolver.resolve(again)).isEqualTo(Resolver.resolve(plan));
  }

  @Test
  void whatIsLeftOutHasItsDefault() throws IOException {
    var settings =
        DisplayFile.read(Files.readAllBytes(EXAMPLE), CATALOG).display().controllers().get(0);
    assertThat(settings.transport()).hasToString("UNICAST");
    assertThat(settings.settings().reserveUniverses()).isZero();
    assertThat(settings.runs().get(0).kind()).hasToString("PIXEL");
  }

  @Test
  void textThatIsNotJsonIsRefusedWithLineAndColumn() {
    refused("{\n  \"format\": hello\n}", "line 2, column 13", "not JSON");
    refused("", "file", "empty");
    refused("[1, 2]", "file", "not an object of format \"hamper-display\"");
  }

  @Test
  void anotherFormatOrVersionIsRefused() throws IOException {
    refused(
        example().replace("\"formatVersion\": 2", "\"formatVersion\": 5"),
        "formatVersion",
        "5; this Hamper reads versions 1 to 4");
    refused(example().replace("hamper-display", "other"), "format", "\"hamper-display\"");
    refused("{}", "format", "is missing");
  }

  @Test
  void aNegativeCountIsRefusedWithItsPlaceAndTheLeastAllowed() throws IOException {
    refused(
        example().replace("\"pixels\": 100", "\"pixels\": -100"),
        "props[0].pieces[0].sections[0].pixels",
        "-100 must have a minimum value of 1");
  }

  @Test
  void aTextForANumberAndAFieldThatNobodyKnowsAreRefused() throws IOException {
    refused(
        example().replace("\"pixels\": 100", "\"pixels\": \"many\""),
        "props[0].pieces[0].sections[0].pixels",
        "\"many\"");
    refused(
        example().replace("\"group\": 2", "\"groups\": 2"),
        "props[0].pieces[0].sections[1]",
        "groups");
  }

  @Test
  void aLegOnAControllerOrPieceThatDoesNotExistIsRefused() throws IOException {
    refused(
        example().replace("\"piece\": \"eaves-1\"", "\"piece\": \"eaves-9\""),
        "controllers[0].runs[0].legs[0].piece",
        "\"eaves-9\" is refused; no piece of this display has this id; there are 2");
    refused(
        example().replace("\"ostrand-twelve\"", "\"ostrand-ninety\""),
        "controllers[0].model",
        "no device model has this id");
    refused(
        example()
            .replace(
                "\"port\": 1,\n          \"legs\": [\n            {\n              \"piece\": \"eaves-1\"",
                "\"port\": 25,\n          \"legs\": [\n            {\n              \"piece\": \"eaves-1\""),
        "controllers[0].runs[0].port",
        "ports 1 to 24");
  }

  @Test
  void aFieldGivenTwiceIsRefused() throws IOException {
    refused(
        example().replace("\"pixels\": 100", "\"pixels\": 100, \"pixels\": 50"),
        "line 24, column 38",
        "the field stands twice");
  }

  @Test
  void everyReasonIsToldAtOnce() throws IOException {
    String two =
        example()
            .replace("\"pixels\": 100", "\"pixels\": 0")
            .replace("\"slot\": 1", "\"slot\": 600");
    assertThatThrownBy(() -> DisplayFile.read(two.getBytes(StandardCharsets.UTF_8), CATALOG))
        .isInstanceOfSatisfying(BadFileException.class, e -> assertThat(e.reasons()).hasSize(2));
  }

  @Test
  void aFileOfThirtyMegabytesIsRefusedUnread() {
    byte[] large = new byte[30 * 1024 * 1024];
    assertThatThrownBy(() -> DisplayFile.read(large, CATALOG))
        .hasMessageContaining("31,457,280 bytes; allowed are 20,971,520");
  }

  @Test
  void ownModelsTravelInTheFile() throws IOException {
    String own =
        example()
            .replace(
                "\"zones\"",
                """
                "models": [{"id": "barge-one", "maker": "Barge", "name": "One",
                  "ports": [{"kind": "PIXEL", "modes": [{"name": "all", "ports": 4}]},
                            {"kind": "DMX", "modes": [{"name": "lines", "ports": 1}]}],
                  "protocols": [{"protocol": "E131", "transports": ["UNICAST"]}],
                  "powerInputs": [{"volts": 24, "amps": 20}],
                  "dialect": {"inputs": "MAP", "style": "ABSOLUTE_CHANNEL"}}],
                "zones"
                """)
            .replace("\"ostrand-twelve\"", "\"barge-one\"");
    Plan plan = DisplayFile.read(own.getBytes(StandardCharsets.UTF_8), CATALOG);
    assertThat(plan.modelOf(plan.display().controllers().get(0)).title()).isEqualTo("Barge One");
    assertThat(DisplayFile.read(DisplayFile.write(plan.display()), CATALOG).display())
        .isEqualTo(plan.display());
  }
}
