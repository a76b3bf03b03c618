package hamper.display;

import hamper.catalog.PortKind;
import hamper.value.RecordShape;

/** What stands at slots of a DMX line, set at the device on a ladder: software never moves it. */
public sealed interface SlotPiece extends Piece permits Fixture, StripDecoder {
  /** Its start slot, 1..512. */
  int slot();

  /** Its footprint in slots. */
  int channels();

  /** Whether it would take a slot of another on one line. */
  default boolean meets(SlotPiece other) {
    return slot() < other.slot() + other.channels() && other.slot() < slot() + channels();
  }

  /** The same piece elsewhere on its line. */
  default SlotPiece withSlot(int slot) {
    return (SlotPiece) RecordShape.with((Record) this, "slot", slot);
  }

  @Override
  default PortKind portKind() {
    return PortKind.DMX;
  }
}
