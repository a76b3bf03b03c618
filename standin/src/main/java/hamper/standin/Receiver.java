package hamper.standin;

import hamper.wire.ArtNet;
import hamper.wire.Ddp;
import hamper.wire.E131;
import hamper.wire.Refusal;
import java.net.InetSocketAddress;
import java.util.HashMap;
import java.util.HashSet;
import java.util.Map;
import java.util.Set;

/**
 * Turns packets into levels: what is acted on at once, what waits for synchronization or a push.
 * One row of levels is filled as packets come, the other is what shines.
 */
final class Receiver {
  /** So long a source on Art-Net counts after its last packet. Source: Art-Net 4, merging. */
  private static final long ART_MERGE_MILLIS = 10_000;

  private static final int MOST_NUMBER = 255;
  private static final int MOST_DDP_NUMBER = 15;

  private final Heard heard;
  private final boolean artnet;
  private final boolean synchronizes;
  private final Counters counters;
  private final byte[] waiting;
  private final byte[] levels;
  private final Map<Integer, UniverseInput> inputs = new HashMap<>();
  private final Synchronizing synchronizing = new Synchronizing();
  private int lastDdp;
  private boolean anything;
  private long lastData;

  /**
   * @param artnet whether its document says Art-Net
   * @param synchronizes whether the model waits for synchronization packets
   */
  Receiver(Heard heard, boolean artnet, boolean synchronizes, Counters counters) {
    this.heard = heard;
    this.artnet = artnet;
    this.synchronizes = synchronizes;
    this.counters = counters;
    waiting = new byte[heard.length()];
    levels = new byte[heard.length()];
  }

  byte[] levels() {
    return levels;
  }

  /** Whether anything was taken yet. */
  boolean begun() {
    return anything;
  }

  /** Whether its source is silent for too long, having sent before. */
  boolean lost(long now) {
    return anything && now - lastData > E131.LOSS_MILLIS;
  }

  /** How many universes have two sources of which none comes first. */
  int quarrels(long now) {
    if (artnet) {
      return counters.shared(now, ART_MERGE_MILLIS);
    }
    return (int) inputs.values().stream().filter(input -> input.equals(now) > 1).count();
  }

  /** How many synchronization addresses it has met. */
  int met() {
    return synchronizing.addresses().size();
  }

  /** Universes whose groups it has to join: those of its data, and what synchronizes them. */
  Set<Integer> groups() {
    Set<Integer> groups = new HashSet<>(heard.universes());
    if (synchronizes) {
      groups.addAll(synchronizing.addresses());
    }
    return groups;
  }

  void e131(byte[] packet, int length, InetSocketAddress sender, long now) {
    if (E131.isExtended(packet, length)) {
      extended(packet, length, now);
      return;
    }
    Refusal why = E131.refuseData(packet, length, false);
    if (why != null) {
      counters.refuse(why);
      return;
    }
    int number = E131.universe(packet);
    int base = heard.ddp || artnet ? Heard.DEAF : heard.baseOf(number);
    Counters.Stream stream = counters.of(sender, Spoken.E131, number, now);
    stream.slots = E131.slots(packet);
    stream.priority = E131.priority(packet);
    if (base == Heard.DEAF) {
      counters.refuse("a universe that it does not listen to");
    } else if (E131.startCode(packet) != 0) {
      counters.refuse("another start code");
    } else if ((E131.options(packet) & E131.PREVIEW) != 0) {
      counters.refuse("a preview");
    } else {
      data(packet, base, stream, now);
    }
  }

  private void data(byte[] packet, int base, Counters.Stream stream, long now) {
    int universe = E131.universe(packet);
    UniverseInput input = inputs.computeIfAbsent(universe, number -> new UniverseInput());
    UniverseInput.Verdict verdict = input.take(packet, now);
    if (verdict != UniverseInput.Verdict.OUT_OF_ORDER) {
      stream.follows(E131.sequence(packet), 0, MOST_NUMBER);
    }
    switch (verdict) {
      case TAKEN -> {
        put(packet, E131.slotsAt(), E131.slots(packet), base, now);
        if (!synchronizes || !synchronizing.holds(universe, packet, now)) {
          act(base);
        }
      }
      case OUT_OF_ORDER -> {
        stream.sequenceErrors++;
        counters.refuse("out of order");
      }
      case OUTRANKED -> counters.refuse("a lower priority");
      case TOO_MANY -> counters.refuse("more sources than it can take");
      case ENDED -> {
        // the source is gone; what shone goes on until its loss counts, or another comes
      }
    }
  }

