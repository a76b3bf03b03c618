package hamper.load;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;

class VoltsTest {
  @Test
  void whatIsTooLittleIsNeverToldAsEnough() {
    assertThat(Volts.known(4.2999)).isEqualTo(4.29);
    assertThat(Volts.known(4.3)).isEqualTo(4.3);
    assertThat(Volts.known(11.999_999_99)).as("a hair's breadth").isEqualTo(12.0);
    assertThat(Volts.told(4.2999)).isEqualTo("4.29 V");
    assertThat(Volts.needed(9.975)).isEqualTo("9.98 V");
    assertThat(Volts.needed(4.3)).isEqualTo("4.30 V");
    assertThat(Volts.needed(4.333)).as("what is enough, and no less").isEqualTo("4.34 V");
    assertThat(Volts.shown(4.2999)).isEqualTo("4.29 V");
    assertThat(Volts.shown(0)).isEqualTo("dark");
  }

  @Test
  void belowNothingItIsDark() {
    assertThat(Volts.known(-2.31)).isZero();
    assertThat(Volts.isDark(Volts.known(-2.31))).isTrue();
    assertThat(Volts.isDark(Volts.known(0.02))).isFalse();
  }
}
