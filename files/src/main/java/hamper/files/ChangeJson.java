package hamper.files;

import hamper.edit.Change;
import tools.jackson.core.JsonGenerator;
import tools.jackson.core.JsonParser;
import tools.jackson.databind.BeanProperty;
import tools.jackson.databind.DeserializationContext;
import tools.jackson.databind.JavaType;
import tools.jackson.databind.SerializationContext;
import tools.jackson.databind.ValueDeserializer;
import tools.jackson.databind.ValueSerializer;
import tools.jackson.databind.module.SimpleModule;

/** A change as JSON: left out, it says nothing; null is none; anything else is the value. */
final class ChangeJson {
  private ChangeJson() {}

  static SimpleModule module() {
    return new SimpleModule("change")
        .addSerializer(new Writer())
        .addDeserializer(Change.class, new Reader(null));
  }

  private static final class Writer extends ValueSerializer<Change<?>> {
    @Override
    public Class<?> handledType() {
      return Change.class;
    }

    @Override
    public boolean isEmpty(SerializationContext context, Change<?> change) {
      return !change.said();
    }

    @Override
    public void serialize(Change<?> change, JsonGenerator out, SerializationContext context) {
      if (change.value().isPresent()) {
        context.writeValue(out, change.value().get());
      } else {
        out.writeNull();
      }
    }
  }

  private static final class Reader extends ValueDeserializer<Change<?>> {
    private final JavaType of;

    Reader(JavaType of) {
      this.of = of;
    }

    @Override
    public ValueDeserializer<?> createContextual(
        DeserializationContext context, BeanProperty property) {
      JavaType type = property == null ? context.getContextualType() : property.getType();
      return new Reader(type.containedTypeOrUnknown(0));
    }

    @Override
    public Change<?> deserialize(JsonParser in, DeserializationContext context) {
      Object value = context.readValue(in, of);
      return Change.to(value);
    }

    @Override
    public Object getNullValue(DeserializationContext context) {
      return Change.none();
    }

    @Override
    public Object getAbsentValue(DeserializationContext context) {
      return Change.stays();
    }
  }
}
