package hamper.display;

import hamper.catalog.PortKind;

/** What can hang on a port. It hangs at most once. */
public sealed interface Piece permits PixelString, Circuit, SlotPiece, Wall, SerialDimmer {
  String id();

  String name();

  /** The kind of port it hangs on. */
  PortKind portKind();

  /** The same piece without an address that it keeps. */
  default Piece withoutHolds() {
    return this;
  }
}
