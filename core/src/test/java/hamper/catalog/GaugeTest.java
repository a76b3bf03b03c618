package hamper.catalog;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import hamper.value.RefusedException;
import org.junit.jupiter.api.Test;

/** A wire is as thick as it is printed on the cable, and stands what such a wire stands. */
class GaugeTest {
  @Test
  void aLoopIsTwiceTheLength() {
    assertThat(Gauge.awg(18).loopOhms(3)).isEqualTo(0.1257, within(1e-9));
    assertThat(new Gauge("0.75 mm²").loopOhms(1)).isEqualTo(0.045976, within(1e-6));
  }

  @Test
  void aWireBetweenTwoOfTheTableStandsWhatLiesBetween() {
    assertThat(Gauge.awg(20).mostAmps()).isEqualTo(7.5);
    assertThat(Gauge.awg(24).mostAmps()).isEqualTo(3);
    assertThat(new Gauge("0.75 mm²").mostAmps()).isBetween(7.5, 10.0);
    assertThat(new Gauge("0.1 mm²").mostAmps()).isBetween(1.0, 3.0);
    assertThat(new Gauge("4 mm²").mostAmps()).isGreaterThan(30);
  }

  @Test
  void moreCopperNeverStandsLess() {
    double before = 0;
    for (int area = 5; area < 600; area++) {
      double amps = Gauge.squareMillimetres(area / 100.0).mostAmps();
      assertThat(amps).as("%s", area / 100.0).isGreaterThan(before);
      before = amps;
    }
  }

  @Test
  void whatIsNoGaugeIsRefusedWithWhatIs() {
    for (String text : new String[] {"AWG 17", "18", "0.75", "thick mm²", "AWG x"}) {
      assertThatThrownBy(() -> new Gauge(text))
          .isInstanceOf(RefusedException.class)
          .hasMessageContaining("AWG")
          .hasMessageContaining("0.75 mm²");
    }
  }

  @Test
  void aCrossSectionThatNobodySellsIsRefusedWithWhatIsAllowed() {
    for (String text : new String[] {"1000 mm²", "-1 mm²", "0.01 mm²"}) {
      assertThatThrownBy(() -> new Gauge(text))
          .isInstanceOf(RefusedException.class)
          .hasMessageContaining("0.05");
    }
  }
}
