package hamper.server.store;

import hamper.address.IpAddress;
import hamper.catalog.Gauge;
import hamper.display.Accepted;
import hamper.display.Adapter;
import hamper.display.BankCable;
import hamper.display.Controller;
import hamper.display.ControllerSettings;
import hamper.display.Hold;
import hamper.display.InputRange;
import hamper.display.Leg;
import hamper.display.Piece;
import hamper.display.PixelString;
import hamper.display.Prop;
import hamper.display.Run;
import hamper.display.Section;
import hamper.display.Subnet;
import hamper.display.Zone;
import hamper.files.Json;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;

/** What of a display stands in which table. Parents before children. */
final class DisplayTables {
  static final List<Table> ALL =
      List.of(
          new Table("own_model", 1, List.of("id", "place", "content"), DisplayTables::models),
          new Table(
              "own_pixel_type", 1, List.of("id", "place", "content"), DisplayTables::pixelTypes),
          new Table(
              "subnet",
              1,
              List.of("id", "place", "name", "network", "prefix", "dhcp_first", "dhcp_last"),
              DisplayTables::subnets),
          new Table(
              "zone",
              1,
              List.of("id", "place", "name", "east_metres", "north_metres"),
              DisplayTables::zones),
          PowerTables.MAINS,
          PowerTables.SUPPLIES,
          new Table(
              "prop",
              1,
              List.of("id", "place", "name", "zone_id", "brightness"),
              DisplayTables::props),
          new Table(
              "piece",
              1,
              List.of(
                  "id",
                  "prop_id",
                  "place",
                  "kind",
                  "name",
                  "pixel_type",
                  "data_in",
                  "connector",
                  "lead_metres",
                  "gauge",
                  "spacing_metres",
                  "data_only",
                  "connector_amps",
                  "detail"),
              DisplayTables::pieces),
          new Table(
              "section",
              2,
              List.of(
                  "piece_id",
                  "place",
                  "pixels",
                  "null_pixels",
                  "group_size",
                  "fold",
                  "backward",
                  "colour_order",
                  "brightness",
                  "hold_universe",
                  "hold_channel"),
              DisplayTables::sections),
          new Table(
              "controller",
              1,
              List.of(
                  "id",
                  "place",
                  "tag",
                  "name",
                  "model",
                  "mode",
                  "protocol",
                  "transport",
                  "address",
                  "first_universe",
                  "universe_size",
                  "packing",
                  "port_start",
                  "reserve_universes",
                  "reserve_channels",
                  "brightness",
                  "source_id",
                  "zone_id",
                  "note",
                  "inputs_by_hand",
                  "from_storage",
                  "backup_id",
                  "full_universes",
                  "synchronization",
                  "host_name"),
              DisplayTables::controllers),
          new Table(
              "controller_input",
              2,
              List.of("controller_id", "place", "first_universe", "universes", "size"),
              DisplayTables::inputs),
          new Table(
              "adapter",
              2,
              List.of("controller_id", "place", "name", "address"),
              DisplayTables::adapters),
          new Table(
              "bank_cable",
              2,
              List.of("controller_id", "place", "bank", "box", "metres"),
              DisplayTables::cables),
          PowerTables.INPUTS,
          new Table(
              "run",
              3,
              List.of("controller_id", "kind", "port", "universe", "brightness"),
              DisplayTables::runs),
          new Table(
              "leg",
              1,
              List.of(
                  "piece_id",
                  "controller_id",
                  "kind",
                  "port",
                  "place",
                  "null_pixels",
                  "cable_metres",
                  "box",
                  "mirror_of",
                  "cable_gauge",
                  "cut"),
              DisplayTables::legs),
          PowerTables.FEEDS,
          new Table(
              "accepted",
              1,
              List.of("place", "identity", "code", "message", "reason"),
              DisplayTables::accepted));

  private DisplayTables() {}

