package hamper.edit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import hamper.address.Protocol;
import hamper.display.ControllerSettings;
import hamper.display.Piece;
import hamper.display.Section;
import hamper.value.RefusedException;
import java.lang.reflect.ParameterizedType;
import java.lang.reflect.RecordComponent;
import java.lang.reflect.Type;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/**
 * Changes and the values that they change go together by name and type; nothing else holds them
 * together.
 */
class ChangesTest {
  private static final Map<Class<?>, Class<?>> BOXES =
      Map.of(int.class, Integer.class, boolean.class, Boolean.class, double.class, Double.class);

  static Stream<Class<?>> changes() {
    return Stream.concat(
        Arrays.stream(PieceChange.class.getPermittedSubclasses()),
        Stream.of(
            AdapterChange.class,
            ControllerChange.class,
            DisplaySettingsChange.class,
            FeedChange.class,
            GridOrderChange.class,
            LegChange.class,
            MainsChange.class,
            PanelsChange.class,
            PropChange.class,
            ResolutionChange.class,
            RunChange.class,
            SectionChange.class,
            SendingChange.class,
            SettingsChange.class,
            SizeChange.class,
            SubnetChange.class,
            SupplyChange.class,
            WiringChange.class,
            ZoneChange.class));
  }

  /** What a change changes. */
  private static Class<?> valueOf(Class<?> change) {
    Optional<Class<? extends Piece>> piece =
        PieceChange.KINDS.entrySet().stream()
            .filter(kind -> kind.getValue() == change)
            .<Class<? extends Piece>>map(Map.Entry::getKey)
            .findFirst();
    if (piece.isPresent()) {
      return piece.get();
    }
    return Arrays.stream(change.getGenericInterfaces())
        .map(ParameterizedType.class::cast)
        .map(one -> (Class<?>) one.getActualTypeArguments()[0])
        .findFirst()
        .orElseThrow();
  }

  @ParameterizedTest
  @MethodSource("changes")
  void everyFieldOfAChangeIsAFieldOfItsValueAndHoldsTheSame(Class<?> change) {
    Map<String, RecordComponent> fields =
        Arrays.stream(valueOf(change).getRecordComponents())
            .collect(Collectors.toMap(RecordComponent::getName, field -> field));
    for (RecordComponent said : change.getRecordComponents()) {
      if (said.getName().equals("wires")) {
        continue; // what nobody entered is usual, so a string has wires all the same
      }
      RecordComponent field = fields.get(said.getName());
      assertThat(field).as("%s.%s", change.getSimpleName(), said.getName()).isNotNull();
      Type inner = ((ParameterizedType) said.getGenericType()).getActualTypeArguments()[0];
      Type held = heldIn(field.getGenericType());
      if (said.getType() == Change.class) {
        assertThat(inner).as(field.getName()).isEqualTo(held);
      } else {
        assertThat(valueOf((Class<?>) inner)).as(field.getName()).isEqualTo(held);
      }
    }
  }

  /** Optional or not, and boxed. */
  private static Type heldIn(Type type) {
    if (type instanceof ParameterizedType generic && generic.getRawType() == Optional.class) {
      return generic.getActualTypeArguments()[0];
    }
    return type instanceof Class<?> plain ? BOXES.getOrDefault(plain, plain) : type;
  }

  @Test
  void whatIsNotSaidStays() {
    Section section =
        Section.of(50).withBrightness(Optional.of(40)).withNullPixels(2).withBackward(true);
    SectionChange longer = Fields.between(SectionChange.class, section, section.withPixels(60));
    assertThat(Fields.said(longer)).containsExactly(new Fields.Said("pixels", Optional.of(60)));
    assertThat(longer.over(section)).isEqualTo(section.withPixels(60));
    assertThat(longer.over(Section.of(3))).isEqualTo(Section.of(60));
  }

  @Test
  void noneIsSaidOfAFieldThatMayBeEmptyAndRefusedOfOneThatMayNot() {
    Section section = Section.of(50).withBrightness(Optional.of(40));
    SectionChange none = Fields.between(SectionChange.class, section, Section.of(50));
    assertThat(none.over(section).brightness()).isEmpty();
    SectionChange noPixels =
        new SectionChange(
            Change.none(),
            Change.stays(),
            Change.stays(),
            Change.stays(),
            Change.stays(),
            Change.stays(),
            Change.stays(),
            Change.stays());
    assertThatThrownBy(() -> noPixels.over(section))
        .isInstanceOf(RefusedException.class)
        .hasMessageContaining("pixels")
        .hasMessageContaining("it always has a value");
  }

  @Test
  void aValueThatCannotBeIsRefusedAsEverywhere() {
    Section section = Section.of(50);
    SectionChange change = Fields.between(SectionChange.class, section, section.withNullPixels(7));
    assertThat(change.over(section).nullPixels()).isEqualTo(7);
    ControllerSettings settings = ControllerSettings.of(Protocol.E131);
    SettingsChange tooBright = Fields.only(SettingsChange.class, "brightness", Change.to(101));
    assertThatThrownBy(() -> tooBright.over(settings))
        .isInstanceOf(RefusedException.class)
        .hasMessageContaining("allowed is 0 to 100");
    assertThat(Fields.said(tooBright))
        .isEqualTo(List.of(new Fields.Said("brightness", Optional.of(101))));
  }
}
