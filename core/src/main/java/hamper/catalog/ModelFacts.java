package hamper.catalog;

import hamper.address.Packing;
import hamper.address.PortStart;
import hamper.address.Protocol;
import hamper.address.Transport;
import hamper.value.Decimals;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;

/**
 * All that a device model can and cannot do, in plain words; the same aspects in the same order for
 * every model, so that two can be laid side by side.
 */
public final class ModelFacts {
  /**
   * @param aspect what is told about, such as "Pixel ports"
   * @param text in plain words; never empty
   */
  public record Fact(String aspect, String text) {}

  private final DeviceModel model;
  private final List<Fact> facts = new ArrayList<>();

  private ModelFacts(DeviceModel model) {
    this.model = model;
  }

  public static List<Fact> of(DeviceModel model) {
    return new ModelFacts(model).tell();
  }

  private List<Fact> tell() {
    add("Pixel ports", counted(PortKind.PIXEL, "none"));
    add("Pixels a port", pixelsAPort());
    add(
        "Fuse of a port",
        pixelPorts(group -> group.fuseAmps().map(amps -> "%s A".formatted(Decimals.plain(amps)))));
    add("Data of a port", pixelPorts(group -> Optional.of(driver(group))));
    add("Remote boxes", pixelPorts(group -> group.banks().map(ModelFacts::boxes)));
    add("Other ports", otherPorts());
    add("DMX lines leave by", dmxPlug());
    add("Listens to", listensTo());
    add("Most universes", mostUniverses());
    add("Wants addresses as", model.dialect().style().title());
    add("Counts universes", counting());
    add("A pixel at a universe's end", pixelAtEnd());
    add("Ports start", whereTheyStart());
    add("Can be told for each section", told(Told.PER_SECTION));
    add("Can be told for each port", told(Told.PER_PORT));
    add("Cannot be told", told(Told.NOT));
    add("Sends colours as", model.colourOrder().map(order -> order.letters()).orElse("not fixed"));
    add("Power inputs", powerInputs());
    add("Network", network());
    add("Plays storage of its own", model.storage() ? "yes" : "no");
    add("Holds frames back", model.synchronizes() ? "yes" : "no");
    add("At its start", byItself(model.atStart()));
    add("When packets stop", byItself(model.lostSource()));
    add("Is handed its configuration", handover());
    return List.copyOf(facts);
  }

  private void add(String aspect, String text) {
    facts.add(new Fact(aspect, text));
  }

  private String counted(PortKind kind, String none) {
    return model
        .portsOf(kind)
        .map(
            ofKind ->
                ofKind.modes().size() == 1
                    ? String.valueOf(ofKind.mostPorts())
                    : ofKind.modes().stream()
                        .map(mode -> "%d in mode %s".formatted(mode.ports(), mode.name()))
                        .collect(Collectors.joining(", or ")))
        .orElse(none);
  }

  private String pixelsAPort() {
    return pixelPorts(
        ofKind ->
            Optional.of(
                ofKind.modes().stream()
                    .map(
                        mode ->
                            (ofKind.modes().size() == 1 ? "" : mode.name() + ": ")
                                + mode.pixelLimits().stream()
                                    .map(
                                        limit ->
                                            "%d of %d channels"
                                                .formatted(limit.pixels(), limit.channels()))
                                    .collect(Collectors.joining(", ")))
                    .collect(Collectors.joining("; "))));
  }

  private String pixelPorts(Function<PortGroup, Optional<String>> tell) {
    return model.portsOf(PortKind.PIXEL).flatMap(tell).filter(t -> !t.isEmpty()).orElse("none");
  }

  private static String driver(PortGroup group) {
    return group
        .driver()
        .map(Driver::title)
        .orElse("not told, taken as " + Driver.BUFFERED.title());
  }

  private static String byItself(Optional<Behaviour> behaviour) {
    return behaviour.map(Behaviour::title).orElse("not told");
  }

  private static String boxes(Banks banks) {
    return "%d ports on one cable, up to %d boxes in a chain, %s m in all"
        .formatted(banks.ports(), banks.mostBoxes(), Decimals.plain(banks.cableMetres()));
  }

