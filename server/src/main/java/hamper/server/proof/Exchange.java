package hamper.server.proof;

import hamper.server.output.Door;
import hamper.server.output.FrameSender;
import java.io.IOException;
import java.net.InetSocketAddress;
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

  /** Datagrams sent to each address, and how many of them it has counted. */
  private final Map<String, Long> sent = new HashMap<>();

  private final Map<String, Long> counted = new HashMap<>();
  private final Map<String, Long> lostThere = new HashMap<>();

  /** Addresses that never counted anything. */
  private final Set<String> silent = new HashSet<>();

  private long lost;

  Exchange(Door door, FrameSender sender) {
    this.door = door;
    this.sender = sender;
  }

  long sent() {
    return sent.values().stream().mapToLong(Long::longValue).sum();
  }

  long lost() {
    return lost;
  }

  long sentTo(String address) {
    return sent.getOrDefault(address, 0L);
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
    String address = receiver.getAddress().getHostAddress();
    long all = sent.merge(address, 1L, Long::sum);
    if (all - counted.getOrDefault(address, 0L) >= AHEAD) {
      await(address);
    }
  }

  private boolean awaitAll() throws IOException {
    boolean arrived = true;
    for (String address : sent.keySet()) {
      arrived &= await(address);
    }
    return arrived;
  }

  /** Whether all that was sent to an address has arrived; what has not is lost. */
  private boolean await(String address) throws IOException {
    if (silent.contains(address)) {
      return true;
    }
    long wanted = sent.get(address);
    long until = System.nanoTime() + PATIENCE_NANOS;
    long here = counted.getOrDefault(address, 0L);
    while (here < wanted && System.nanoTime() < until) {
      here = ask(address) + lostAt(address);
      counted.put(address, here);
    }
    if (here < wanted) {
      long missing = wanted - here;
      lost += missing;
      if (here == 0) {
        silent.add(address); // nobody is there; the others need not wait for it again
      }
      lostThere.merge(address, missing, Long::sum);
      counted.put(address, wanted);
      return false;
    }
    return true;
  }

  private long lostAt(String address) {
    return lostThere.getOrDefault(address, 0L);
  }

  private long ask(String address) throws IOException {
    try {
      return door.get(address, "counters").body().path("packets").asLong(0);
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      throw new IOException("It was stopped", e);
    }
  }
}
