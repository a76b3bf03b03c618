package hamper.display;

import hamper.catalog.PortKind;
import hamper.value.Require;

/**
 * A pack of dimmed circuits on a serial line of a host, told apart by its unit number. The host
 * drives it; it takes no channels of the display.
 *
 * @param unit set at the device, 1..255; a number that the line does not allow is found
 * @param circuits from 1
 */
public record SerialDimmer(String id, String name, int unit, int circuits) implements Piece {
  /** Highest unit number that the line can call. */
  public static final int HIGHEST_UNIT = 120;

  public SerialDimmer {
    Require.id("id", id);
    Require.name("name", name);
    Require.inRange("unit", unit, 1, 255);
    Require.inRange("circuits", circuits, 1, 64);
  }

  @Override
  public PortKind portKind() {
    return PortKind.SERIAL;
  }
}
