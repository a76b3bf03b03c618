package hamper.catalog;

import hamper.value.Require;

/**
 * Ports in banks: each bank goes through one cable to remote boxes, chained one after another. All
 * boxes of a chain have the same ports, and share their pixel limit and their frame.
 *
 * @param ports of one bank, and so sockets of one box
 * @param mostBoxes in one chain
 * @param cableMetres most cable from the controller to the last box (m)
 */
public record Banks(int ports, int mostBoxes, double cableMetres) {
  public Banks {
    Require.inRange("ports", ports, 1, 64);
    Require.inRange("mostBoxes", mostBoxes, 1, 26);
    Require.inRange("cableMetres", cableMetres, 0, 1000);
  }

  /** The bank of a port, from 1. */
  public int bankOf(int port) {
    return (port - 1) / ports + 1;
  }

  /** The socket that a port has on each box of its chain, from 1. */
  public int socketOf(int port) {
    return (port - 1) % ports + 1;
  }

  /** How the crew reads a box: A is the first of a chain, B the second. */
  public static String letter(int box) {
    return String.valueOf((char) ('A' + box - 1));
  }
}
