package hamper.config;

import hamper.address.ColourOrder;
import hamper.catalog.PortKind;
import java.util.List;
import java.util.Optional;

/**
 * One port as a device is told it; an unused one is told that it is empty, or last year's leftovers
 * stay alive.
 *
 * @param label as the crew reads it: the pin where the board names pins, else the number
 * @param start where the dialect has one start a port
 * @param pixels of the port, null pixels included
 * @param pixelType the chip, where the port carries pixels
 * @param channelsPerPixel where the port carries pixels
 * @param options that the device takes once a port: those of its first section
 * @param sections empty on an unused port
 */
public record Output(
    PortKind kind,
    int port,
    String label,
    boolean used,
    DeviceStart start,
    int pixels,
    Optional<String> pixelType,
    Optional<Integer> channelsPerPixel,
    PortOptions options,
    List<OutputSection> sections) {
  public Output {
    sections = List.copyOf(sections);
  }

  /**
   * What a device is told once a port; empty what it is told for each section, or not at all.
   *
   * @param nullPixels at the plug, before the first pixel
   * @param brightness percent
   */
  public record PortOptions(
      Optional<Integer> nullPixels,
      Optional<Integer> group,
      Optional<Integer> fold,
      Optional<Boolean> backward,
      Optional<ColourOrder> colourOrder,
      Optional<Integer> brightness) {
    static final PortOptions NONE =
        new PortOptions(
            Optional.empty(),
            Optional.empty(),
            Optional.empty(),
            Optional.empty(),
            Optional.empty(),
            Optional.empty());
  }

  /** A port without options of its own. */
  static Output plain(
      PortKind kind, int port, String label, DeviceStart start, List<OutputSection> sections) {
    return new Output(
        kind,
        port,
        label,
        !sections.isEmpty(),
        start,
        0,
        Optional.empty(),
        Optional.empty(),
        PortOptions.NONE,
        sections);
  }

  static Output unused(PortKind kind, int port, String label) {
    return plain(kind, port, label, DeviceStart.NONE, List.of());
  }
}
