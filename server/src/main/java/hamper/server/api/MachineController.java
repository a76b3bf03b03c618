package hamper.server.api;

import hamper.address.IpAddress;
import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.tags.Tag;
import java.net.Inet4Address;
import java.net.InterfaceAddress;
import java.net.NetworkInterface;
import java.net.SocketException;
import java.util.List;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** What is known of the machine that Hamper runs on. */
@RestController
@RequestMapping("/api/machine")
@Tag(name = "machine")
class MachineController {
  /**
   * One IPv4 address of one network adapter.
   *
   * @param prefix bits of the network part
   * @param loopback whether it only reaches the machine itself
   */
  record MachineAdapter(String name, IpAddress address, int prefix, boolean up, boolean loopback) {}

  @GetMapping("/adapters")
  @Operation(summary = "The network adapters of the machine that Hamper runs on")
  List<MachineAdapter> adapters() throws SocketException {
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
}
