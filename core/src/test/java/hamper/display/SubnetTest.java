package hamper.display;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import hamper.address.IpAddress;
import hamper.value.RefusedException;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** An address in the wrong subnet is where people get stuck first. */
class SubnetTest {
  private static Subnet show(int prefix) {
    return new Subnet(
        "show",
        "Show",
        new IpAddress("198.51.100.0"),
        prefix,
        Optional.of(new IpAddress("198.51.100.100")),
        Optional.of(new IpAddress("198.51.100.199")));
  }

  @ParameterizedTest(name = "{0}/{1}: inside {2}, reserved {3}, given out {4}")
  @CsvSource({
    "198.51.100.1,   24, true,  false, false",
    "198.51.100.0,   24, true,  true,  false",
    "198.51.100.255, 24, true,  true,  false",
    "198.51.100.127, 25, true,  true,  true",
    "198.51.100.128, 25, false, false, true",
    "198.51.101.1,   24, false, false, false",
    "198.51.100.100, 24, true,  false, true",
    "198.51.100.199, 24, true,  false, true",
    "198.51.100.200, 24, true,  false, false",
  })
  void whichAddressesAreInsideReservedOrGivenOut(
      String address, int prefix, boolean inside, boolean reserved, boolean givenOut) {
    IpAddress ip = new IpAddress(address);
    assertThat(show(prefix).contains(ip)).isEqualTo(inside);
    assertThat(show(prefix).reserves(ip)).isEqualTo(reserved);
    assertThat(show(prefix).givesOut(ip)).isEqualTo(givenOut);
  }

  @ParameterizedTest
  @CsvSource({"24,255.255.255.0", "26,255.255.255.192", "8,255.0.0.0", "30,255.255.255.252"})
  void theMaskIsTheOneThatDevicesAskFor(int prefix, String mask) {
    Subnet subnet =
        new Subnet("s", "s", new IpAddress("10.0.0.0"), prefix, Optional.empty(), Optional.empty());
    assertThat(subnet.mask()).isEqualTo(new IpAddress(mask));
  }

  @Test
  void aNetworkAddressWithHostBitsAndHalfADhcpRangeAreRefused() {
    assertThatThrownBy(
            () ->
                new Subnet(
                    "s",
                    "s",
                    new IpAddress("198.51.100.5"),
                    24,
                    Optional.empty(),
                    Optional.empty()))
        .isInstanceOf(RefusedException.class)
        .hasMessageContaining("198.51.100.5/24")
        .hasMessageContaining("8 zero bits");
    assertThatThrownBy(
            () ->
                new Subnet(
                    "s",
                    "s",
                    new IpAddress("198.51.100.0"),
                    24,
                    Optional.of(new IpAddress("198.51.100.9")),
                    Optional.of(new IpAddress("198.51.100.8"))))
        .hasMessageContaining("the lower first");
  }
}
