package hamper.standin;

import java.util.Arrays;

/**
 * What one port gives out: a byte for each channel of each pixel as it is clocked, each slot of
 * what hangs on a line, each circuit.
 *
 * @param named kind and number, such as "PIXEL 4"
 * @param width bytes of one pixel; 1 where nothing is a pixel
 * @param places for each byte the place in the row of levels; {@link #DARK} or {@link Heard#DEAF}
 * @param percent for each byte what the device takes off itself; 100 where it does not
 * @param circuits what its circuits do; none elsewhere
 * @param line of a DMX line the places of all its slots; empty elsewhere
 */
record Port(String named, int width, int[] places, byte[] percent, Circuits circuits, int[] line) {
  /** What stands for a null pixel: it is clocked, and dark. */
  static final int DARK = -1;

  private static final byte FULL = (byte) 255;

  /** What a device plays that has a show of its own and no source: all at a third. */
  private static final byte STORED = 85;

  /**
   * @param thresholds on from there
   * @param safeOn whether each rests switched on
   */
  record Circuits(int[] thresholds, boolean[] safeOn) {
    static final Circuits NONE = new Circuits(new int[0], new boolean[0]);
  }

  /** Nothing comes out of it. */
  static Port empty(String named) {
    return new Port(named, 1, new int[0], new byte[0], Circuits.NONE, new int[0]);
  }

  /** What it shows now. Source: docs/formats/configuration.md, brightness: rounded half up. */
  byte[] shown(byte[] levels) {
    byte[] shown = new byte[places.length];
    for (int i = 0; i < places.length; i++) {
      int level = places[i] < 0 ? 0 : levels[places[i]] & 255;
      if (circuits.thresholds().length > 0) {
        shown[i] = level >= circuits.thresholds()[i] ? FULL : 0;
      } else {
        shown[i] = (byte) ((level * percent[i] + 50) / 100);
      }
    }
    return shown;
  }

  /** Lights out, a circuit as it rests. */
  byte[] safe() {
    byte[] shown = new byte[places.length];
    for (int i = 0; i < circuits.safeOn().length; i++) {
      shown[i] = circuits.safeOn()[i] ? FULL : 0;
    }
    return shown;
  }

  /** A show of its own; circuits stay as they rest. */
  byte[] stored() {
    return circuits.safeOn().length > 0 ? safe() : all(STORED);
  }

  /** The device's own test: everything full, whatever brightness it was told. */
  byte[] tested() {
    return all(FULL);
  }

  private byte[] all(byte level) {
    byte[] shown = new byte[places.length];
    Arrays.fill(shown, level);
    return shown;
  }
}
