package hamper.guide;

import hamper.address.ColourOrder;
import hamper.value.RecordShape;
import java.util.Optional;

/**
 * Something that a device was told otherwise than planned, for one string; all else as planned.
 *
 * @param order in which it sends bytes
 * @param nulls before the first pixel of the string, its gap counted
 * @param ungrouped whether it knows no groups
 * @param turned whether it takes all sections along the wire, or, where they do, all against it
 * @param unfolded whether it knows no folds
 * @param undimmed whether it takes nothing off
 * @param size of its universes
 * @param deaf whether it does not hear its last universe
 * @param channels of a pixel
 */
public record Supposition(
    Optional<ColourOrder> order,
    Optional<Integer> nulls,
    boolean ungrouped,
    boolean turned,
    boolean unfolded,
    boolean undimmed,
    Optional<Integer> size,
    boolean deaf,
    Optional<Integer> channels) {
  static final Supposition AS_PLANNED =
      new Supposition(
          Optional.empty(),
          Optional.empty(),
          false,
          false,
          false,
          false,
          Optional.empty(),
          false,
          Optional.empty());

  static Supposition order(ColourOrder told) {
    return with("order", Optional.of(told));
  }

  static Supposition nulls(int told) {
    return with("nulls", Optional.of(told));
  }

  static Supposition size(int told) {
    return with("size", Optional.of(told));
  }

  static Supposition channels(int told) {
    return with("channels", Optional.of(told));
  }

  /** One of those that are forgotten or not. */
  static Supposition that(String forgotten) {
    return with(forgotten, true);
  }

  /** All that it was told is gone: it does what its maker set. */
  static Supposition lost(ColourOrder order, Optional<Integer> nulls, boolean turned) {
    return new Supposition(
        Optional.of(order),
        nulls,
        true,
        turned,
        true,
        true,
        Optional.empty(),
        false,
        Optional.empty());
  }

  private static Supposition with(String field, Object value) {
    return RecordShape.with(AS_PLANNED, field, value);
  }
}
