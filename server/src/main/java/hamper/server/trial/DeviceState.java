package hamper.server.trial;

import hamper.catalog.PortKind;
import hamper.display.PortRef;
import java.util.Base64;
import java.util.LinkedHashMap;
import java.util.Map;
import tools.jackson.databind.JsonNode;

/** What a device says that its ports show: docs/formats/giving.md, "State". */
final class DeviceState {
  private DeviceState() {}

  /**
   * Bytes as they are clocked, by port.
   *
   * @param controller the id of the one whose device it is
   */
  static Map<PortRef, byte[]> ports(String controller, JsonNode state) {
    Map<PortRef, byte[]> ports = new LinkedHashMap<>();
    for (JsonNode port : state.path("ports")) {
      String[] name = port.get("port").asString().split(" ");
      PortRef ref = new PortRef(controller, PortKind.valueOf(name[0]), Integer.parseInt(name[1]));
      ports.put(ref, Base64.getDecoder().decode(port.get("shown").asString()));
    }
    return ports;
  }
}
