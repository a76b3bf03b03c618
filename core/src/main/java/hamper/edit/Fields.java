package hamper.edit;

import hamper.value.RecordShape;
import hamper.value.RefusedException;
import java.lang.reflect.ParameterizedType;
import java.lang.reflect.RecordComponent;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * Changes and the records that they change, matched by the names of their fields: so a field that
 * can be changed is named in two places, in the value and in its change, and nowhere a third time.
 */
final class Fields {
  /**
   * One thing that is said.
   *
   * @param name of the field, such as brightness
   * @param value none: it is to have none
   */
  record Said(String name, Optional<?> value) {}

  private Fields() {}

  /**
   * A record with what is said of it.
   *
   * @throws RefusedException where the record cannot be so
   */
  static <T extends Record> T over(T value, Record change) {
    RecordShape from = RecordShape.of(change.getClass());
    RecordShape shape = RecordShape.of(value.getClass());
    Object[] fields = shape.values(value);
    for (int i = 0; i < fields.length; i++) {
      Integer place = from.places().get(shape.components()[i].getName());
      if (place != null) {
        fields[i] = over(shape.components()[i].getName(), fields[i], from.value(change, place));
      }
    }
    return shape.make(fields);
  }

  private static Object over(String field, Object now, Object said) {
    if (said instanceof Change<?> change) {
      return over(field, now, change);
    }
    Record inner = (Record) ((Optional<?>) said).orElse(null);
    if (inner == null) {
      return now;
    }
    return now instanceof Optional<?> optional
        ? Optional.of(over((Record) there(field, optional), inner))
        : over((Record) now, inner);
  }

  private static Object there(String field, Optional<?> now) {
    return now.orElseThrow(
        () -> new RefusedException(field, "nothing", "there is none of which this could change"));
  }

  @SuppressWarnings("unchecked") // fields of one name hold one type: ChangesTest goes over them all
  private static Object over(String field, Object now, Change<?> change) {
    return now instanceof Optional<?> optional
        ? ((Change<Object>) change).over((Optional<Object>) optional)
        : ((Change<Object>) change).over(field, now);
  }

  /**
   * What is to be said to make one record of another; of fields that a change does not know nothing
   * is said.
   */
  static <C extends Record> C between(Class<C> change, Record before, Record after) {
    Map<String, Integer> known = RecordShape.of(before.getClass()).places();
    RecordShape shape = RecordShape.of(change);
    Object[] fields = new Object[shape.components().length];
    for (int i = 0; i < fields.length; i++) {
      RecordComponent component = shape.components()[i];
      boolean isChange = component.getType() == Change.class;
      fields[i] = isChange ? Change.stays() : Optional.empty();
      if (known.containsKey(component.getName())) {
        Object was = field(before, component.getName());
        Object is = field(after, component.getName());
        if (!was.equals(is)) {
          fields[i] = isChange ? to(is) : Optional.of(within(component, was, is));
        }
      }
    }
    return shape.make(fields);
  }

  /** A change that says one thing and nothing else. */
  static <C extends Record> C only(Class<C> change, String field, Change<?> said) {
    RecordShape shape = RecordShape.of(change);
    Object[] fields = new Object[shape.components().length];
    for (int i = 0; i < fields.length; i++) {
      boolean isChange = shape.components()[i].getType() == Change.class;
      fields[i] = isChange ? Change.stays() : Optional.empty();
    }
    fields[shape.places().get(field)] = said;
    return shape.make(fields);
  }

  private static Change<?> to(Object value) {
    return value instanceof Optional<?> optional ? Change.to(optional) : Change.to(value);
  }

  private static Record within(RecordComponent component, Object was, Object is) {
    ParameterizedType type = (ParameterizedType) component.getGenericType();
    Class<? extends Record> inner =
        ((Class<?>) type.getActualTypeArguments()[0]).asSubclass(Record.class);
    return between(inner, inside(was), inside(is));
  }

  private static Record inside(Object value) {
    return (Record) (value instanceof Optional<?> optional ? optional.orElseThrow() : value);
  }

  private static Object field(Record value, String name) {
    RecordShape shape = RecordShape.of(value.getClass());
    return shape.value(value, shape.places().get(name));
  }

  /** All that is said, in the order of the fields; what is said within one stands in its place. */
  static List<Said> said(Record change) {
    List<Said> said = new ArrayList<>();
    RecordShape shape = RecordShape.of(change.getClass());
    for (int i = 0; i < shape.components().length; i++) {
      Object value = shape.value(change, i);
      if (value instanceof Change<?> one && one.said()) {
        said.add(new Said(shape.components()[i].getName(), one.value()));
      } else if (value instanceof Optional<?> inner && inner.isPresent()) {
        said.addAll(said((Record) inner.get()));
      }
    }
    return said;
  }
}
