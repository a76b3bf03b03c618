package hamper.load;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import hamper.address.ColourOrder;
import hamper.address.Protocol;
import hamper.catalog.PixelType;
import java.io.IOException;
import java.io.InputStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.DynamicTest;
import org.junit.jupiter.api.TestFactory;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Frame times, pixel limits and currents, against values that a separate program worked out. */
class LoadVectorsTest {
  private static JsonNode vectors(String name) throws IOException {
    try (InputStream in = LoadVectorsTest.class.getResourceAsStream("/vectors/loads.json")) {
      return JsonMapper.shared().readTree(in).get(name);
    }
  }

  private static PixelType type(JsonNode node) {
    return new PixelType(
        "t",
        "t",
        "t",
        new ColourOrder("RGB"),
        node.path("bitsPerPixel").asInt(24),
        node.path("bitRateKHz").asDouble(800),
        node.path("resetUs").asDouble(0),
        node.path("headBits").asInt(0),
        node.path("tailBitsPerPixel").asDouble(0),
        12,
        9.5,
        node.path("fullMa").asDouble(42),
        node.path("idleMa").asDouble(1));
  }

  private static int places(JsonNode node) {
    return node.get("sections")
        .valueStream()
        .mapToInt(s -> s.get("pixels").asInt() + s.path("nullsBefore").asInt(0))
        .sum();
  }

  @TestFactory
  Stream<DynamicTest> aFrameTakesAsLongAsItTakes() throws IOException {
    return vectors("frameTime")
        .valueStream()
        .map(
            one ->
                DynamicTest.dynamicTest(
                    one.get("name").asString(),
                    () -> {
                      assertThat(FrameTime.micros(type(one), places(one)))
                          .isEqualTo(one.get("expectedUs").asDouble(), within(1e-6));
                      assertThat(FrameTime.framesPerSecond(type(one), places(one)))
                          .isEqualTo(one.get("expectedFps").asDouble(), within(0.001));
                    }));
  }

  @TestFactory
  Stream<DynamicTest> aPortTakesAsManyPixelsAsFitInAFrame() throws IOException {
    return vectors("maxPixels")
        .valueStream()
        .map(
            one ->
                DynamicTest.dynamicTest(
                    one.toString(),
                    () ->
                        assertThat(FrameTime.mostPlaces(type(one), one.get("fps").asDouble()))
                            .isEqualTo(one.get("expected").asInt())));
  }

  @TestFactory
  Stream<DynamicTest> pixelsDrawWhatTheirBrightnessAsks() throws IOException {
    return vectors("current")
        .valueStream()
        .map(
            one ->
                DynamicTest.dynamicTest(
                    one.toString(),
                    () ->
                        assertThat(
                                one.get("sections")
                                    .valueStream()
                                    .mapToDouble(
                                        s ->
                                            Current.amps(
                                                type(one),
                                                s.get("pixels").asInt(),
                                                s.path("nullsBefore").asInt(0),
                                                s.get("brightness").asInt()))
                                    .sum())
                            .isEqualTo(one.get("expectedA").asDouble(), within(1e-9))));
  }

  @TestFactory
  Stream<DynamicTest> aFrameCostsOnTheWireWhatItsPacketsWeigh() throws IOException {
    return vectors("traffic")
        .valueStream()
        .map(
            one ->
                DynamicTest.dynamicTest(
                    one.toString(),
                    () -> {
                      Traffic traffic =
                          Traffic.of(
                              Protocol.valueOf(one.get("protocol").asString()),
                              one.get("channels").asInt(),
                              one.path("universeSize").asInt(512),
                              one.path("fill").asString("USED").equals("FULL"),
                              one.get("fps").asDouble());
                      assertThat(traffic.packetsPerSecond())
                          .isEqualTo(one.get("expectedPacketsPerSecond").asDouble());
                      assertThat(traffic.megabitsPerSecond())
                          .isEqualTo(one.get("expectedMbps").asDouble(), within(1e-9));
                    }));
  }
}
