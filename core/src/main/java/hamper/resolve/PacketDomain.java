package hamper.resolve;

import hamper.display.Controller;

/**
 * Whom packets reach: controllers of one domain get the same ones. Unicast without an address meets
 * nobody.
 */
public final class PacketDomain {
  private PacketDomain() {}

  /** Equal for two controllers exactly when the same packets reach both. */
  public static String of(Controller controller) {
    String whom =
        switch (controller.transport()) {
          case MULTICAST, BROADCAST -> controller.transport().name();
          case UNICAST ->
              controller.address().map(address -> address.text()).orElse("#" + controller.id());
        };
    return controller.protocol() + " " + whom;
  }
}
