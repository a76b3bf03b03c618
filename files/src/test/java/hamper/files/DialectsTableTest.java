package hamper.files;

import static org.assertj.core.api.Assertions.assertThat;

import hamper.address.Protocol;
import hamper.address.Transport;
import hamper.catalog.Catalog;
import hamper.catalog.DeviceModel;
import hamper.catalog.PortGroup;
import hamper.catalog.PortKind;
import hamper.catalog.ProtocolSupport;
import hamper.config.Configuration;
import hamper.config.DeviceStart;
import hamper.config.Input;
import hamper.config.Output;
import hamper.config.OutputSection;
import hamper.config.Untold;
import hamper.facts.Facts;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;

/**
 * One and the same run told to every device, rightly or refused with the reason: docs/dialects.md
 * is what the code says. After a change: {@code -Dtest=DialectsTableTest -Dapi.update}.
 */
class DialectsTableTest {
  private static final Path KEPT = Path.of("../docs/dialects.md");
  private static final Catalog CATALOG = CatalogueFiles.shipped();
  private static final String RUN =
      """
      {"kind": "string", "id": "run", "name": "run", "pixelType": "node-12v", "sections": [
        {"pixels": 30, "nullPixels": 2, "group": 3, "hold": {"channel": 301}},
        {"pixels": 20, "backward": true, "colourOrder": "BRG"}]}
      """;
  private static final String DECODER =
      """
      {"kind": "decoder", "id": "run", "name": "run", "slot": 31, "pixels": 30}
      """;
  private static final String WALL =
      """
      {"kind": "wall", "id": "run", "name": "run", "resolution": {"width": 64, "height": 32},
       "order": {"start": "BOTTOM_LEFT", "serpentine": true}, "hold": {"channel": 301}}
      """;

  @Test
  void oneRunInEveryDialect() throws IOException {
    String table =
        """
        # One run in every dialect

        Written by a test from the code's own output. The run has two sections: 30 pixels in groups of 3 behind 2 null
        pixels, held at channel 301; and 20 pixels backward with the colour order BRG. It hangs on port 1 of each device,
        first universe 5 on the wire, 510 channels a universe. A device without pixel ports is told a strip decoder of 30
        pixels at slot 31, or a wall of 64 × 32 pixels held at channel 301.

        | device | protocol | inputs | told | refused, and why |
        |---|---|---|---|---|
        """
            + CATALOG.models().stream()
                .flatMap(model -> model.protocols().stream().map(support -> row(model, support)))
                .collect(Collectors.joining("\n"))
            + "\n";
    if (System.getProperty("api.update") != null) {
      Files.writeString(KEPT, table);
    }
    assertThat(Files.readString(KEPT)).isEqualTo(table);
    assertThat(table).contains("5:301").contains("universe 4").contains("pixel 100");
  }

  private static String row(DeviceModel model, ProtocolSupport support) {
    Configuration told = told(model, support);
    Output port = told.outputs().stream().filter(Output::used).findFirst().orElseThrow();
    return "| %s | %s | %s | %s | %s |"
        .formatted(
            model.title(),
            support.protocol().title(),
            cell(told.inputs().stream().map(DialectsTableTest::input).toList()),
            cell(output(port)),
            told.untold().isEmpty()
                ? "nothing"
                : cell(told.untold().stream().map(Untold::what).toList()));
  }

  private static Configuration told(DeviceModel model, ProtocolSupport support) {
    PortKind kind = model.ports().stream().map(PortGroup::kind).findFirst().orElseThrow();
    String piece = kind == PortKind.PIXEL ? RUN : kind == PortKind.DMX ? DECODER : WALL;
    Protocol protocol = support.protocol();
    String json =
        """
        {"format": "hamper-display", "formatVersion": 1, "name": "One run",
         "props": [{"id": "p", "name": "run", "pieces": [%s]}],
         "controllers": [{"id": "k", "tag": "K1", "name": "K", "model": "%s",
           "settings": {"protocol": "%s", "transport": "%s", "firstUniverse": 5, "universeSize": 510},
           "runs": [{"kind": "%s", "port": 1, "legs": [{"piece": "run"}]}]}]}
        """
            .formatted(piece, model.id(), protocol, Transport.UNICAST, kind);
    return Facts.of(DisplayFile.read(json.getBytes(StandardCharsets.UTF_8), CATALOG))
        .configurations()
        .get(0);
  }

  private static String input(Input input) {
    String start = input.start().map(at -> " at channel " + at).orElse("");
    return input.universe().isPresent()
        ? "universe %d, %d × %d%s"
            .formatted(input.universe().get(), input.count(), input.size(), start)
        : input.size() + " bytes";
  }

  private static List<String> output(Output port) {
    List<String> told = new ArrayList<>();
    start(port.start()).ifPresent(start -> told.add("port at " + start));
    port.options().colourOrder().ifPresent(order -> told.add("port " + order));
    port.options().brightness().ifPresent(percent -> told.add("port %d %%".formatted(percent)));
    port.sections().forEach(section -> told.add(section(section)));
    return told;
  }

  private static String section(OutputSection section) {
    List<String> told = new ArrayList<>();
    told.add(section.pixels() + (section.slot().isPresent() ? " slots" : " px"));
    start(section.start()).ifPresent(start -> told.add("at " + start));
    section.slot().ifPresent(slot -> told.add("slot " + slot));
    section.nullPixels().filter(n -> n > 0).ifPresent(n -> told.add(n + " null"));
    section.group().filter(n -> n > 1).ifPresent(n -> told.add("groups of " + n));
    section.backward().filter(b -> b).ifPresent(b -> told.add("backward"));
    section.colourOrder().ifPresent(order -> told.add(order.letters()));
    section.brightness().ifPresent(percent -> told.add(percent + " %"));
    section
        .matrix()
        .ifPresent(
            matrix ->
                told.add(
                    "%d × %d from %s by %s%s"
                        .formatted(
                            matrix.width(),
                            matrix.height(),
                            matrix.order().start(),
                            matrix.order().lines(),
                            matrix.order().serpentine() ? ", serpentine" : "")));
    return String.join(", ", told);
  }

  private static Optional<String> start(DeviceStart start) {
    if (start.pixelIndex().isPresent()) {
      return start.pixelIndex().map(index -> "pixel " + index);
    } else if (start.universe().isPresent()) {
      return Optional.of(
          start
              .channel()
              .map(channel -> start.universe().get() + ":" + channel)
              .orElse("universe " + start.universe().get()));
    }
    return start.channel().map(channel -> "channel " + channel);
  }

  private static String cell(List<String> lines) {
    return lines.isEmpty() ? "none" : String.join("<br>", lines);
  }
}
