package hamper.load;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import hamper.address.ColourOrder;
import hamper.address.Protocol;
import hamper.catalog.FrameTime;
import hamper.catalog.Gauge;
import hamper.catalog.PixelType;
import java.io.IOException;
import java.io.InputStream;
import java.util.ArrayList;
import java.util.List;
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
                                            type(one)
                                                .amps(
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

  @TestFactory
  Stream<DynamicTest> aDmxLineTakesAsLongAsItsSlots() throws IOException {
    return vectors("dmxFrame")
        .valueStream()
        .map(
            one ->
                DynamicTest.dynamicTest(
                    one.toString(),
                    () ->
                        assertThat(FrameTime.dmxMicros(one.get("slots").asInt()))
                            .isEqualTo(one.get("expectedUs").asDouble())));
  }

  @TestFactory
  Stream<DynamicTest> everyPixelHasTheVoltageThatTheWireLeavesIt() throws IOException {
    return vectors("voltage")
        .valueStream()
        .map(
            one ->
                DynamicTest.dynamicTest(
                    one.get("name").asString(),
                    () -> {
                      Ladder ladder = ladder(one);
                      JsonNode wanted = one.get("expected");
                      assertThat(ladder.lowest().volts())
                          .isEqualTo(wanted.get("minVolts").asDouble(), within(1e-6));
                      assertThat(ladder.lowest().position())
                          .isEqualTo(wanted.get("atPosition").asInt());
                      assertThat(ladder.voltsAt(1))
                          .isEqualTo(wanted.get("firstVolts").asDouble(), within(1e-6));
                      assertThat(ladder.voltsAt(ladder.positions()))
                          .isEqualTo(wanted.get("lastVolts").asDouble(), within(1e-6));
                      double[] amps = ladder.tapAmps();
                      assertThat(amps).hasSize(wanted.get("feedAmps").size());
                      for (int i = 0; i < amps.length; i++) {
                        assertThat(amps[i])
                            .isEqualTo(wanted.get("feedAmps").get(i).asDouble(), within(1e-6));
                      }
                    }));
  }

  private static Ladder ladder(JsonNode one) {
    double step = loop(one.get("stringAwg").asInt(), one.get("spacingM").asDouble());
    List<Ladder.Stretch> stretches = new ArrayList<>();
    for (JsonNode section : one.get("sections")) {
      int nulls = section.path("nullsBefore").asInt(0);
      if (nulls > 0) {
        double idle = type(one).amps(0, 1, 0);
        stretches.add(new Ladder.Stretch(nulls, idle, step, step));
      }
      double each = type(one).amps(1, 0, section.get("brightness").asInt());
      stretches.add(new Ladder.Stretch(section.get("pixels").asInt(), each, step, step));
    }
    List<Ladder.Tap> taps = new ArrayList<>();
    for (JsonNode feed : one.get("feeds")) {
      taps.add(
          new Ladder.Tap(
              feed.get("atPosition").asInt(),
              feed.get("volts").asDouble(),
              loop(feed.get("awg").asInt(), feed.get("leadM").asDouble())));
    }
    return Ladder.of(stretches, taps);
  }

  private static double loop(int awg, double metres) {
    return Gauge.awg(awg).loopOhms(metres);
  }
}
