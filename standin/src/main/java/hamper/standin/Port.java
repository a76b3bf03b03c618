package hamper.standin;

/**
 * What one port gives out: a byte for each channel of each pixel as it is clocked, each slot of
 * what hangs on a line, each circuit.
 *
 * @param named kind and number, such as "PIXEL 4"
 * @param width bytes of one pixel; 1 where nothing is a pixel
 * @param places for each byte the place in the row of levels; {@link #DARK} or {@link Heard#DEAF}
 * @param percent for each byte what the device takes off itself; 100 where it does not
 * @param thresholds of circuits: on from there; empty elsewhere
 */
record Port(String named, int width, int[] places, byte[] percent, int[] thresholds) {
  /** What stands for a null pixel: it is clocked, and dark. */
  static final int DARK = -1;

  /** Nothing comes out of it. */
  static Port empty(String named) {
    return new Port(named, 1, new int[0], new byte[0], new int[0]);
  }

  /** What it shows now. Source: docs/formats/configuration.md, brightness: rounded half up. */
  byte[] shown(byte[] levels) {
    byte[] shown = new byte[places.length];
    for (int i = 0; i < places.length; i++) {
      int level = places[i] < 0 ? 0 : levels[places[i]] & 255;
      if (thresholds.length > 0) {
        shown[i] = (byte) (level >= thresholds[i] ? 255 : 0);
      } else {
        shown[i] = (byte) ((level * percent[i] + 50) / 100);
      }
    }
    return shown;
  }
}
