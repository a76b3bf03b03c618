package hamper.display;

import hamper.catalog.PortKind;
import hamper.value.Require;

/**
 * A port on a controller.
 *
 * @param controller its id
 * @param port its number, from 1
 */
public record PortRef(String controller, PortKind kind, int port) {
  public PortRef {
    Require.id("controller", controller);
    Require.inRange("port", port, 1, 1024);
  }

  /** As it is written on a cable tag: K1-7, K1-R3. */
  public String written(String tag) {
    return tag + "-" + kind.mark() + port;
  }
}
