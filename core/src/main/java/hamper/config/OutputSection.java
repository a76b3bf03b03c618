package hamper.config;

import hamper.address.ColourOrder;
import hamper.display.GridOrder;
import hamper.display.Panels;
import java.util.Optional;

/**
 * What a device is told about one section, circuit or fixture. Options that its dialect lacks are
 * left out; where the plan asks for one of those, a {@link Untold} says so.
 *
 * @param name for people
 * @param start where the dialect has a start for each section
 * @param pixels that light; 1 for a circuit, the footprint for a fixture
 * @param nullPixels before them, gap included
 * @param matrix of a wall
 * @param slot a fixture's start slot, to be set at the fixture
 * @param threshold of a circuit
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
    Optional<Matrix> matrix,
    Optional<Integer> slot,
    Optional<Integer> threshold) {
  /**
   * A wall as a device is told it.
   *
   * @param width pixels across
   * @param height pixels down
   * @param order in which its pixels are addressed
   * @param panels where it is made of panels
   */
  public record Matrix(int width, int height, GridOrder order, Optional<Panels> panels) {}
}
