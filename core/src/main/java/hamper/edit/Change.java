package hamper.edit;

import hamper.value.RefusedException;
import java.util.Optional;

/**
 * What an edit says of one field: nothing, so that it stays as it is; a value; or that it has none
 * any more.
 *
 * @param said whether anything is said
 * @param value empty where nothing is said, or where the field is to have none
 */
public record Change<T>(boolean said, Optional<T> value) {
  private static final Change<?> STAYS = new Change<>(false, Optional.empty());
  private static final Change<?> NONE = new Change<>(true, Optional.empty());

  @SuppressWarnings("unchecked") // it has no value of any type
  public static <T> Change<T> stays() {
    return (Change<T>) STAYS;
  }

  @SuppressWarnings("unchecked") // it has no value of any type
  public static <T> Change<T> none() {
    return (Change<T>) NONE;
  }

  public static <T> Change<T> to(T value) {
    return new Change<>(true, Optional.of(value));
  }

  /** A value, or none. */
  public static <T> Change<T> to(Optional<T> value) {
    return new Change<>(true, value);
  }

  /** A field that may be empty, after this. */
  public Optional<T> over(Optional<T> now) {
    return said ? value : now;
  }

  /**
   * A field that always has a value, after this.
   *
   * @throws RefusedException where it is to have none
   */
  public T over(String field, T now) {
    if (!said) {
      return now;
    }
    return value.orElseThrow(
        () ->
            new RefusedException(field, "null", "it always has a value; give one or leave it out"));
  }
}
