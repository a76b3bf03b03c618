package hamper.server.api;

import com.fasterxml.jackson.databind.JavaType;
import hamper.edit.Change;
import io.swagger.v3.core.converter.AnnotatedType;
import io.swagger.v3.core.converter.ModelConverter;
import io.swagger.v3.core.converter.ModelConverterContext;
import io.swagger.v3.core.util.Json;
import io.swagger.v3.oas.models.media.Schema;
import java.util.Iterator;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import org.springframework.stereotype.Component;

/** Tells the OpenAPI document that a change is its value, or null where there is to be none. */
@Component
class ChangeSchemas implements ModelConverter {
  private static final String NULL = "null";

  @Override
  public Schema<?> resolve(
      AnnotatedType type, ModelConverterContext context, Iterator<ModelConverter> chain) {
    JavaType java = Json.mapper().constructType(type.getType());
    if (java != null && java.getRawClass() == Change.class) {
      Schema<?> value =
          context.resolve(new AnnotatedType(java.containedType(0)).resolveAsRef(true));
      return orNull(value);
    }
    return chain.hasNext() ? chain.next().resolve(type, context, chain) : null;
  }

  private static Schema<?> orNull(Schema<?> value) {
    if (value.get$ref() != null) {
      return new Schema<>().anyOf(List.of(value, new Schema<>().types(Set.of(NULL))));
    }
    Set<String> types = new LinkedHashSet<>();
    if (value.getTypes() != null) {
      types.addAll(value.getTypes());
    } else if (value.getType() != null) {
      types.add(value.getType());
    }
    types.add(NULL);
    value.setTypes(types);
    if (value.getEnum() != null) {
      value.addEnumItemObject(null);
    }
    return value;
  }
}
