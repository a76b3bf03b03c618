package hamper.config;

import hamper.address.ColourOrder;
import hamper.display.GridOrder;
import hamper.display.Panels;
import hamper.value.RecordShape;
import java.util.Optional;

/**
 * What a device is told about one section, circuit, fixture, decoder or wall. Options that its
 * dialect lacks, or takes once a port, are left out; where the plan asks for what it lacks, an
 * {@link Untold} says so.
 *
 * @param name for people
 * @param start where the dialect has a start for each section
 * @param pixels that light: of a string, a decoder or a wall; 1 for a circuit, 0 for a fixture
 * @param nullPixels before them, gap included
 * @param box the remote box that it hangs on, from 1, where the port has boxes
 * @param matrix of a wall
 * @param slot the start slot of a fixture or decoder, to be set there
 * @param slots that a fixture or decoder takes
 * @param ledsPerPixel of a decoder
 * @param threshold of a circuit: from this level on it is on
 * @param safeOn of a circuit: whether it is on where levels fail
 */
public record OutputSection(
    String name,
    DeviceStart start,
    int pixels,
    Optional<Integer> nullPixels,
    Optional<Integer> group,
    Optional<Integer> fold,
    Optional<Boolean> backward,
    Optional<ColourOrder> colourOrder,
    Optional<Integer> brightness,
    Optional<Integer> box,
    Optional<Matrix> matrix,
    Optional<Integer> slot,
    Optional<Integer> slots,
    Optional<Integer> ledsPerPixel,
    Optional<Integer> threshold,
    Optional<Boolean> safeOn) {
  /**
   * A wall as a device is told it.
   *
   * @param width pixels across
   * @param height pixels down
   * @param order in which its pixels are addressed
   * @param panels where it is made of panels
   */
  public record Matrix(int width, int height, GridOrder order, Optional<Panels> panels) {}

  /** Something that is no string of pixels. */
  static OutputSection plain(String name, DeviceStart start, int pixels) {
    return new OutputSection(
        name,
        start,
        pixels,
        Optional.empty(),
        Optional.empty(),
        Optional.empty(),
        Optional.empty(),
        Optional.empty(),
        Optional.empty(),
        Optional.empty(),
        Optional.empty(),
        Optional.empty(),
        Optional.empty(),
        Optional.empty(),
        Optional.empty(),
        Optional.empty());
  }

  OutputSection withMatrix(Matrix newMatrix) {
    return with("matrix", newMatrix);
  }

  OutputSection withSlots(int newSlot, int newSlots, Optional<Integer> newLedsPerPixel) {
    return RecordShape.with(
        with("slot", newSlot).with("slots", newSlots), "ledsPerPixel", newLedsPerPixel);
  }

  OutputSection withCircuit(int newThreshold, boolean newSafeOn) {
    return with("threshold", newThreshold).with("safeOn", newSafeOn);
  }

  private OutputSection with(String field, Object value) {
    return RecordShape.with(this, field, Optional.of(value));
  }
}
