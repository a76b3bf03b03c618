package hamper.config;

import hamper.address.ColourOrder;
import hamper.display.GridOrder;
import hamper.display.Panels;
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
    return new OutputSection(
        name,
        start,
        pixels,
        nullPixels,
        group,
        fold,
        backward,
        colourOrder,
        brightness,
        box,
        Optional.of(newMatrix),
        slot,
        slots,
        ledsPerPixel,
        threshold,
        safeOn);
  }

  OutputSection withSlots(int newSlot, int newSlots, Optional<Integer> newLedsPerPixel) {
    return new OutputSection(
        name,
        start,
        pixels,
        nullPixels,
        group,
        fold,
        backward,
        colourOrder,
        brightness,
        box,
        matrix,
        Optional.of(newSlot),
        Optional.of(newSlots),
        newLedsPerPixel,
        threshold,
        safeOn);
  }

  OutputSection withCircuit(int newThreshold, boolean newSafeOn) {
    return new OutputSection(
        name,
        start,
        pixels,
        nullPixels,
        group,
        fold,
        backward,
        colourOrder,
        brightness,
        box,
        matrix,
        slot,
        slots,
        ledsPerPixel,
        Optional.of(newThreshold),
        Optional.of(newSafeOn));
  }
}
