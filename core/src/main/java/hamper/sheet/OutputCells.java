package hamper.sheet;

import hamper.address.ColourOrder;
import hamper.catalog.PortKind;
import hamper.config.DeviceStart;
import hamper.config.Output;
import hamper.config.OutputSection;
import hamper.display.Panels;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;

/** What a device is told of one output: the port as a whole, and each section of it. */
final class OutputCells {
  /** Of a port that nothing hangs on. */
  private static final String EMPTY = "empty";

  private final String key;
  private final int universe;
  private final List<SheetCell> cells = new ArrayList<>();

  private OutputCells(String key, int universe) {
    this.key = key;
    this.universe = universe;
  }

  static String title(PortKind kind) {
    return switch (kind) {
      case PIXEL -> "Pixel ports";
      case RELAY -> "Relay ports";
      case PANEL -> "Panel ports";
      case DMX -> "DMX lines";
      case SERIAL -> "Serial lines";
    };
  }

  static String one(PortKind kind) {
    return switch (kind) {
      case PIXEL -> "Port";
      case RELAY -> "Relay port";
      case PANEL -> "Panel port";
      case DMX -> "DMX line";
      case SERIAL -> "Serial line";
    };
  }

  /**
   * @param universe channels of the device's universes; 0 where it has none
   */
  static List<SheetRow> rows(Output output, int universe) {
    String title = "%s %s".formatted(one(output.kind()), output.label());
    String key = "%s %d/".formatted(output.kind(), output.port());
    List<SheetRow> rows = new ArrayList<>();
    OutputCells port = new OutputCells(key, universe);
    port.port(output);
    rows.add(port.row(title, "", output, 0));
    for (int i = 0; i < output.sections().size(); i++) {
      OutputSection section = output.sections().get(i);
      OutputCells own = new OutputCells("%s%d/".formatted(key, i + 1), universe);
      own.section(section, output);
      String which =
          output.sections().size() == 1 ? title : "%s, section %d".formatted(title, i + 1);
      rows.add(own.row(which, section.name(), output, i + 1));
    }
    return rows;
  }

  private SheetRow row(String title, String name, Output output, int section) {
    SheetRow.PortAt at = new SheetRow.PortAt(output.kind(), output.port(), output.label(), section);
    return new SheetRow(title, name, Optional.of(at), cells);
  }

  private void port(Output output) {
    // where the board names pins, another pin is another setting
    if (!output.label().equals(Integer.toString(output.port()))) {
      words("pin", "pin", output.label());
    }
    if (!output.used()) {
      cells.add(SheetCell.words(key + "used", "in use", EMPTY));
      return;
    }
    start(output.start());
    output.pixelType().ifPresent(chip -> words("pixelType", "chip", chip));
    if (output.pixelType().isPresent()) {
      number("pixels", "pixels in all", output.pixels(), "pixels");
    }
    output
        .channelsPerPixel()
        .ifPresent(channels -> number("channelsPerPixel", "channels a pixel", channels, ""));
    Output.PortOptions options = output.options();
    options(
        options.nullPixels(),
        options.group(),
        options.fold(),
        options.backward(),
        options.colourOrder(),
        options.brightness());
  }

  private void section(OutputSection section, Output output) {
    start(section.start());
    section.slot().ifPresent(slot -> number("slot", "start slot", slot, ""));
    section.slots().ifPresent(slots -> number("slots", "slots", slots, "slots"));
    // a circuit is one channel, which nobody types
    if (section.pixels() > 0 && output.kind() != PortKind.RELAY) {
      number("pixels", "pixels", section.pixels(), "pixels");
    }
    section.ledsPerPixel().ifPresent(leds -> number("ledsPerPixel", "LEDs a pixel", leds, ""));
    options(
        section.nullPixels(),
        section.group(),
        section.fold(),
        section.backward(),
        section.colourOrder(),
        section.brightness());
    section.box().ifPresent(box -> words("box", "remote box", Character.toString('@' + box)));
    section.threshold().ifPresent(level -> number("threshold", "on from level", level, ""));
    section.safeOn().ifPresent(on -> words("safeOn", "rests", on ? "on" : "off"));
    section.matrix().ifPresent(this::matrix);
  }

  private void options(
      Optional<Integer> nullPixels,
      Optional<Integer> group,
      Optional<Integer> fold,
      Optional<Boolean> backward,
      Optional<ColourOrder> colourOrder,
      Optional<Integer> brightness) {
    nullPixels.ifPresent(many -> number("nullPixels", "null pixels", many, "null pixels"));
    group.ifPresent(many -> number("group", "pixels a group", many, ""));
    fold.ifPresent(many -> number("fold", "fold after", many, "pixels"));
    backward.ifPresent(back -> words("backward", "direction", back ? "backward" : "forward"));
    colourOrder.ifPresent(order -> words("colourOrder", "colour order", order.letters()));
    brightness.ifPresent(percent -> number("brightness", "brightness", percent, "%"));
  }

  private void matrix(OutputSection.Matrix matrix) {
    words("matrix", "across × down", "%d × %d".formatted(matrix.width(), matrix.height()));
    words("order", "pixel order", matrix.order().told());
    matrix.panels().ifPresent(this::panels);
  }

  private void panels(Panels panels) {
    words("panels", "panels", "%d × %d".formatted(panels.columns(), panels.rows()));
    words("panel", "one panel", "%d × %d".formatted(panels.panelWidth(), panels.panelHeight()));
    words("chain", "panel order", panels.order().told());
    for (int i = 0; i < panels.cards().size(); i++) {
      String rows =
          panels.cards().get(i).rows().stream()
              .map(row -> Integer.toString(row))
              .collect(Collectors.joining("+"));
      words("card %d".formatted(i + 1), "rows of card %d".formatted(i + 1), rows);
    }
  }

  private void start(DeviceStart start) {
    if (start.unwritable()) {
      words("start", "start", "cannot be told");
    } else if (start.says()) {
      cells.add(
          new SheetCell(key + "start", "start", written(start), "", Optional.of(standing(start))));
    }
  }

  /** A start as the device writes it. */
  private static String written(DeviceStart start) {
    if (start.pixelIndex().isPresent()) {
      return "pixel " + start.pixelIndex().get();
    }
    if (start.universe().isEmpty()) {
      return "channel " + start.channel().orElseThrow();
    }
    return start
        .channel()
        .map(channel -> "%d:%d".formatted(start.universe().get(), channel))
        .orElseGet(() -> "universe " + start.universe().get());
  }

  private SheetCell.Standing standing(DeviceStart start) {
    if (start.pixelIndex().isPresent()) {
      return new SheetCell.Standing(start.pixelIndex().get(), "pixels", 0);
    }
    if (start.universe().isEmpty()) {
      return new SheetCell.Standing(start.channel().orElseThrow(), "channels", 0);
    }
    return start
        .channel()
        .map(
            channel ->
                new SheetCell.Standing(
                    start.universe().get() * universe + channel, "channels", universe))
        .orElseGet(() -> new SheetCell.Standing(start.universe().get(), "universes", 0));
  }

  private void words(String name, String label, String value) {
    cells.add(SheetCell.words(key + name, label, value));
  }

  private void number(String name, String label, int value, String unit) {
    cells.add(SheetCell.number(key + name, label, value, unit));
  }
}