  static Object[] row(Object... values) {
    for (int i = 0; i < values.length; i++) {
      if (values[i] instanceof Optional<?> optional) {
        values[i] = optional.orElse(null);
      }
      if (values[i] instanceof Enum<?> constant) {
        values[i] = constant.name();
      }
    }
    return values;
  }

  private static List<Object[]> models(Parts parts) {
    List<Object[]> rows = new ArrayList<>();
    parts
        .display()
        .models()
        .forEach(m -> rows.add(row(m.id(), rows.size(), Json.MAPPER.writeValueAsString(m))));
    return rows;
  }

  private static List<Object[]> pixelTypes(Parts parts) {
    List<Object[]> rows = new ArrayList<>();
    parts
        .display()
        .pixelTypes()
        .forEach(t -> rows.add(row(t.id(), rows.size(), Json.MAPPER.writeValueAsString(t))));
    return rows;
  }

  private static List<Object[]> subnets(Parts parts) {
    List<Object[]> rows = new ArrayList<>();
    for (Subnet subnet : parts.display().subnets()) {
      rows.add(
          row(
              subnet.id(),
              rows.size(),
              subnet.name(),
              subnet.network().text(),
              subnet.prefix(),
              subnet.dhcpFirst().map(IpAddress::text),
              subnet.dhcpLast().map(IpAddress::text)));
    }
    return rows;
  }

  private static List<Object[]> zones(Parts parts) {
    List<Object[]> rows = new ArrayList<>();
    for (Zone zone : parts.display().zones()) {
      rows.add(row(zone.id(), rows.size(), zone.name(), zone.eastMetres(), zone.northMetres()));
    }
    return rows;
  }

  private static List<Object[]> props(Parts parts) {
    List<Object[]> rows = new ArrayList<>();
    for (Parts.Placed<Prop> at : parts.props()) {
      Prop prop = at.part();
      rows.add(row(prop.id(), at.place(), prop.name(), prop.zone(), prop.brightness()));
    }
    return rows;
  }

  private static List<Object[]> pieces(Parts parts) {
    List<Object[]> rows = new ArrayList<>();
    for (Parts.Placed<Prop> at : parts.props()) {
      Prop prop = at.part();
      for (int i = 0; i < prop.pieces().size(); i++) {
        rows.add(piece(prop, prop.pieces().get(i), i));
      }
    }
    return rows;
  }

  private static Object[] piece(Prop prop, Piece piece, int place) {
    if (piece instanceof PixelString string) {
      return row(
          string.id(),
          prop.id(),
          place,
          "string",
          string.name(),
          string.pixelType(),
          string.dataIn(),
          string.connector(),
          string.leadMetres(),
          string.wires().gauge().map(Gauge::text),
          string.wires().spacingMetres(),
          string.wires().dataOnly(),
          string.wires().connectorAmps(),
          null);
    }
    String detail = Json.MAPPER.writerFor(Piece.class).writeValueAsString(piece);
    String kind = Json.MAPPER.readTree(detail).get("kind").asString();
    return row(
        piece.id(),
        prop.id(),
        place,
        kind,
        piece.name(),
        null,
        null,
        null,
        null,
        null,
        null,
        false,
        null,
        detail);
  }

  private static List<Object[]> sections(Parts parts) {
    List<Object[]> rows = new ArrayList<>();
    for (Parts.Placed<Prop> at : parts.props()) {
      Prop prop = at.part();
      for (Piece piece : prop.pieces()) {
        if (piece instanceof PixelString string) {
          for (int i = 0; i < string.sections().size(); i++) {
            rows.add(section(string.id(), i, string.sections().get(i)));
          }
        }
      }
    }
    return rows;
  }

  private static Object[] section(String piece, int place, Section section) {
    return row(
        piece,
        place,
        section.pixels(),
        section.nullPixels(),
        section.group(),
        section.fold(),
        section.backward(),
        section.colourOrder().map(order -> order.letters()),
        section.brightness(),
        section.hold().flatMap(Hold::universe),
        section.hold().map(Hold::channel));
  }

