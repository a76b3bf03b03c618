package hamper.server.store;

import hamper.display.Circuit;
import hamper.display.Controller;
import hamper.display.ControllerSettings;
import hamper.display.Display;
import hamper.display.Fixture;
import hamper.display.Hold;
import hamper.display.InputRange;
import hamper.display.Leg;
import hamper.display.Piece;
import hamper.display.PixelString;
import hamper.display.Prop;
import hamper.display.Run;
import hamper.display.Section;
import hamper.display.Zone;
import hamper.files.Json;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** What of a display stands in which table. Parents before children. */
final class DisplayTables {
  static final List<Table> ALL =
      List.of(
          new Table("own_model", 1, List.of("id", "place", "content"), DisplayTables::models),
          new Table(
              "own_pixel_type", 1, List.of("id", "place", "content"), DisplayTables::pixelTypes),
          new Table(
              "zone",
              1,
              List.of("id", "place", "name", "east_metres", "north_metres"),
              DisplayTables::zones),
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
                  "threshold",
                  "safe_on",
                  "hold_universe",
                  "hold_channel",
                  "slot",
                  "channels"),
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
                  "inputs_by_hand"),
              DisplayTables::controllers),
          new Table(
              "controller_input",
              2,
              List.of("controller_id", "place", "first_universe", "universes", "size"),
              DisplayTables::inputs),
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
                  "mirror_of"),
              DisplayTables::legs));

  private DisplayTables() {}

  private static Object[] row(Object... values) {
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

  private static List<Object[]> models(Display display) {
    List<Object[]> rows = new ArrayList<>();
    display
        .models()
        .forEach(m -> rows.add(row(m.id(), rows.size(), Json.MAPPER.writeValueAsString(m))));
    return rows;
  }

  private static List<Object[]> pixelTypes(Display display) {
    List<Object[]> rows = new ArrayList<>();
    display
        .pixelTypes()
        .forEach(t -> rows.add(row(t.id(), rows.size(), Json.MAPPER.writeValueAsString(t))));
    return rows;
  }

  private static List<Object[]> zones(Display display) {
    List<Object[]> rows = new ArrayList<>();
    for (Zone zone : display.zones()) {
      rows.add(row(zone.id(), rows.size(), zone.name(), zone.eastMetres(), zone.northMetres()));
    }
    return rows;
  }

  private static List<Object[]> props(Display display) {
    List<Object[]> rows = new ArrayList<>();
    for (Prop prop : display.props()) {
      rows.add(row(prop.id(), rows.size(), prop.name(), prop.zone(), prop.brightness()));
    }
    return rows;
  }

  private static List<Object[]> pieces(Display display) {
    List<Object[]> rows = new ArrayList<>();
    for (Prop prop : display.props()) {
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
          null,
          null,
          null,
          null,
          null,
          null);
    } else if (piece instanceof Circuit circuit) {
      return row(
          circuit.id(),
          prop.id(),
          place,
          "circuit",
          circuit.name(),
          null,
          circuit.threshold(),
          circuit.safeOn(),
          circuit.hold().flatMap(Hold::universe),
          circuit.hold().map(Hold::channel),
          null,
          null);
    }
    Fixture fixture = (Fixture) piece;
    return row(
        fixture.id(),
        prop.id(),
        place,
        "fixture",
        fixture.name(),
        null,
        null,
        null,
        null,
        null,
        fixture.slot(),
        fixture.channels());
  }

  private static List<Object[]> sections(Display display) {
    List<Object[]> rows = new ArrayList<>();
    for (Prop prop : display.props()) {
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

  private static List<Object[]> controllers(Display display) {
    List<Object[]> rows = new ArrayList<>();
    for (Controller controller : display.controllers()) {
      ControllerSettings settings = controller.settings();
      rows.add(
          row(
              controller.id(),
              rows.size(),
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
              controller.inputs().isPresent()));
    }
    return rows;
  }

  private static List<Object[]> inputs(Display display) {
    List<Object[]> rows = new ArrayList<>();
    for (Controller controller : display.controllers()) {
      List<InputRange> inputs = controller.inputs().orElse(List.of());
      for (int i = 0; i < inputs.size(); i++) {
        InputRange input = inputs.get(i);
        rows.add(row(controller.id(), i, input.firstUniverse(), input.count(), input.size()));
      }
    }
    return rows;
  }

  private static List<Object[]> runs(Display display) {
    List<Object[]> rows = new ArrayList<>();
    for (Controller controller : display.controllers()) {
      for (Run run : controller.runs()) {
        rows.add(row(controller.id(), run.kind(), run.port(), run.universe(), run.brightness()));
      }
    }
    return rows;
  }

  private static List<Object[]> legs(Display display) {
    List<Object[]> rows = new ArrayList<>();
    for (Controller controller : display.controllers()) {
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
                  leg.mirrorOf()));
        }
      }
    }
    return rows;
  }
}
