package hamper.value;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import org.junit.jupiter.api.Test;

/** A list by id keeps its order, finds at once, and says what is not there. */
class ListedTest {
  private record Thing(String id, int size) implements Identified {}

  private static final Thing A = new Thing("a", 1);
  private static final Thing B = new Thing("b", 2);
  private static final Listed<Thing> LISTED = new Listed<>("thing", List.of(A, B));

  @Test
  void thingsAreFoundByTheirIds() {
    assertThat(LISTED.find("b")).contains(B);
    assertThat(LISTED.place("b")).contains(1);
    assertThat(LISTED.find("c")).isEmpty();
    assertThat(LISTED.existing("a")).isEqualTo(A);
  }

  @Test
  void changesKeepTheOrder() {
    assertThat(LISTED.changing(List.of("b", "a", "b"), one -> new Thing(one.id(), one.size() + 10)))
        .containsExactly(new Thing("a", 11), new Thing("b", 12));
    Thing c = new Thing("c", 3);
    assertThat(LISTED.adding(List.of(c))).containsExactly(A, B, c);
    assertThat(LISTED.putting(List.of(c, new Thing("a", 9))))
        .containsExactly(new Thing("a", 9), B, c);
    assertThat(LISTED.without(List.of("a"))).containsExactly(B);
  }

  @Test
  void whatIsNotThereOrThereAlreadyIsRefusedByItsName() {
    assertThatThrownBy(() -> LISTED.existing("x"))
        .hasMessageContaining("no thing of this display has this id");
    assertThatThrownBy(() -> LISTED.changing(List.of("x"), one -> one))
        .isInstanceOf(RefusedException.class);
    assertThatThrownBy(() -> LISTED.without(List.of("a", "x")))
        .isInstanceOf(RefusedException.class);
    assertThatThrownBy(() -> LISTED.adding(List.of(new Thing("b", 0))))
        .hasMessageContaining("a thing has this id already");
  }
}
