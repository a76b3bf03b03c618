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
 * @param pixelType where the port carries pixels
 * @param colourOrder where the device takes one a port
 * @param brightness percent, where the device takes one a port
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
    Optional<ColourOrder> colourOrder,
    Optional<Integer> brightness,
    List<OutputSection> sections) {
  public Output {
    sections = List.copyOf(sections);
  }

  static Output unused(PortKind kind, int port, String label) {
    return new Output(
        kind,
        port,
        label,
        false,
        DeviceStart.NONE,
        0,
        Optional.empty(),
        Optional.empty(),
        Optional.empty(),
        List.of());
  }
}
