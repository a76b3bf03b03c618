package hamper.server.proof;

import hamper.server.output.Door;
import hamper.server.output.FrameSender;
import hamper.standin.Place;
import java.io.IOException;
import java.net.InetSocketAddress;
import java.util.Collection;
import java.util.HashMap;
import java.util.HashSet;
import java.util.Map;
import java.util.Set;

/**
 * Frames that arrive: never more than 64 datagrams ahead of what a stand-in has counted, and a
 * frame of which something did not arrive is sent again.
 */
final class Exchange {
  private static final int AHEAD = 64;
  private static final int TRIES = 4;
  private static final long PATIENCE_NANOS = 1_000_000_000L;

  private final Door door;
  private final FrameSender sender;

  private final Map<InetSocketAddress, Place> places = new HashMap<>();

  /** Datagrams sent to each place, and how many of them it has counted. */
  private final Map<Place, Long> sent = new HashMap<>();

  private final Map<Place, Long> counted = new HashMap<>();
  private final Map<Place, Long> lostThere = new HashMap<>();

  /** Addresses that never counted anything. */
  private final Set<Place> silent = new HashSet<>();

  private long lost;

  Exchange(Door door, FrameSender sender, Collection<Place> all) {
    for (Place place : all) {
      for (int port : new int[] {place.e131(), place.artNet(), place.ddp()}) {
        places.put(new InetSocketAddress(place.address(), port), place);
      }
    }
    this.door = door;
    this.sender = sender;
  }

  long sent() {
    return sent.values().stream().mapToLong(Long::longValue).sum();
  }

  long lost() {
    return lost;
  }

  long sentTo(Place place) {
    return sent.getOrDefault(place, 0L);
  }

  /**
   * Sends one frame until all of it has arrived; after some tries it goes on, and says what is
   * lost.
   */
  void frame() throws IOException, InterruptedException {
    for (int i = 0; i < TRIES; i++) {
      sender.sendAll(this::left);
      if (!awaitAll()) {
        continue;
      }
      return;
    }
  }

  private void left(InetSocketAddress receiver) throws IOException {
    Place place = places.get(receiver);
    long all = sent.merge(place, 1L, Long::sum);
    if (all - counted.getOrDefault(place, 0L) >= AHEAD) {
      await(place);
    }
  }

  private boolean awaitAll() throws IOException {
    boolean arrived = true;
    for (Place place : sent.keySet()) {
      arrived &= await(place);
    }
    return arrived;
  }

  /** Whether all that was sent to an place has arrived; what has not is lost. */
  private boolean await(Place place) throws IOException {
    if (silent.contains(place)) {
      return true;
    }
    long wanted = sent.get(place);
    long until = System.nanoTime() + PATIENCE_NANOS;
    long here = counted.getOrDefault(place, 0L);
    while (here < wanted && System.nanoTime() < until) {
      here = ask(place) + lostAt(place);
      counted.put(place, here);
    }
    if (here < wanted) {
      long missing = wanted - here;
      lost += missing;
      if (here == 0) {
        silent.add(place); // nobody is there; the others need not wait for it again
      }
      lostThere.merge(place, missing, Long::sum);
      counted.put(place, wanted);
      return false;
    }
    return true;
  }

  private long lostAt(Place place) {
    return lostThere.getOrDefault(place, 0L);
  }

  private long ask(Place place) throws IOException {
    try {
      return door.get(place, "counters").body().path("packets").asLong(0);
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      throw new IOException("It was stopped", e);
    }
  }
}
