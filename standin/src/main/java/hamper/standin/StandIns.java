package hamper.standin;

import java.io.IOException;
import java.net.BindException;
import java.net.DatagramSocket;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.nio.ByteBuffer;
import java.nio.channels.DatagramChannel;
import java.nio.channels.Selector;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.function.Function;
import java.util.stream.Collectors;

/**
 * Stand-ins for the devices of a display, each on an address of its own with the standard UDP
 * ports. One thread receives for all.
 */
public final class StandIns implements AutoCloseable {
  /** Second bytes of 127.x.0.0/16 that are tried, so that several displays stand side by side. */
  private static final int FIRST_BLOCK = 83;

  private static final int LAST_BLOCK = 250;
  private static final int A_ROW = 250;
  private static final int MOST = A_ROW * 250;
  private static final int DOOR_THREADS = 4;

  private final Clock clock;
  private final Function<Integer, Place> places;
  private final Map<String, Stand> stands = new LinkedHashMap<>();
  private final ExecutorService answering =
      Executors.newFixedThreadPool(DOOR_THREADS, StandIns::daemon);
  private final Selector selector;
  private final Thread receiving;
  private volatile boolean closed;

  /** How many addresses were given out. */
  private int given;

  private StandIns(Clock clock, Function<Integer, Place> places) throws IOException {
    this.clock = clock;
    this.places = places;
    selector = Selector.open();
    receiving = new Thread(this::receive, "stand-ins");
    receiving.setDaemon(true);
  }

  private static Thread daemon(Runnable work) {
    Thread thread = new Thread(work, "stand-in door");
    thread.setDaemon(true);
    return thread;
  }

  /**
   * Starts one for each seat, each on a loopback address of its own; where this computer knows only
   * 127.0.0.1, they share that, with ports of their own.
   *
   * @throws IOException where no block of loopback addresses is free
   */
  public static StandIns start(List<Seat> seats, Clock clock) throws IOException {
    IOException taken = null;
    for (int block = FIRST_BLOCK; block <= LAST_BLOCK; block++) {
      String first = "127." + block;
      try {
        return started(new StandIns(clock, i -> placeOf(first, i)), seats);
      } catch (BindException e) {
        taken = e;
      }
    }
    if (!knows("127." + FIRST_BLOCK + ".0.1")) {
      return startSharing(seats, clock);
    }
    throw new IOException(
        "All addresses from 127.%d.0.1 to 127.%d.0.1 are taken".formatted(FIRST_BLOCK, LAST_BLOCK),
        taken);
  }

  private static Place placeOf(String block, int seat) {
    return Place.own("%s.%d.%d".formatted(block, seat / A_ROW, seat % A_ROW + 1));
  }

  /**
   * Where stand-ins of a display are that were started just now and alone.
   *
   * @return by the id of the controller
   */
  public static Map<String, Place> usualPlaces(List<Seat> seats) {
    Map<String, Place> places = new LinkedHashMap<>();
    for (int i = 0; i < seats.size(); i++) {
      places.put(seats.get(i).controller(), placeOf("127." + FIRST_BLOCK, i));
    }
    return places;
  }

  /** Whether this computer has an address. */
  private static boolean knows(String address) {
    try (DatagramSocket probe = new DatagramSocket(0, InetAddress.getByName(address))) {
      return probe.isBound();
    } catch (IOException e) {
      return false;
    }
  }

  /** Starts one for each seat, all on 127.0.0.1. */
  public static StandIns startSharing(List<Seat> seats, Clock clock) throws IOException {
    return started(new StandIns(clock, i -> Place.shared("127.0.0.1")), seats);
  }

  /**
   * Starts one for each seat on an address of this computer, such as the plan's own: for a network
   * that is there to be tried.
   *
   * @param addresses by the id of the controller
   */
  public static StandIns startOn(List<Seat> seats, Map<String, String> addresses, Clock clock)
      throws IOException {
    List<Place> inOrder =
        seats.stream().map(seat -> Place.own(addresses.get(seat.controller()))).toList();
    return started(new StandIns(clock, inOrder::get), seats);
  }

  private static StandIns started(StandIns all, List<Seat> seats) throws IOException {
    try {
      all.seat(seats);
      all.receiving.start();
      return all;
    } catch (IOException | RuntimeException e) {
      all.close();
      throw e;
    }
  }

  /**
   * Seats stand-ins anew: who sits already stays as he is, who is not named goes.
   *
   * @return where each controller's stand-in is, by the controller's id
   */
  public synchronized Map<String, Place> seat(List<Seat> seats) throws IOException {
    Set<Seat> named = Set.copyOf(seats);
    for (Stand old : List.copyOf(stands.values())) {
      if (!named.contains(old.device().seat())) {
        stands.remove(old.device().seat().controller()).close();
      }
    }
    for (Seat seat : seats) {
      if (!stands.containsKey(seat.controller())) {
        if (given == MOST) {
          throw new IOException("There is room for %d stand-ins".formatted(MOST));
        }
        Place wanted = places.apply(given);
        Device device = new Device(seat, wanted.address(), clock);
        Stand stand = new Stand(device, wanted, selector, answering);
        given++;
        stands.put(seat.controller(), stand);
        stand.open();
      }
    }
    return places();
  }

  /** Where each controller's stand-in is, by the controller's id. */
  public synchronized Map<String, Place> places() {
    return stands.entrySet().stream()
        .collect(
            Collectors.toMap(
                Map.Entry::getKey, one -> one.getValue().place(), (a, b) -> a, LinkedHashMap::new));
  }

  private void receive() {
    ByteBuffer buffer = ByteBuffer.allocate(65_536);
    while (!closed) {
      try {
        selector.select(
            key -> {
              try {
                drain((DatagramChannel) key.channel(), (Stand.Arrival) key.attachment(), buffer);
              } catch (IOException | RuntimeException e) {
                // a channel that is being closed; the others go on
                key.cancel();
              }
            });
      } catch (IOException e) {
        return;
      }
    }
  }

  private static void drain(DatagramChannel channel, Stand.Arrival arrival, ByteBuffer buffer)
      throws IOException {
    for (int i = 0; i < 64; i++) {
      buffer.clear();
      InetSocketAddress sender = (InetSocketAddress) channel.receive(buffer);
      if (sender == null) {
        return;
      }
      arrival.take(buffer.array(), buffer.position(), sender);
    }
  }

  @Override
  public void close() {
    closed = true;
    selector.wakeup();
    stands.values().forEach(Stand::close);
    answering.shutdownNow();
    try {
      receiving.join(1000);
      selector.close();
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
    } catch (IOException e) {
      // nothing is left to do with it
    }
  }
}
