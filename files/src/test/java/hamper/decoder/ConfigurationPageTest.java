package hamper.decoder;

import static org.assertj.core.api.Assertions.assertThat;

import hamper.address.ColourOrder;
import hamper.catalog.PixelType;
import hamper.display.Section;
import hamper.files.CatalogueFiles;
import hamper.resolve.PixelMap;
import hamper.standin.Played;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/**
 * What docs/formats say of pixels is what the plan means by them. After a change: {@code
 * -Dapi.update}.
 */
class ConfigurationPageTest {
  private static final Path PAGE = Path.of("../docs/formats/configuration.md");
  private static final Path EXAMPLES = Path.of("../docs/formats/pixel-examples.md");
  private static final JsonMapper MAPPER = new JsonMapper();

  private record Example(
      int pixels, int nulls, int group, int fold, boolean backward, String order) {
    Section section() {
      return new Section(
          pixels,
          nulls,
          group,
          fold == 0 ? Optional.empty() : Optional.of(fold),
          backward,
          Optional.of(new ColourOrder(order)),
          Optional.empty(),
          Optional.empty());
    }
  }

  /**
   * Each option alone, in pairs, and all together; seven pixels, so that something is left over.
   */
  private static List<Example> examples() {
    List<Example> examples = new ArrayList<>();
    for (int options = 0; options < 16; options++) {
      examples.add(
          new Example(
              7,
              (options & 1) > 0 ? 2 : 0,
              (options & 2) > 0 ? 2 : 1,
              (options & 4) > 0 ? 3 : 0,
              (options & 8) > 0,
              "RGB"));
    }
    examples.add(new Example(3, 0, 1, 0, false, "GRB"));
    examples.add(new Example(2, 0, 1, 0, true, "WRGB"));
    examples.add(new Example(5, 1, 2, 3, true, "BGR"));
    examples.add(new Example(3, 0, 2, 0, false, "W"));
    return examples;
  }

  /** What each byte along the wire shows: "-" of a null pixel, else the channel, from 1. */
  private static List<String> bytes(Example example) {
    PixelMap map = PixelMap.of(example.section(), new ColourOrder(example.order()));
    List<String> bytes = new ArrayList<>();
    for (int place = 0; place < map.places(); place++) {
      int[] channels = map.channelsAt(place);
      bytes.add(
          channels.length == 0
              ? "-"
              : Arrays.stream(channels)
                  .mapToObj(channel -> String.valueOf(channel + 1))
                  .collect(Collectors.joining(" ")));
    }
    return bytes;
  }

  @Test
  void theWorkedExamplesAreWhatIsPlanned() throws IOException {
    StringBuilder text =
        new StringBuilder(
            """
            # Pixels, worked out

            Written by a test. A section that starts at channel 1 of its universe; for each pixel along the wire the channels that its
            bytes show, in the order sent; `-` is a null pixel. [How](configuration.md#a-pixel-port).

            | pixels | null | group | fold | backward | order | along the wire |
            |---|---|---|---|---|---|---|
            """);
    for (Example example : examples()) {
      text.append(
          "| %d | %s | %s | %s | %s | %s | %s |%n"
              .formatted(
                  example.pixels(),
                  example.nulls() == 0 ? "" : example.nulls(),
                  example.group() == 1 ? "" : example.group(),
                  example.fold() == 0 ? "" : example.fold(),
                  example.backward() ? "yes" : "",
                  example.order(),
                  String.join(" · ", bytes(example))));
    }
    kept(EXAMPLES, text.toString());
  }

  @Test
  void aStrangersDevicePlaysTheWorkedExamples() {
    for (Example example : examples()) {
      int width = example.order().length();
      ObjectNode told = MAPPER.createObjectNode();
      told.put("protocol", "E131");
      told.put("packing", "CONTIGUOUS");
      told.putArray("inputs").addObject().put("universe", 1).put("count", 1).put("size", 512);
      ObjectNode output = told.putArray("outputs").addObject();
      output.put("kind", "PIXEL").put("port", 1).put("used", true).put("channelsPerPixel", width);
      ObjectNode section = output.putArray("sections").addObject();
      section.putObject("start").put("universe", 1).put("channel", 1);
      section.put("pixels", example.pixels()).put("nullPixels", example.nulls());
      section.put("group", example.group()).put("backward", example.backward());
      section.put("colourOrder", example.order());
      if (example.fold() > 0) {
        section.put("fold", example.fold());
      }
      ObjectNode model = MAPPER.createObjectNode();
      model.putObject("dialect");
      String shown =
          String.join(" ", new Played(told, model).texts().get("PIXEL 1")).replace("1:", "");
      String planned =
          bytes(example).stream()
              .map(byteOf -> byteOf.equals("-") ? "- ".repeat(width).strip() : byteOf)
              .collect(Collectors.joining(" "));
      assertThat(shown).as(example.toString()).isEqualTo(planned);
    }
  }

  @Test
  void everyChipThatShipsHasItsTiming() throws IOException {
    String chips =
        CatalogueFiles.shipped().pixelTypes().stream()
            .collect(
                Collectors.toMap(
                    PixelType::chip,
                    ConfigurationPageTest::chip,
                    (one, same) -> one,
                    java.util.TreeMap::new))
            .values()
            .stream()
            .collect(Collectors.joining());
    String page = Files.readString(PAGE);
    String head = "|---|---|---|---|---|---|\n";
    int from = page.indexOf(head) + head.length();
    int to = page.indexOf("Another chip is one");
    kept(PAGE, page.substring(0, from) + chips + page.substring(to));
  }

  private static String chip(PixelType type) {
    return String.format(
        Locale.ROOT,
        "| %s | %d | %.0f | %.0f | %d | %s |%n",
        type.chip(),
        type.bits(),
        type.bitRateKHz(),
        type.resetMicros(),
        type.headBits(),
        type.tailBits());
  }

  private static void kept(Path file, String text) throws IOException {
    if (System.getProperty("api.update") != null) {
      Files.writeString(file, text);
    }
    assertThat(Files.readString(file)).isEqualTo(text);
  }
}
