package hamper.value;

import java.lang.reflect.Constructor;
import java.lang.reflect.InvocationTargetException;
import java.lang.reflect.RecordComponent;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.Collectors;

/**
 * A record's fields, so that a copy with one of them changed names that one and no other.
 *
 * @param places of the fields by name
 */
public record RecordShape(
    RecordComponent[] components, Map<String, Integer> places, Constructor<?> constructor) {
  private static final Map<Class<?>, RecordShape> SHAPES = new ConcurrentHashMap<>();

  public static RecordShape of(Class<?> type) {
    return SHAPES.computeIfAbsent(type, RecordShape::look);
  }

  /**
   * The same record with one field changed.
   *
   * @param field that the record has
   * @throws RefusedException where the record cannot be so
   */
  public static <T extends Record> T with(T record, String field, Object value) {
    RecordShape shape = of(record.getClass());
    Object[] values = shape.values(record);
    values[shape.places.get(field)] = value;
    return shape.make(values);
  }

  private static RecordShape look(Class<?> type) {
    RecordComponent[] components = type.getRecordComponents();
    Class<?>[] types =
        Arrays.stream(components).map(RecordComponent::getType).toArray(Class<?>[]::new);
    List<String> names = Arrays.stream(components).map(RecordComponent::getName).toList();
    try {
      return new RecordShape(
          components,
          names.stream().collect(Collectors.toMap(name -> name, names::indexOf)),
          type.getDeclaredConstructor(types));
    } catch (NoSuchMethodException e) {
      throw new IllegalStateException(e); // every record has it
    }
  }

  public Object value(Record of, int place) {
    try {
      return components[place].getAccessor().invoke(of);
    } catch (ReflectiveOperationException e) {
      throw new IllegalStateException(e); // records of the core are public
    }
  }

  public Object[] values(Record of) {
    Object[] values = new Object[components.length];
    Arrays.setAll(values, i -> value(of, i));
    return values;
  }

  /**
   * @param values of all fields, in their order
   * @throws RefusedException where the record cannot be so
   */
  @SuppressWarnings("unchecked") // of the type that the shape was looked up for
  public <T> T make(Object[] values) {
    try {
      return (T) constructor.newInstance(values);
    } catch (InvocationTargetException e) {
      throw e.getCause() instanceof RuntimeException told ? told : new IllegalStateException(e);
    } catch (ReflectiveOperationException e) {
      throw new IllegalStateException(e); // records of the core are public
    }
  }
}
