package hamper.display;

import hamper.catalog.PortKind;

/** What stands at slots of a DMX line, set at the device on a ladder: software never moves it. */
public sealed interface SlotPiece extends Piece permits Fixture, StripDecoder {
  /** Its start slot, 1..512. */
  int slot();

  /** Its footprint in slots. */
  int channels();

  @Override
  default PortKind portKind() {
    return PortKind.DMX;
  }
}
