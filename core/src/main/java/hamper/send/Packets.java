package hamper.send;

import hamper.address.Protocol;
import hamper.config.SendLine;
import hamper.wire.ArtNet;
import hamper.wire.Ddp;
import hamper.wire.E131;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/**
 * The packets of one controller, laid out once: headers stand ready, and for a frame only levels
 * and sequence numbers are written, without allocation.
 */
public final class Packets {
  /**
   * One packet.
   *
   * @param universe that it carries; 0 on DDP
   * @param line of the send list that it belongs to
   * @param size bytes of it that are sent
   */
  public record Packet(
      Protocol protocol,
      int universe,
      SendLine line,
      byte[] bytes,
      int size,
      int from,
      int levels,
      int slotsAt) {
    /** Whether a frame has other levels than the packet has now. */
    private boolean differs(byte[] frame) {
      return !Arrays.equals(frame, from, from + levels, bytes, slotsAt, slotsAt + levels);
    }

    private void fill(byte[] frame, int sequence) {
      System.arraycopy(frame, from, bytes, slotsAt, levels);
      switch (protocol) {
        case E131 -> E131.setSequence(bytes, sequence);
        case ARTNET -> ArtNet.setSequence(bytes, sequence);
        case DDP -> Ddp.setSequence(bytes, sequence);
        default -> throw new IllegalStateException("Nothing is sent on " + protocol);
      }
    }
  }

  private final List<Packet> packets = new ArrayList<>();

  private final Sequences sequences;

  /** The last number of a DDP device. */
  private int last;

  private final boolean ddp;

  private Packets(FrameLayout layout, Source source, Sequences sequences) {
    this.sequences = sequences;
    ddp = layout.universes().isEmpty();
    if (ddp) {
      layout.lines().forEach(this::bytes);
    } else {
      layout.universes().stream()
          .filter(FrameLayout.Universe::own)
          .forEach(universe -> add(universe, source));
    }
  }

  /**
   * Who sends.
   *
   * @param cid 16 bytes, the same over its life
   * @param name at most 63 bytes of UTF-8
   */
  public record Source(byte[] cid, String name) {}

  /**
   * @param sequences of the source, shared by all that it sends to
   */
  public static Packets of(FrameLayout layout, Source source, Sequences sequences) {
    return new Packets(layout, source, sequences);
  }

  private void add(FrameLayout.Universe universe, Source source) {
    SendLine line = universe.line();
    int slots = line.fullUniverses() ? E131.MOST_SLOTS : universe.size();
    boolean artnet = line.protocol() == Protocol.ARTNET;
    byte[] bytes = new byte[artnet ? ArtNet.dmxSize(slots) : E131.dataSize(slots)];
    if (artnet) {
      ArtNet.writeDmx(bytes, universe.number(), 0, 0, slots);
    } else {
      int sync = line.synchronization().orElse(0);
      int priority = line.priority().orElseThrow();
      var stream = new E131.Stream(source.cid(), source.name(), universe.number(), priority, sync);
      E131.writeData(bytes, stream, 0, 0, 0, slots);
    }
    int at = artnet ? ArtNet.slotsAt() : E131.slotsAt();
    packets.add(
        new Packet(
            line.protocol(),
            universe.number(),
            line,
            bytes,
            bytes.length,
            universe.base(),
            universe.size(),
            at));
  }

  private void bytes(SendLine line) {
    int count = Ddp.packets(line.size());
    for (int i = 0; i < count; i++) {
      int from = i * Ddp.MOST_DATA;
      int data = Math.min(Ddp.MOST_DATA, line.size() - from);
      byte[] bytes = new byte[Ddp.size(data)];
      int push = i == count - 1 ? Ddp.PUSH : 0;
      int offset = line.offset().orElse(0) + from;
      int head = Ddp.writeHeader(bytes, push, 0, Ddp.RGB, Ddp.OUTPUT, offset, data, -1);
      packets.add(new Packet(Protocol.DDP, 0, line, bytes, bytes.length, from, data, head));
    }
  }

  /** How many packets a frame is. */
  public int count() {
    return packets.size();
  }

  /** Whether a frame has other levels than a packet had when it was last made. */
  public boolean differs(int index, byte[] frame) {
    return packets.get(index).differs(frame);
  }

  /** A packet as it lies there. */
  public Packet at(int index) {
    return packets.get(index);
  }

  /** A packet of E1.31 that says that its source ends; levels of it are ignored. */
  public Packet end(int index, byte[] frame) {
    Packet packet = next(index, frame);
    E131.setOptions(packet.bytes(), E131.TERMINATED);
    return packet;
  }

  /**
   * A packet with the levels of a frame and its next sequence number. Its bytes are the same array
   * at every frame.
   *
   * @param index from 0
   */
  public Packet next(int index, byte[] frame) {
    Packet packet = packets.get(index);
    if (ddp) {
      last = Ddp.nextSequence(last);
      packet.fill(frame, last);
    } else {
      packet.fill(frame, sequences.next(packet.protocol(), packet.universe()));
    }
    return packet;
  }
}
