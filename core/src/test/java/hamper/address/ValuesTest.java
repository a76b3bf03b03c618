package hamper.address;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import hamper.value.RefusedException;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Values cannot be bad: what cannot be is refused with the value and what is allowed. */
class ValuesTest {
  @ParameterizedTest(name = "[{0}..{1}) and [{2}..{3}): {4}")
  @CsvSource({"1,4, 3,9, true", "1,4, 4,9, false", "1,9, 3,4, true", "5,6, 1,5, false"})
  void spansOverlapOnlyWhereAChannelIsShared(int s1, int e1, int s2, int e2, boolean expected) {
    ChannelSpan one = new ChannelSpan(s1, e1);
    ChannelSpan other = new ChannelSpan(s2, e2);
    assertThat(one.overlaps(other)).isEqualTo(expected);
    assertThat(other.overlaps(one)).isEqualTo(expected);
  }

  @Test
  void reservedStretchesThatTouchAreOne() {
    ReservedChannels reserved =
        ReservedChannels.of(
            List.of(new ChannelSpan(20, 30), new ChannelSpan(10, 20), new ChannelSpan(40, 50)));
    assertThat(reserved.firstTouching(new ChannelSpan(1, 11))).contains(new ChannelSpan(10, 30));
    assertThat(reserved.firstTouching(new ChannelSpan(30, 40))).isEmpty();
    assertThat(reserved.firstTouching(new ChannelSpan(29, 100))).contains(new ChannelSpan(10, 30));
    assertThat(reserved.firstTouching(new ChannelSpan(50, 51))).isEmpty();
  }

  @ParameterizedTest
  @ValueSource(strings = {"RG", "RGBX", "RRB", "", "RGBWRGBW"})
  void aColourOrderThatLosesAComponentIsRefused(String letters) {
    assertThatThrownBy(() -> new ColourOrder(letters))
        .isInstanceOf(RefusedException.class)
        .hasMessageContaining('"' + letters + '"')
        .hasMessageContaining("such as GRB");
  }

  @ParameterizedTest
  @ValueSource(strings = {"198.51.100", "198.51.100.256", "198.051.100.1", "a.b.c.d", ""})
  void anAddressWrittenDownWrongIsRefused(String text) {
    assertThatThrownBy(() -> new IpAddress(text))
        .isInstanceOf(RefusedException.class)
        .hasMessageContaining("0 to 255");
  }

  @Test
  void addressesSortAsNumbersAndNotAsText() {
    assertThat(new IpAddress("198.51.100.9")).isLessThan(new IpAddress("198.51.100.11"));
  }

  @ParameterizedTest(name = "Port-Address {0} = {1}.{2}.{3}")
  @CsvSource({"0,0,0,0", "15,0,0,15", "16,0,1,0", "256,1,0,0", "32767,127,15,15"})
  void aPortAddressHasItsThreeParts(int value, int net, int subNet, int universe) {
    PortAddress address = new PortAddress(value);
    assertThat(List.of(address.net(), address.subNet(), address.universe()))
        .containsExactly(net, subNet, universe);
  }

  @ParameterizedTest(name = "universe {0} is heard at {1}")
  @CsvSource({"1,239.255.0.1", "256,239.255.1.0", "63999,239.255.249.255"})
  void aUniverseHasItsGroup(int universe, String group) {
    assertThat(MulticastGroup.of(universe)).isEqualTo(group);
  }

  @Test
  void controllerChannelsAndSlotsAreTheSameThingTwice() {
    UniverseGrid grid = new UniverseGrid(12, 510);
    for (int channel = 1; channel < 3000; channel++) {
      assertThat(grid.controllerChannel(grid.at(channel))).isEqualTo(channel);
    }
    assertThat(grid.at(511)).hasToString("13:1");
  }
}
