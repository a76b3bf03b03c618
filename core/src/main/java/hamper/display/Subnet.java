package hamper.display;

import hamper.address.IpAddress;
import hamper.value.Identified;
import hamper.value.Require;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * A subnet of the show network.
 *
 * @param network its first address
 * @param prefix bits of the network part, 8..30
 * @param dhcpFirst first address that is given out by itself, where any are
 * @param dhcpLast last one, included
 * @param multicast what its switches do with multicast, where somebody looked
 */
public record Subnet(
    String id,
    String name,
    IpAddress network,
    int prefix,
    Optional<IpAddress> dhcpFirst,
    Optional<IpAddress> dhcpLast,
    Optional<Multicast> multicast)
    implements Identified {
  /** What the switches of a subnet do with multicast. */
  public enum Multicast {
    /** It goes out of every port. */
    FLOODS("no snooping"),
    /** Nobody asks who listens, so that after some minutes nobody is known to. */
    UNASKED("snooping without a querier"),
    /** It goes where somebody listens. */
    ASKED("snooping with a querier");

    private final String title;

    Multicast(String title) {
      this.title = title;
    }

    /** As people say it. */
    public String title() {
      return title;
    }
  }

  /** As devices ask for it: 255.255.255.0 for a prefix of 24. */
  public IpAddress mask() {
    return IpAddress.ofBits(0xffff_ffffL << (32 - prefix) & 0xffff_ffffL);
  }

  /** Of switches that nobody told about. */
  public Subnet(
      String id,
      String name,
      IpAddress network,
      int prefix,
      Optional<IpAddress> dhcpFirst,
      Optional<IpAddress> dhcpLast) {
    this(id, name, network, prefix, dhcpFirst, dhcpLast, Optional.empty());
  }

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

  /**
   * The lowest addresses that no device has and DHCP does not give out; the very first one is left
   * to a router, where people look for it.
   */
  public List<IpAddress> free(Collection<IpAddress> taken, int most) {
    Set<Long> known = new HashSet<>();
    taken.forEach(address -> known.add(address.bits()));
    long dhcpEnd = dhcpLast.map(IpAddress::bits).orElse(-1L);
    long last = lastDevice().bits();
    List<IpAddress> free = new ArrayList<>();
    for (long bits = firstDevice().bits() + 1; bits <= last && free.size() < most; bits++) {
      IpAddress candidate = IpAddress.ofBits(bits);
      if (givesOut(candidate)) {
        bits = dhcpEnd;
      } else if (!known.contains(bits)) {
        free.add(candidate);
      }
    }
    return free;
  }

  private static long hosts(int prefix) {
    return (1L << 32 - prefix) - 1;
  }
}