  private String otherPorts() {
    String told =
        Arrays.stream(PortKind.values())
            .filter(kind -> kind != PortKind.PIXEL && model.portsOf(kind).isPresent())
            .map(kind -> counted(kind, "") + " " + kind.title())
            .collect(Collectors.joining(", "));
    return told.isEmpty() ? "none" : told;
  }

  private String dmxPlug() {
    return model
        .portsOf(PortKind.DMX)
        .map(lines -> lines.plug().map(Plug::title).orElse("not told"))
        .orElse("none");
  }

  private String listensTo() {
    String told =
        model.protocols().stream()
            .map(support -> support.protocol().title() + " " + ways(support))
            .collect(Collectors.joining("; "));
    return told.isEmpty() ? "nothing: it sends" : told;
  }

  private static String ways(ProtocolSupport support) {
    String ways =
        Arrays.stream(Transport.values())
            .filter(support.transports()::contains)
            .map(Transport::title)
            .collect(Collectors.joining(", "));
    String sizes =
        support.universeSizes().stream()
            .sorted()
            .map(String::valueOf)
            .collect(Collectors.joining(" or "));
    return ways + (sizes.isEmpty() ? "" : ", universes of " + sizes);
  }

  private String mostUniverses() {
    String told =
        model.protocols().stream()
            .filter(support -> support.mostUniverses().isPresent())
            .map(s -> "%d on %s".formatted(s.mostUniverses().orElseThrow(), s.protocol().title()))
            .collect(Collectors.joining(", "));
    return told.isEmpty() ? "no limit told" : told;
  }

  private String counting() {
    if (model.protocols().stream().noneMatch(support -> support.protocol().usesUniverses())) {
      return "has none";
    }
    Dialect dialect = model.dialect();
    List<String> told = new ArrayList<>();
    if (model.support(Protocol.E131).isPresent()) {
      told.add(dialect.e131From() == 1 ? "as on the wire on E1.31" : "one lower than E1.31's");
    }
    if (model.support(Protocol.ARTNET).isPresent()) {
      told.add(
          dialect.artnetFrom() == 0 ? "as on the wire on Art-Net" : "one higher than Art-Net's");
    }
    return String.join(", ", told);
  }

  private String pixelAtEnd() {
    if (model.dialect().wholePixelsOnly()) {
      return "must not straddle: the next universe";
    }
    return (model.dialect().packing() == Packing.CONTIGUOUS
            ? "straddles into the next"
            : "goes into the next")
        + (model.dialect().packingTold() ? ", unless set otherwise" : ", always");
  }

  private String whereTheyStart() {
    if (model.dialect().portsFollow()) {
      return "where the port before ended, always";
    }
    return model.dialect().portStart() == PortStart.NEXT_UNIVERSE
        ? "at a universe of their own, unless set otherwise"
        : "where the port before ended, unless set otherwise";
  }

  private String told(Told how) {
    String told =
        Arrays.stream(SectionOption.values())
            .filter(option -> model.told(option) == how)
            .map(SectionOption::title)
            .collect(Collectors.joining(", "));
    return told.isEmpty() ? "nothing" : told;
  }

  private String powerInputs() {
    String told =
        model.powerInputs().stream()
            .map(
                power ->
                    "%s A at up to %s V"
                        .formatted(Decimals.plain(power.amps()), Decimals.plain(power.volts())))
            .collect(Collectors.joining(", "));
    return told.isEmpty() ? "none told" : told;
  }

  private String network() {
    return (model.wifi() ? "Wi-Fi" : "cable")
        + model.packetsPerSecond().map(most -> ", up to %d packets/s".formatted(most)).orElse("");
  }

  private String handover() {
    String told =
        model.handover().stream()
            .map(
                way ->
                    switch (way) {
                      case NETWORK -> "over the network";
                      case FILE_ON_CARD -> "as a file on a card";
                      case BY_HAND -> "by hand";
                    })
            .collect(Collectors.joining(", "));
    return told.isEmpty() ? "by hand" : told;
  }

  /** Without a decimal point where there is nothing behind it. */
}
