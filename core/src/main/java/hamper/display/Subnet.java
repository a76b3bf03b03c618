package hamper.display;

import hamper.address.IpAddress;
import hamper.value.Require;
import java.util.Optional;

/**
 * A subnet of the show network.
 *
 * @param network its first address
 * @param prefix bits of the network part, 8..30
 * @param dhcpFirst first address that is given out by itself, where any are
 * @param dhcpLast last one, included
 */
public record Subnet(
    String id,
    String name,
    IpAddress network,
    int prefix,
    Optional<IpAddress> dhcpFirst,
    Optional<IpAddress> dhcpLast) {
  public Subnet {
    Require.id("id", id);
    Require.name("name", name);
    Require.inRange("prefix", prefix, 8, 30);
    Require.that(
        (network.bits() & hosts(prefix)) == 0,
        "network",
        network + "/" + prefix,
        "the address of a network ends in %d zero bits".formatted(32 - prefix));
    Require.that(
        dhcpFirst.isPresent() == dhcpLast.isPresent()
            && dhcpFirst.map(first -> first.compareTo(dhcpLast.get()) <= 0).orElse(true),
        "dhcpFirst",
        dhcpFirst.map(Object::toString).orElse("nothing"),
        "name both ends of the DHCP range, the lower first");
  }

  /** The lowest address that a device may have. */
  public IpAddress firstDevice() {
    return IpAddress.ofBits(network.bits() + 1);
  }

  /** The highest address that a device may have. */
  public IpAddress lastDevice() {
    return IpAddress.ofBits(network.bits() + hosts(prefix) - 1);
  }

  public boolean contains(IpAddress address) {
    return (address.bits() & ~hosts(prefix)) == network.bits();
  }

  /** Whether it is the network's own address or its broadcast address, which no device may have. */
  public boolean reserves(IpAddress address) {
    long host = address.bits() & hosts(prefix);
    return contains(address) && (host == 0 || host == hosts(prefix));
  }

  public boolean givesOut(IpAddress address) {
    return dhcpFirst.isPresent()
        && address.compareTo(dhcpFirst.get()) >= 0
        && address.compareTo(dhcpLast.orElseThrow()) <= 0;
  }

  private static long hosts(int prefix) {
    return (1L << 32 - prefix) - 1;
  }
}
