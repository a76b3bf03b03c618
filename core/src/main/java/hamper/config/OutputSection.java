package hamper.config;

import hamper.address.ColourOrder;
import java.util.Optional;

/**
 * What a device is told about one section, circuit or fixture. Options that its dialect lacks are
 * left out; where the plan asks for one of those, a {@link Untold} says so.
 *
 * @param name for people
 * @param start where the dialect has a start for each section
 * @param pixels that light; 1 for a circuit, the footprint for a fixture
 * @param nullPixels before them, gap included
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
    Optional<Integer> slot,
    Optional<Integer> threshold) {}
