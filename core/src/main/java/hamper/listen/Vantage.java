package hamper.listen;

import hamper.address.IpAddress;
import java.util.Collection;
import java.util.HashSet;
import java.util.List;
import java.util.Set;

/**
 * From where it was listened. What goes to one address of the network passes nobody else behind a
 * switch; groups and broadcasts come to all who want them.
 *
 * @param own addresses of the computer that listened
 * @param everything whether all of the cable was heard, as at a mirrored port
 */
public record Vantage(Set<IpAddress> own, boolean everything) {
  private static final long FIRST_GROUP = 224L << 24;

  public Vantage {
    own = Set.copyOf(own);
  }

  /** A computer that listens by itself. */
  public static Vantage at(Collection<IpAddress> own) {
    return new Vantage(Set.copyOf(own), false);
  }

  /**
   * Where a capture was made, by what is in it: where one address has a part in all that goes from
   * one to one, it was made there; where there is none in common, all of the cable was heard.
   */
  public static Vantage of(List<HeardStream> streams) {
    Set<IpAddress> common = null;
    for (HeardStream one : streams) {
      if (isOne(one.to())) {
        Set<IpAddress> ends = new HashSet<>(Set.of(one.from()));
        ends.add(one.to());
        if (common == null) {
          common = ends;
        } else {
          common.retainAll(ends);
        }
      }
    }
    if (common == null) {
      return new Vantage(Set.of(), false);
    }
    return new Vantage(common, common.isEmpty());
  }

  /** Whether an address is that of one device, as far as it shows. */
  public static boolean isOne(IpAddress address) {
    long bits = address.bits();
    return bits < FIRST_GROUP && (bits & 255) != 255;
  }

  /** Whether what goes from one to one would be heard. */
  boolean hears(Set<IpAddress> senders, IpAddress to) {
    return everything || own.contains(to) || senders.stream().anyMatch(own::contains);
  }
}
