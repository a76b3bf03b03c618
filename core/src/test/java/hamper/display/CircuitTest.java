package hamper.display;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import hamper.value.RefusedException;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** Times of a circuit fit each other. */
class CircuitTest {
  private static Circuit circuit(Optional<Double> shortest, Optional<Double> longest) {
    return new Circuit(
        "c",
        "winch",
        128,
        false,
        Optional.of(Hold.atChannel(7)),
        shortest,
        Optional.of(2.0),
        longest,
        Optional.of("winch"));
  }

  @Test
  void theLongestTimeOnIsNoShorterThanTheShortest() {
    assertThat(circuit(Optional.of(3.0), Optional.of(3.0)).interlock()).contains("winch");
    assertThatThrownBy(() -> circuit(Optional.of(3.0), Optional.of(2.5)))
        .isInstanceOf(RefusedException.class)
        .hasMessageContaining("longestOnSeconds")
        .hasMessageContaining("3.0");
    assertThatThrownBy(() -> circuit(Optional.of(0.0), Optional.empty()))
        .isInstanceOf(RefusedException.class);
  }

  @Test
  void lettingGoOfItsAddressKeepsEverythingElse() {
    Circuit held = circuit(Optional.of(1.0), Optional.of(9.0));
    assertThat(held.withoutHolds().hold()).isEmpty();
    assertThat(held.withoutHolds().withHold(held.hold())).isEqualTo(held);
  }
}
