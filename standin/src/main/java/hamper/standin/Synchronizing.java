package hamper.standin;

import hamper.wire.E131;
import java.net.InetAddress;
import java.util.HashMap;
import java.util.HashSet;
import java.util.Map;
import java.util.Set;

/**
 * What waits for synchronization. On E1.31 a universe waits for the address that its packets name,
 * from the first packet for that address on; where those stop it goes on waiting, unless its
 * packets force otherwise. On Art-Net all wait while packets come. Source: E1.31,
 * "Synchronization"; Art-Net, ArtSync.
 */
final class Synchronizing {
  private static final long ART_MILLIS = 4_000;
  private static final int MOST_ADDRESSES = 1_000;

  private final Map<Integer, Long> heard = new HashMap<>();
  private final Map<Integer, Integer> addressOf = new HashMap<>();
  private final Set<Integer> named = new HashSet<>();
  private boolean artHeard;
  private long artLast;
  private InetAddress artSender;

  /** Whether data of a universe is held back. */
  boolean holds(int universe, byte[] packet, long now) {
    int address = E131.syncAddress(packet);
    addressOf.put(universe, address);
    if (address != 0 && named.size() < MOST_ADDRESSES) {
      named.add(address);
    }
    Long last = heard.get(address);
    boolean forced = (E131.options(packet) & E131.FORCE_SYNC) != 0;
    return address != 0 && last != null && (!forced || now - last <= E131.LOSS_MILLIS);
  }

  /** Universes that a synchronization packet lets go. */
  Set<Integer> release(int address, long now) {
    heard.put(address, now);
    Set<Integer> released = new HashSet<>();
    addressOf.forEach(
        (universe, waitsFor) -> {
          if (waitsFor == address) {
            released.add(universe);
          }
        });
    return released;
  }

  /** Addresses that packets have ever named: their groups are to be joined. */
  Set<Integer> addresses() {
    return named;
  }

  boolean artHolds(InetAddress sender, long now) {
    artSender = sender;
    return artHeard && now - artLast <= ART_MILLIS;
  }

  /** Whether an ArtSync counts: it has to be of whoever sends the data. */
  boolean artRelease(InetAddress sender, long now) {
    if (artSender != null && !artSender.equals(sender)) {
      return false;
    }
    artHeard = true;
    artLast = now;
    return true;
  }
}
