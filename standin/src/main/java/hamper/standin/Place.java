package hamper.standin;

import hamper.wire.ArtNet;
import hamper.wire.Ddp;
import hamper.wire.E131;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * Where a device is: its address, and the ports of its door and of its receivers. The ports are the
 * standard ones, but where a computer knows only one loopback address that all share.
 *
 * @param address four numbers
 * @param door TCP
 * @param e131 UDP
 * @param artNet UDP
 * @param ddp UDP
 */
public record Place(String address, int door, int e131, int artNet, int ddp) {
  /** TCP port of the HTTP door, where an address is its own. */
  public static final int DOOR = 8483;

  /** With an address of its own. */
  public static Place own(String address) {
    return new Place(address, DOOR, E131.PORT, ArtNet.PORT, Ddp.PORT);
  }

  /** One of those that share an address: whatever ports are free. */
  static Place shared(String address) {
    return new Place(address, 0, 0, 0, 0);
  }

  static Place read(JsonNode root) {
    return new Place(
        root.get("address").asString(),
        root.get("door").asInt(),
        root.get("e131").asInt(),
        root.get("artNet").asInt(),
        root.get("ddp").asInt());
  }

  ObjectNode json() {
    return Device.JSON
        .createObjectNode()
        .put("address", address)
        .put("door", door)
        .put("e131", e131)
        .put("artNet", artNet)
        .put("ddp", ddp);
  }

  /** A line of the table of ways: the address, and ports where they are not the standard ones. */
  @Override
  public String toString() {
    return equals(own(address))
        ? address
        : "%s door %d, E1.31 %d, Art-Net %d, DDP %d".formatted(address, door, e131, artNet, ddp);
  }
}
