package hamper.server.output;

import hamper.address.IpAddress;
import java.net.Inet4Address;
import java.net.InterfaceAddress;
import java.net.NetworkInterface;
import java.net.SocketException;
import java.util.List;

/**
 * One IPv4 address of one network adapter of this computer.
 *
 * @param prefix bits of the network part
 * @param loopback whether it only reaches the machine itself
 */
public record MachineAdapter(
    String name, IpAddress address, int prefix, boolean up, boolean loopback) {
  private static final int BITS = 32;

  public static List<MachineAdapter> all() throws SocketException {
    return NetworkInterface.networkInterfaces()
        .flatMap(
            adapter ->
                adapter.getInterfaceAddresses().stream()
                    .filter(at -> at.getAddress() instanceof Inet4Address)
                    .map(at -> of(adapter, at)))
        .toList();
  }

  private static MachineAdapter of(NetworkInterface adapter, InterfaceAddress at) {
    return new MachineAdapter(
        adapter.getDisplayName(),
        new IpAddress(at.getAddress().getHostAddress()),
        at.getNetworkPrefixLength(),
        isUp(adapter),
        at.getAddress().isLoopbackAddress());
  }

  private static boolean isUp(NetworkInterface adapter) {
    try {
      return adapter.isUp();
    } catch (SocketException e) {
      return false; // it has gone since it was listed
    }
  }

  /** Whether a device can have an address of its subnet: not its first or last, nor its own. */
  public boolean reaches(IpAddress device) {
    long host = hostBits();
    long bits = device.bits();
    return (bits & ~host) == (address.bits() & ~host)
        && (bits & host) != 0
        && (bits & host) != host
        && !device.equals(address);
  }

  /** The address that all of its subnet hear. */
  public IpAddress broadcast() {
    return IpAddress.ofBits(address.bits() | hostBits());
  }

  private long hostBits() {
    return (1L << BITS - prefix) - 1;
  }
}