  private static List<Object[]> controllers(Parts parts) {
    List<Object[]> rows = new ArrayList<>();
    for (Parts.Placed<Controller> at : parts.controllers()) {
      Controller controller = at.part();
      ControllerSettings settings = controller.settings();
      rows.add(
          row(
              controller.id(),
              at.place(),
              controller.tag(),
              controller.name(),
              controller.model(),
              settings.mode(),
              settings.protocol(),
              settings.transport(),
              settings.address().map(address -> address.text()),
              settings.firstUniverse(),
              settings.universeSize(),
              settings.packing().map(Enum::name),
              settings.portStart().map(Enum::name),
              settings.reserveUniverses(),
              settings.reserveChannels(),
              settings.brightness(),
              settings.source(),
              settings.zone(),
              settings.note(),
              controller.inputs().isPresent(),
              controller.sending().fromStorage(),
              controller.sending().backup(),
              controller.sending().fullUniverses(),
              controller.sending().synchronization(),
              controller.sending().hostName()));
    }
    return rows;
  }

  private static List<Object[]> accepted(Parts parts) {
    List<Object[]> rows = new ArrayList<>();
    for (Accepted one : parts.display().accepted()) {
      rows.add(row(rows.size(), one.identity(), one.code(), one.message(), one.reason()));
    }
    return rows;
  }

  private static List<Object[]> inputs(Parts parts) {
    List<Object[]> rows = new ArrayList<>();
    for (Parts.Placed<Controller> at : parts.controllers()) {
      Controller controller = at.part();
      List<InputRange> inputs = controller.inputs().orElse(List.of());
      for (int i = 0; i < inputs.size(); i++) {
        InputRange input = inputs.get(i);
        rows.add(row(controller.id(), i, input.firstUniverse(), input.count(), input.size()));
      }
    }
    return rows;
  }

  private static List<Object[]> adapters(Parts parts) {
    List<Object[]> rows = new ArrayList<>();
    for (Parts.Placed<Controller> at : parts.controllers()) {
      Controller controller = at.part();
      for (int i = 0; i < controller.adapters().size(); i++) {
        Adapter adapter = controller.adapters().get(i);
        rows.add(row(controller.id(), i, adapter.name(), adapter.address().text()));
      }
    }
    return rows;
  }

  private static List<Object[]> cables(Parts parts) {
    List<Object[]> rows = new ArrayList<>();
    for (Parts.Placed<Controller> at : parts.controllers()) {
      Controller controller = at.part();
      for (int i = 0; i < controller.cables().size(); i++) {
        BankCable cable = controller.cables().get(i);
        rows.add(row(controller.id(), i, cable.bank(), cable.box(), cable.metres()));
      }
    }
    return rows;
  }

  private static List<Object[]> runs(Parts parts) {
    List<Object[]> rows = new ArrayList<>();
    for (Parts.Placed<Controller> at : parts.controllers()) {
      Controller controller = at.part();
      for (Run run : controller.runs()) {
        rows.add(row(controller.id(), run.kind(), run.port(), run.universe(), run.brightness()));
      }
    }
    return rows;
  }

  private static List<Object[]> legs(Parts parts) {
    List<Object[]> rows = new ArrayList<>();
    for (Parts.Placed<Controller> at : parts.controllers()) {
      Controller controller = at.part();
      for (Run run : controller.runs()) {
        for (int i = 0; i < run.legs().size(); i++) {
          Leg leg = run.legs().get(i);
          rows.add(
              row(
                  leg.piece(),
                  controller.id(),
                  run.kind(),
                  run.port(),
                  i,
                  leg.nullPixels(),
                  leg.cableMetres(),
                  leg.box(),
                  leg.mirrorOf(),
                  leg.cableGauge().map(Gauge::text),
                  leg.cut().stream().map(Enum::name).collect(Collectors.joining(" "))));
        }
      }
    }
    return rows;
  }
}
