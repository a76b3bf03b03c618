package hamper.edit;

/**
 * What changes of a value, field by field: a record whose fields are called as those of the value,
 * each a {@link Change}, or an {@link java.util.Optional} of another such record where a value
 * stands within the value. A field of which nothing is said stays as it is.
 *
 * @param <T> the value
 */
public interface ChangeOf<T extends Record> {
  /**
   * The value afterwards.
   *
   * @throws hamper.value.RefusedException where that cannot be
   */
  default T over(T value) {
    return Fields.over(value, (Record) this);
  }
}
