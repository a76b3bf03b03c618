package hamper.files;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import hamper.address.Protocol;
import hamper.address.Transport;
import hamper.catalog.Catalog;
import hamper.catalog.DeviceModel;
import hamper.catalog.PieceModel;
import hamper.catalog.PixelType;
import hamper.catalog.PortKind;
import hamper.display.SerialDimmer;
import java.nio.charset.StandardCharsets;
import java.util.Comparator;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.JsonNode;

/** The limits a planner trusts are the ones that the makers state. */
class CatalogueTest {
  private static final Catalog CATALOG = CatalogueFiles.shipped();

  private static DeviceModel model(String id) {
    return CATALOG.model(id).orElseThrow();
  }

  @ParameterizedTest(name = "{0} in mode {1}: {2} ports of {3} pixels")
  @CsvSource({
    "ostrand-twelve, 12 ports, 12, 800",
    "ostrand-twelve, 24 ports, 24, 400",
    "ostrand-five, 5 ports, 5, 680",
    "quillby-wren, 2 outputs, 2, 512",
    "quillby-wren-r, 3 outputs, 3, 400",
    "velmo-reach-32, 32 ports, 32, 1024",
    "pelloway-hat, 2 outputs, 2, 800"
  })
  void pixelPortsHaveTheirLimits(String id, String mode, int ports, int pixels) {
    var found = model(id).portsOf(PortKind.PIXEL).orElseThrow().mode(mode).orElseThrow();
    assertThat(found.ports()).isEqualTo(ports);
    assertThat(found.pixelLimit(3)).hasValue(pixels);
    assertThat(found.pixelLimit(4).getAsInt()).isLessThan(pixels);
  }

  @Test
  void everyMakersDevicesAreThere() {
    assertThat(CATALOG.models())
        .extracting(DeviceModel::title)
        .contains(
            "Ostrand Twelve",
            "Ostrand Five",
            "Velmo Reach 32",
            "Quillby Wren",
            "Quillby Wren R",
            "Pelloway Hat",
            "Pelloway Wall Sender",
            "Pelloway Screen",
            "Tarn & Hythe DMX Bridge");
  }

  @Test
  void smallDevicesBehindAPortAreThereTooAsPieces() {
    assertThat(CATALOG.pieceModels())
        .extracting(PieceModel::title)
        .containsExactly("Tarn & Hythe Strip Decoder", "Brackwater Unit 16");
    PieceModel unit = CATALOG.pieceModels().get(1);
    assertThat(unit.most()).isEqualTo(16);
    assertThat(unit.lastNumber()).isEqualTo(SerialDimmer.HIGHEST_UNIT);
  }

  @Test
  void theReachHasEightBanksOfFourWithUpToThreeBoxes() {
    var banks = model("velmo-reach-32").portsOf(PortKind.PIXEL).orElseThrow().banks().orElseThrow();
    assertThat(banks.bankOf(32)).isEqualTo(8);
    assertThat(banks.socketOf(32)).isEqualTo(4);
    assertThat(banks.socketOf(29)).isEqualTo(1);
    assertThat(banks.mostBoxes()).isEqualTo(3);
  }

  @Test
  void theBridgeWritesItsUniversesFromNought() {
    DeviceModel bridge = model("tarn-hythe-dmx-bridge");
    assertThat(bridge.dialect().written(Protocol.E131, 1)).isZero();
    assertThat(bridge.dialect().written(Protocol.ARTNET, 7)).isEqualTo(7);
    assertThat(model("ostrand-five").dialect().written(Protocol.ARTNET, 7)).isEqualTo(8);
  }

  @ParameterizedTest(name = "{0}: {1} bits, {2} µs reset, {3} mA")
  @CsvSource({
    "node-5v-short, 24, 50, 55",
    "node-12v, 24, 300, 42",
    "rgbw-5v, 32, 80, 80",
    "clocked-5v, 32, 0, 60"
  })
  void pixelTypesAreThoseOfTheTable(String id, int bits, double reset, double milliamps) {
    PixelType type = CATALOG.pixelType(id).orElseThrow();
    assertThat(type.bits()).isEqualTo(bits);
    assertThat(type.resetMicros()).isEqualTo(reset);
    assertThat(type.fullMilliamps()).isEqualTo(milliamps);
  }

  @Test
  void aModelFileThatIsWrongSaysWhere() {
    String json =
        """
        {"format": "hamper-catalogue", "formatVersion": 1, "models": [
          {"id": "x", "maker": "X", "name": "X", "ports": [{"kind": "PIXEL", "modes": []}],
           "protocols": [], "dialect": {"style": "SHOUTING"}}]}
        """;
    assertThatThrownBy(() -> CatalogueFiles.read(json.getBytes(StandardCharsets.UTF_8)))
        .hasMessageContaining("models[0].ports[0].modes")
        .hasMessageContaining("models[0].dialect.style: \"SHOUTING\"");
  }

  /** Or stand-ins would not know it again after a start, and lose what they were given. */
  @Test
  void anEntryIsWrittenTheSameInEveryRun() {
    for (DeviceModel model : CatalogueFiles.shipped().models()) {
      for (JsonNode support : CatalogueFiles.entry(model).path("protocols")) {
        List<String> transports =
            support.path("transports").valueStream().map(JsonNode::asString).toList();
        assertThat(transports).isSortedAccordingTo(Comparator.comparing(Transport::valueOf));
        assertThat(support.path("universeSizes").valueStream().map(JsonNode::asInt).toList())
            .isSorted();
      }
    }
  }
}
