package hamper.catalog;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import hamper.address.ColourOrder;
import hamper.address.Packing;
import hamper.address.PortStart;
import hamper.address.Protocol;
import hamper.address.StartsPer;
import hamper.address.Transport;
import hamper.sample.Samples;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;

/** A planner reads a model's limits in plain words, and can trust every one of them. */
class ModelFactsTest {
  private static Map<String, String> facts(DeviceModel model) {
    return ModelFacts.of(model).stream()
        .collect(Collectors.toMap(ModelFacts.Fact::aspect, ModelFacts.Fact::text));
  }

  private static DeviceModel rich() {
    PortGroup pixels =
        new PortGroup(
            PortKind.PIXEL,
            List.of(
                new PortMode("few", 12, List.of(new PixelLimit(3, 800), new PixelLimit(4, 600))),
                new PortMode("many", 24, List.of(new PixelLimit(3, 400)))),
            Optional.of(7.5),
            Optional.of(new Banks(4, 3, 60)),
            Optional.of(Driver.UNBUFFERED),
            Optional.empty(),
            List.of());
    PortGroup dmx =
        new PortGroup(
            PortKind.DMX,
            List.of(new PortMode("lines", 3, List.of())),
            Optional.empty(),
            List.of());
    return new DeviceModel(
        "rich",
        "Sample",
        "Rich",
        "1",
        "",
        List.of(pixels, dmx),
        List.of(
            new ProtocolSupport(
                Protocol.E131,
                Set.of(Transport.MULTICAST, Transport.UNICAST),
                Optional.of(96),
                Set.of(512, 510)),
            new ProtocolSupport(
                Protocol.ARTNET, Set.of(Transport.UNICAST), Optional.empty(), Set.of(512))),
        new Dialect(
            AddressStyle.UNIVERSE_PER_PORT,
            InputStyle.FIRST_COUNT,
            StartsPer.PORT,
            PortStart.NEXT_UNIVERSE,
            Packing.WHOLE_PIXEL,
            true,
            0,
            1),
        Map.of(
            SectionOption.GROUP, Told.PER_SECTION,
            SectionOption.COLOUR_ORDER, Told.PER_PORT),
        Optional.of(new ColourOrder("GRB")),
        true,
        true,
        true,
        Optional.of(Behaviour.SAFE),
        Optional.of(Behaviour.STORED),
        Optional.of(400),
        List.of(new Power(24, 30), new Power(5, 12.5)),
        List.of(HandoverWay.NETWORK, HandoverWay.FILE_ON_CARD));
  }

  @Test
  void everyLimitIsSaid() {
    Map<String, String> facts = facts(rich());
    assertThat(facts)
        .containsEntry("Pixel ports", "12 in mode few, or 24 in mode many")
        .containsEntry(
            "Pixels a port", "few: 800 of 3 channels, 600 of 4 channels; many: 400 of 3 channels")
        .containsEntry("Fuse of a port", "7.5 A")
        .containsEntry(
            "Remote boxes", "4 ports on one cable, up to 3 boxes in a chain, 60 m in all")
        .containsEntry("Other ports", "3 dmx")
        .containsEntry("DMX lines leave by", "not told")
        .containsEntry(
            "Listens to",
            "E1.31 unicast, multicast, universes of 510 or 512; Art-Net unicast, universes of 512")
        .containsEntry("Most universes", "96 on E1.31")
        .containsEntry("Counts universes", "one lower than E1.31's, one higher than Art-Net's")
        .containsEntry("A pixel at a universe's end", "must not straddle: the next universe")
        .containsEntry("Ports start", "at a universe of their own, unless set otherwise")
        .containsEntry("Can be told for each section", "group")
        .containsEntry("Can be told for each port", "colour order")
        .containsEntry("Cannot be told", "fold, direction, null pixels, brightness")
        .containsEntry("Sends colours as", "GRB")
        .containsEntry("Power inputs", "30 A at up to 24 V, 12.5 A at up to 5 V")
        .containsEntry("Network", "Wi-Fi, up to 400 packets/s")
        .containsEntry("Plays storage of its own", "yes")
        .containsEntry("Is handed its configuration", "over the network, as a file on a card");
  }

  @Test
  void whatAHostHasNotIsSaidToo() {
    Map<String, String> facts = facts(Samples.host());
    assertThat(facts)
        .containsEntry("Pixel ports", "none")
        .containsEntry("Listens to", "nothing: it sends")
        .containsEntry("Counts universes", "has none")
        .containsEntry("Power inputs", "none told")
        .containsEntry("Holds frames back", "no");
    assertThat(facts.keySet()).isEqualTo(facts(rich()).keySet());
  }

  @Test
  void aGaugeIsReadAsItIsPrintedOnTheCable() {
    assertThat(Gauge.awg(18).milliohmsPerMetre()).isEqualTo(20.95);
    assertThat(new Gauge("0.75 mm²").milliohmsPerMetre()).isBetween(22.9, 23.1);
    assertThat(Gauge.squareMillimetres(1.5).text()).isEqualTo("1.5 mm²");
    assertThat(Gauge.awg(20).loopOhms(3)).isEqualTo(2 * 33.31 * 3 / 1000);
    for (String wrong : List.of("AWG 19", "AWG x", "18", "0 mm²", "thick mm²")) {
      assertThatThrownBy(() -> new Gauge(wrong))
          .hasMessageContaining("gauge")
          .hasMessageMatching("(?s).*(AWG \\[12, 14, 16, 18, 20, 22, 24\\]|0.05 to 100).*");
    }
  }
}