  private void extended(byte[] packet, int length, long now) {
    boolean discovery = E131.isDiscovery(packet, length);
    Refusal why =
        discovery
            ? E131.refuseDiscovery(packet, length, false)
            : E131.refuseSync(packet, length, false);
    if (why != null) {
      counters.refuse(why);
    } else if (!discovery && synchronizes) {
      synchronizing.release(E131.syncPacketAddress(packet), now).stream()
          .map(heard::baseOf)
          .forEach(this::act);
    }
  }

  void artNet(byte[] packet, int length, InetSocketAddress sender, long now) {
    if (ArtNet.is(packet, length) && ArtNet.opcode(packet) == ArtNet.SYNC) {
      sync(packet, length, sender, now);
      return;
    }
    Refusal why = ArtNet.refuseDmx(packet, length, false);
    if (why != null) {
      counters.refuse(why);
      return;
    }
    int number = ArtNet.portAddress(packet);
    Counters.Stream stream = counters.of(sender, Spoken.ARTNET, number, now);
    stream.slots = ArtNet.slots(packet);
    int base = artnet ? heard.baseOf(number) : Heard.DEAF;
    if (base == Heard.DEAF) {
      counters.refuse("a universe that it does not listen to");
      return;
    }
    if (ArtNet.sequence(packet) != 0) {
      stream.follows(ArtNet.sequence(packet), 1, MOST_NUMBER);
    }
    put(packet, ArtNet.slotsAt(), ArtNet.slots(packet), base, now);
    if (!synchronizes || !synchronizing.artHolds(sender.getAddress(), now)) {
      act(base);
    }
  }

  private void sync(byte[] packet, int length, InetSocketAddress sender, long now) {
    Refusal why = ArtNet.refuseSync(packet, length);
    if (why != null) {
      counters.refuse(why);
    } else if (artnet && synchronizes && synchronizing.artRelease(sender.getAddress(), now)) {
      System.arraycopy(waiting, 0, levels, 0, levels.length);
    }
  }

  void ddp(byte[] packet, int length, InetSocketAddress sender, long now) {
    Refusal why = Ddp.refuse(packet, length, false);
    if (why != null) {
      counters.refuse(why);
      return;
    }
    if (!heard.ddp || Ddp.is(packet, Ddp.QUERY) || Ddp.is(packet, Ddp.REPLY)) {
      counters.refuse("not for its outputs");
      return;
    }
    Counters.Stream stream = counters.of(sender, Spoken.DDP, 0, now);
    int sequence = Ddp.sequence(packet);
    if (sequence != 0 && sequence == lastDdp) {
      stream.sequenceErrors++;
      counters.refuse("the number of the packet before");
      return;
    }
    lastDdp = sequence;
    if (sequence != 0) {
      stream.follows(sequence, 1, MOST_DDP_NUMBER);
    }
    long offset = Ddp.offset(packet);
    if (offset + Ddp.length(packet) > waiting.length) {
      counters.refuse("beyond its buffer");
      return;
    }
    System.arraycopy(packet, Ddp.dataAt(packet), waiting, (int) offset, Ddp.length(packet));
    heard(now);
    if (Ddp.is(packet, Ddp.PUSH)) {
      stream.slots = (int) offset + Ddp.length(packet);
      System.arraycopy(waiting, 0, levels, 0, levels.length);
    }
  }

  private void heard(long now) {
    anything = true;
    lastData = now;
  }

  private void put(byte[] packet, int at, int slots, int base, long now) {
    System.arraycopy(packet, at, waiting, base, Math.min(slots, Heard.SLOTS));
    heard(now);
  }

  private void act(int base) {
    System.arraycopy(waiting, base, levels, base, Heard.SLOTS);
  }
}
