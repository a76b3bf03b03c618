package hamper.send;

import hamper.display.PortRef;

/** One thing to be lit. A spot has a name of each kind; what is one of its names hits it. */
public sealed interface Target {
  record OfZone(String zone) implements Target {}

  record OfProp(String prop) implements Target {}

  record OfPiece(String piece) implements Target {}

  /**
   * @param section of the string, from 1
   */
  record OfSection(String piece, int section) implements Target {}

  /** All that hangs on a controller. */
  record OfController(String controller) implements Target {}

  record OfPort(PortRef port) implements Target {}
}
