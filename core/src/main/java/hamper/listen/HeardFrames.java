package hamper.listen;

import hamper.address.IpAddress;
import hamper.address.Protocol;
import hamper.display.Controller;
import hamper.facts.Facts;
import hamper.send.FrameLayout;
import hamper.send.FrameLayouts;
import hamper.wire.ArtNet;
import hamper.wire.Ddp;
import hamper.wire.E131;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * Levels of each controller as they were heard: of several sources of a universe the highest
 * priority counts, of equals the latest, as devices do.
 */
public final class HeardFrames implements Datagrams {
  /** A source that was silent for so long does not count any more (µs). */
  private static final long LOSS_MICROS = E131.LOSS_MILLIS * 1_000L;

  /** A universe of a controller, and where its levels lie in the frame. */
  private static final class Place {
    final String controller;
    final Controller settings;
    final byte[] frame;
    final int base;
    final int size;
    int priority;
    long last = Long.MIN_VALUE / 2;

    Place(String controller, Controller settings, byte[] frame, int base, int size) {
      this.controller = controller;
      this.settings = settings;
      this.frame = frame;
      this.base = base;
      this.size = size;
    }
  }

  private record Universe(Protocol protocol, int number) {}

  private record Sender(Universe universe, long from, long to) {}

  private final Map<String, byte[]> frames = new LinkedHashMap<>();
  private final Map<Universe, List<Place>> places = new HashMap<>();
  private final Set<String> heard = new HashSet<>();
  private final Set<Sender> inFrame = new HashSet<>();
  private long last = Long.MIN_VALUE;
  private long ended = Long.MIN_VALUE;

  public HeardFrames(Facts facts) {
    for (Map.Entry<String, FrameLayout> one : FrameLayouts.of(facts).entrySet()) {
      Controller controller = facts.plan().existingController(one.getKey());
      FrameLayout layout = one.getValue();
      byte[] frame = new byte[layout.length()];
      frames.put(one.getKey(), frame);
      Protocol protocol = controller.protocol();
      if (protocol == Protocol.DDP) {
        add(protocol, 0, new Place(controller.id(), controller, frame, 0, frame.length));
      }
      for (FrameLayout.Universe universe : layout.universes()) {
        add(
            protocol,
            universe.number(),
            new Place(controller.id(), controller, frame, universe.base(), universe.size()));
      }
    }
  }

  private void add(Protocol protocol, int universe, Place place) {
    places.computeIfAbsent(new Universe(protocol, universe), key -> new ArrayList<>()).add(place);
  }

  @Override
  public void take(
      long micros, long from, int fromPort, long to, int toPort, byte[] bytes, int length) {
    switch (toPort) {
      case E131.PORT -> {
        boolean levels =
            !E131.isExtended(bytes, length)
                && E131.refuseData(bytes, length, false) == null
                && E131.startCode(bytes) == 0
                && (E131.options(bytes) & (E131.PREVIEW | E131.TERMINATED)) == 0;
        if (levels) {
          put(
              micros,
              new Sender(new Universe(Protocol.E131, E131.universe(bytes)), from, to),
              E131.priority(bytes),
              bytes,
              E131.slotsAt(),
              0,
              E131.slots(bytes));
        }
      }
      case ArtNet.PORT -> {
        if (ArtNet.refuseDmx(bytes, length, false) == null) {
          put(
              micros,
              new Sender(new Universe(Protocol.ARTNET, ArtNet.portAddress(bytes)), from, to),
              0,
              bytes,
              ArtNet.slotsAt(),
              0,
              ArtNet.slots(bytes));
        }
      }
      case Ddp.PORT -> {
        boolean levels =
            Ddp.refuse(bytes, length, false) == null
                && !Ddp.is(bytes, Ddp.QUERY)
                && !Ddp.is(bytes, Ddp.REPLY)
                && Ddp.destination(bytes) != Ddp.STATUS
                && Ddp.destination(bytes) != Ddp.CONFIGURATION
                && Ddp.offset(bytes) < Integer.MAX_VALUE;
        if (levels) {
          int offset = (int) Ddp.offset(bytes);
          Sender sender = new Sender(new Universe(Protocol.DDP, 0), from, to);
          put(micros, sender, 0, bytes, Ddp.dataAt(bytes), offset, Ddp.length(bytes));
        }
      }
      default -> {
        // nothing of levels
      }
    }
  }

  private void put(
      long micros, Sender sender, int priority, byte[] bytes, int from, int offset, int count) {
    List<Place> here = places.get(sender.universe());
    boolean any = false;
    for (int i = 0; here != null && i < here.size(); i++) {
      Place place = here.get(i);
      if (!reaches(place, sender.to())) {
        continue;
      }
      any = true;
      if (priority >= place.priority || micros - place.last > LOSS_MICROS) {
        int fits = Math.min(count, place.size - offset);
        if (fits > 0) {
          System.arraycopy(bytes, from, place.frame, place.base + offset, fits);
        }
        place.priority = priority;
        place.last = micros;
        heard.add(place.controller);
      }
    }
    if (any) {
      follow(micros, offset == 0 ? sender : null);
    }
  }

  /** A frame ends where one of what was in it comes again. */
  private void follow(long micros, Sender sender) {
    if (sender != null && !inFrame.add(sender)) {
      ended = last;
      inFrame.clear();
      inFrame.add(sender);
    }
    last = micros;
  }

  private static boolean reaches(Place place, long to) {
    IpAddress address = IpAddress.ofBits(to);
    boolean one = Vantage.isOne(address);
    boolean standIn = to >> 24 == 127 && place.settings.protocol().usesUniverses();
    return !one || standIn || place.settings.address().equals(Optional.of(address));
  }

  /** The levels of each controller by its id, as they are now; written on as more is heard. */
  public Map<String, byte[]> frames() {
    return frames;
  }

  /** Controllers for which anything was heard. */
  public Set<String> heard() {
    return heard;
  }

  /** When the last whole frame ended (µs); {@link Long#MIN_VALUE} before the first. */
  public long ended() {
    return ended;
  }

  /** When levels were heard last (µs); {@link Long#MIN_VALUE} before the first. */
  public long last() {
    return last;
  }
}
