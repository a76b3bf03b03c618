package hamper.address;

import java.util.Locale;

/** How packets reach a controller. */
public enum Transport {
  /** To the controller's own address. */
  UNICAST,
  /** To the E1.31 group of each universe: everybody who joined hears it. */
  MULTICAST,
  /** To everybody on the subnet. */
  BROADCAST;

  /** As people say it. */
  public String title() {
    return name().toLowerCase(Locale.ROOT);
  }
}
