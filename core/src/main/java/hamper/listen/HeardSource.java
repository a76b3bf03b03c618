package hamper.listen;

import hamper.address.IpAddress;
import java.util.List;

/**
 * A source of E1.31 that says which universes it sends.
 *
 * @param universes in ascending order
 */
public record HeardSource(IpAddress from, String name, List<Integer> universes) {
  public HeardSource {
    universes = List.copyOf(universes);
  }
}
