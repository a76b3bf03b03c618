package hamper.resolve;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import hamper.address.ColourOrder;
import hamper.display.Section;
import java.io.IOException;
import java.io.InputStream;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.junit.jupiter.api.DynamicTest;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestFactory;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Which pixel shows which channel, against every case of the pixel map vectors. */
class PixelMapVectorsTest {
  @TestFactory
  Stream<DynamicTest> everyPixelShowsTheChannelsThatWereMeant() throws IOException {
    try (InputStream in = getClass().getResourceAsStream("/vectors/pixelmap.json")) {
      JsonNode cases = JsonMapper.shared().readTree(in);
      assertThat(cases.size()).isGreaterThanOrEqualTo(19);
      return cases
          .valueStream()
          .map(one -> DynamicTest.dynamicTest(one.get("name").asString(), () -> check(one)));
    }
  }

  @Test
  void askingBeyondTheLastPixelIsRefusedInWords() {
    PixelMap map = PixelMap.of(Section.of(4), ColourOrder.natural(3));
    assertThatThrownBy(() -> map.addressAt(4)).hasMessageContaining("it has 0 to 3");
  }

  private static void check(JsonNode one) {
    JsonNode node = one.get("section");
    Section section =
        new Section(
            node.get("pixels").asInt(),
            node.path("nullsBefore").asInt(0),
            node.path("group").asInt(1),
            Optional.ofNullable(node.get("fold")).map(JsonNode::asInt),
            node.path("backward").asBoolean(false),
            Optional.ofNullable(node.get("colourOrder")).map(o -> new ColourOrder(o.asString())),
            Optional.empty(),
            Optional.empty());
    PixelMap map =
        PixelMap.of(section, ColourOrder.natural(node.path("channelsPerPixel").asInt(3)));
    List<String> wire = new ArrayList<>();
    for (int place = 0; place < map.places(); place++) {
      wire.add(
          map.addressAt(place).isEmpty()
              ? "null"
              : "[%d,%s]"
                  .formatted(
                      map.addressAt(place).getAsInt(),
                      Arrays.toString(map.channelsAt(place)).replace(" ", "")));
    }
    assertThat(wire).isEqualTo(one.get("wire").valueStream().map(JsonNode::toString).toList());
  }
}
