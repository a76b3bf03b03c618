package hamper.files;

import com.fasterxml.jackson.annotation.JsonCreator;
import com.fasterxml.jackson.annotation.JsonInclude;
import com.fasterxml.jackson.annotation.JsonSetter;
import com.fasterxml.jackson.annotation.JsonSubTypes;
import com.fasterxml.jackson.annotation.JsonTypeInfo;
import com.fasterxml.jackson.annotation.JsonValue;
import com.fasterxml.jackson.annotation.Nulls;
import hamper.address.ColourOrder;
import hamper.address.IpAddress;
import hamper.catalog.Gauge;
import hamper.display.Circuit;
import hamper.display.Conductor;
import hamper.display.Controller;
import hamper.display.ControllerSettings;
import hamper.display.Feed;
import hamper.display.Fixture;
import hamper.display.Leg;
import hamper.display.Piece;
import hamper.display.PixelString;
import hamper.display.PoweredInput;
import hamper.display.SerialDimmer;
import hamper.display.StripDecoder;
import hamper.display.Wall;
import hamper.edit.Change;
import hamper.edit.CircuitChange;
import hamper.edit.DecoderChange;
import hamper.edit.DimmerChange;
import hamper.edit.Edit;
import hamper.edit.FixtureChange;
import hamper.edit.PieceChange;
import hamper.edit.StringChange;
import hamper.edit.WallChange;
import java.util.List;
import tools.jackson.core.StreamReadFeature;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.MapperFeature;
import tools.jackson.databind.SerializationFeature;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.jsontype.NamedType;

/**
 * How the core's values are written as JSON, in files, in the log and over the API. The core itself
 * knows nothing of it.
 */
public final class Json {
  public static final JsonMapper MAPPER = configure(JsonMapper.builder()).build();

  private Json() {}

  /** Sets a builder up as everything here reads and writes. */
  public static JsonMapper.Builder configure(JsonMapper.Builder builder) {
    builder
        .enable(StreamReadFeature.STRICT_DUPLICATE_DETECTION)
        .enable(DeserializationFeature.FAIL_ON_UNKNOWN_PROPERTIES)
        .enable(DeserializationFeature.FAIL_ON_NULL_FOR_PRIMITIVES)
        .enable(DeserializationFeature.FAIL_ON_NULL_CREATOR_PROPERTIES)
        .disable(DeserializationFeature.ACCEPT_FLOAT_AS_INT)
        .disable(MapperFeature.ALLOW_COERCION_OF_SCALARS)
        .enable(SerializationFeature.ORDER_MAP_ENTRIES_BY_KEYS)
        .disable(MapperFeature.SORT_PROPERTIES_ALPHABETICALLY)
        .changeDefaultPropertyInclusion(
            include -> include.withValueInclusion(JsonInclude.Include.NON_ABSENT))
        .addMixIn(ColourOrder.class, ColourOrderText.class)
        .addMixIn(IpAddress.class, IpAddressText.class)
        .addMixIn(Gauge.class, GaugeText.class)
        .addMixIn(Leg.class, LegAdditions.class)
        .addMixIn(Controller.class, ControllerAdditions.class)
        .addMixIn(ControllerSettings.class, SettingsAdditions.class)
        .addMixIn(Piece.class, PieceKinds.class)
        .addMixIn(Edit.class, EditTypes.class)
        .addMixIn(PieceChange.class, PieceChangeKinds.class)
        .addModule(ChangeJson.module())
        .withConfigOverride(
            Change.class,
            change ->
                change.setInclude(
                    JsonInclude.Value.construct(
                        JsonInclude.Include.NON_EMPTY, JsonInclude.Include.ALWAYS)));
    for (Class<?> edit : Edit.kinds()) {
      builder.registerSubtypes(new NamedType(edit, edit.getSimpleName()));
    }
    return builder;
  }

  private abstract static class ColourOrderText {
    @JsonCreator(mode = JsonCreator.Mode.DELEGATING)
    ColourOrderText(String letters) {}

    @JsonValue
    abstract String letters();
  }

  private abstract static class IpAddressText {
    @JsonCreator(mode = JsonCreator.Mode.DELEGATING)
    IpAddressText(String text) {}

    @JsonValue
    abstract String text();
  }

  private abstract static class GaugeText {
    @JsonCreator(mode = JsonCreator.Mode.DELEGATING)
    GaugeText(String text) {}

    @JsonValue
    abstract String text();
  }

  // What was added to a value after the first version: the log keeps edits that know nothing of it.

  private interface LegAdditions {
    @JsonSetter(nulls = Nulls.AS_EMPTY)
    List<Conductor> cut();

    @JsonSetter(nulls = Nulls.AS_EMPTY)
    List<Feed> feeds();
  }

  private interface ControllerAdditions {
    @JsonSetter(nulls = Nulls.AS_EMPTY)
    List<PoweredInput> powered();
  }

  private interface SettingsAdditions {
    @JsonSetter(nulls = Nulls.AS_EMPTY)
    String note();
  }

  @JsonTypeInfo(use = JsonTypeInfo.Id.NAME, property = "kind")
  @JsonSubTypes({
    @JsonSubTypes.Type(value = PixelString.class, name = "string"),
    @JsonSubTypes.Type(value = Circuit.class, name = "circuit"),
    @JsonSubTypes.Type(value = Fixture.class, name = "fixture"),
    @JsonSubTypes.Type(value = StripDecoder.class, name = "decoder"),
    @JsonSubTypes.Type(value = SerialDimmer.class, name = "dimmer"),
    @JsonSubTypes.Type(value = Wall.class, name = "wall")
  })
  private interface PieceKinds {}

  @JsonTypeInfo(use = JsonTypeInfo.Id.NAME, property = "kind")
  @JsonSubTypes({
    @JsonSubTypes.Type(value = StringChange.class, name = "string"),
    @JsonSubTypes.Type(value = CircuitChange.class, name = "circuit"),
    @JsonSubTypes.Type(value = FixtureChange.class, name = "fixture"),
    @JsonSubTypes.Type(value = DecoderChange.class, name = "decoder"),
    @JsonSubTypes.Type(value = DimmerChange.class, name = "dimmer"),
    @JsonSubTypes.Type(value = WallChange.class, name = "wall")
  })
  private interface PieceChangeKinds {}

  @JsonTypeInfo(use = JsonTypeInfo.Id.NAME, property = "type")
  private interface EditTypes {}
}
