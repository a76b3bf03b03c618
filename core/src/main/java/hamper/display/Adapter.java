package hamper.display;

import hamper.address.IpAddress;
import hamper.value.Require;

/** A network adapter of a host. */
public record Adapter(String name, IpAddress address) {
  public Adapter {
    Require.name("name", name);
  }
}
