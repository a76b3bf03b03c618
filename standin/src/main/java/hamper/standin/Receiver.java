package hamper.standin;

import hamper.wire.ArtNet;
import hamper.wire.Ddp;
import hamper.wire.E131;
import hamper.wire.Refusal;
import java.util.HashMap;
import java.util.Map;

/**
 * Turns packets into levels: what is acted on at once, what waits for synchronization or a push.
 * One row of levels is filled as packets come, the other is what shines.
 */
final class Receiver {
  private final Heard heard;
  private final boolean artnet;
  private final boolean synchronizes;
  private final Counters counters;
  private final byte[] waiting;
  private final byte[] levels;
  private final Map<Integer, UniverseInput> inputs = new HashMap<>();
  private final Map<Integer, Integer> artSequences = new HashMap<>();

  /** When the last synchronization packet came; 0 before the first. */
  private long lastSync;

  private int lastDdp;

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

  /** How many universes have two sources of equal priority. */
  int quarrels(long now) {
    return (int) inputs.values().stream().filter(input -> input.equals(now) > 1).count();
  }

  void e131(byte[] packet, int length, String sender, long now) {
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
    Counters.Stream stream = counters.of(sender, number, now);
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
    UniverseInput input =
        inputs.computeIfAbsent(E131.universe(packet), number -> new UniverseInput());
    switch (input.take(packet, now)) {
      case TAKEN -> {
        put(packet, E131.slotsAt(), E131.slots(packet), base);
        boolean waits = E131.syncAddress(packet) != 0 && isSynchronized(now);
        if (!waits) {
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
        // the source is gone; what shone goes on until another comes
      }
    }
  }

  /** It holds data back only after the first synchronization packet, and while they come. */
  private boolean isSynchronized(long now) {
    return synchronizes && lastSync > 0 && now - lastSync <= E131.LOSS_MILLIS;
  }

  private void extended(byte[] packet, int length, long now) {
    boolean discovery = E131.isDiscovery(packet, length);
    Refusal why =
        discovery
            ? E131.refuseDiscovery(packet, length, false)
            : E131.refuseSync(packet, length, false);
    if (why != null) {
      counters.refuse(why);
    } else if (!discovery) {
      release(now);
    }
  }

  private void release(long now) {
    lastSync = Math.max(1, now);
    System.arraycopy(waiting, 0, levels, 0, levels.length);
  }

  void artNet(byte[] packet, int length, String sender, long now) {
    if (ArtNet.is(packet, length) && ArtNet.opcode(packet) == ArtNet.SYNC) {
      Refusal why = ArtNet.refuseSync(packet, length);
      if (why != null) {
        counters.refuse(why);
      } else if (artnet) {
        release(now);
      }
      return;
    }
    Refusal why = ArtNet.refuseDmx(packet, length, false);
    if (why != null) {
      counters.refuse(why);
      return;
    }
    int number = ArtNet.portAddress(packet);
    Counters.Stream stream = counters.of(sender, number, now);
    int base = artnet ? heard.baseOf(number) : Heard.DEAF;
    if (base == Heard.DEAF) {
      counters.refuse("a universe that it does not listen to");
      return;
    }
    int sequence = ArtNet.sequence(packet);
    Integer last = artSequences.put(number, sequence);
    if (last != null && sequence != 0 && last != 0 && last == sequence) {
      stream.sequenceErrors++;
    }
    put(packet, ArtNet.slotsAt(), ArtNet.slots(packet), base);
    if (!isSynchronized(now)) {
      act(base);
    }
  }

  void ddp(byte[] packet, int length, String sender, long now) {
    Refusal why = Ddp.refuse(packet, length, false);
    if (why != null) {
      counters.refuse(why);
      return;
    }
    if (!heard.ddp || Ddp.is(packet, Ddp.QUERY) || Ddp.is(packet, Ddp.REPLY)) {
      counters.refuse("not for its outputs");
      return;
    }
    Counters.Stream stream = counters.of(sender, 0, now);
    int sequence = Ddp.sequence(packet);
    if (sequence != 0 && sequence == lastDdp) {
      stream.sequenceErrors++;
      counters.refuse("the number of the packet before");
      return;
    }
    lastDdp = sequence;
    long offset = Ddp.offset(packet);
    if (offset + Ddp.length(packet) > waiting.length) {
      counters.refuse("beyond its buffer");
      return;
    }
    System.arraycopy(packet, Ddp.dataAt(packet), waiting, (int) offset, Ddp.length(packet));
    if (Ddp.is(packet, Ddp.PUSH)) {
      System.arraycopy(waiting, 0, levels, 0, levels.length);
    }
  }

  private void put(byte[] packet, int at, int slots, int base) {
    System.arraycopy(packet, at, waiting, base, Math.min(slots, Heard.SLOTS));
  }

  private void act(int base) {
    System.arraycopy(waiting, base, levels, base, Heard.SLOTS);
  }
}
