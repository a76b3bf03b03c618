package hamper.handover;

import hamper.address.Protocol;
import hamper.catalog.AddressStyle;
import hamper.catalog.Dialect;
import hamper.catalog.InputStyle;
import hamper.config.Configuration;
import hamper.config.DeviceStart;
import hamper.config.Input;
import hamper.display.Hold;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/** Starts as a device writes them, in the channels of a controller's block. */
final class TakenStarts {
  private static final int WHOLE = 512;

  private final Dialect dialect;
  private final Protocol protocol;
  private final List<Input> inputs;
  private final int first;
  private final int size;

  private TakenStarts(Dialect dialect, Protocol protocol, List<Input> inputs) {
    this.dialect = dialect;
    this.protocol = protocol;
    this.inputs = inputs;
    this.size = size();
    this.first = first();
  }

  /** Channels of a universe: by a table what lies between two that follow each other. */
  private int size() {
    List<Input> byStart =
        inputs.stream()
            .filter(input -> input.universe().isPresent() && input.start().isPresent())
            .sorted(Comparator.comparing(input -> input.start().get()))
            .toList();
    for (int i = 1; i < byStart.size(); i++) {
      Input before = byStart.get(i - 1);
      Input next = byStart.get(i);
      int between = next.start().get() - before.start().get();
      boolean follows = next.universe().get() == before.universe().get() + 1;
      if (follows && between > 0 && between <= before.size()) {
        return between;
      }
    }
    return inputs.isEmpty() ? WHOLE : inputs.get(0).size();
  }

  int universeSize() {
    return size;
  }

  /** The universe of the block's channel 1: by a table the one that stands at own channel 1. */
  private int first() {
    if (dialect.inputs() == InputStyle.MAP) {
      Optional<Input> lowest =
          inputs.stream().min(Comparator.comparing(input -> input.start().orElse(1)));
      if (lowest.isPresent()) {
        int before = (lowest.get().start().orElse(1) - 1) / size;
        return wire(lowest.get().universe().orElseThrow()) - before;
      }
    }
    return inputs.stream()
        .flatMap(input -> input.universe().stream())
        .mapToInt(this::wire)
        .min()
        .orElse(protocol.firstUniverse());
  }

  static TakenStarts of(Dialect dialect, Configuration has) {
    return new TakenStarts(
        dialect,
        has.protocol(),
        has.inputs().stream().filter(input -> input.dmxPort().isEmpty()).toList());
  }

  /** The universe on the wire that a device writes as this number. */
  int wire(int written) {
    return written - dialect.written(protocol, 0);
  }

  /** On the wire. */
  int firstUniverse() {
    return first;
  }

  /** How many universes of a table are the controller's own, one after another. */
  int universesOfBlock() {
    int count = 0;
    for (Input input : inputs) {
      int at = wire(input.universe().orElseThrow()) - first;
      boolean own = input.start().filter(start -> start == at * size + 1).isPresent();
      count = own ? Math.max(count, at + 1) : count;
    }
    return count;
  }

  /**
   * Where a start is held; nothing where the device counts on, or cannot write it.
   *
   * @param width channels of a pixel there
   */
  Optional<Hold> hold(DeviceStart start, int width) {
    if (!start.says() || dialect.style() == AddressStyle.PIXEL_COUNTS) {
      return Optional.empty();
    }
    return Optional.of(channel(start, width)).filter(at -> at >= 1).map(Hold::atChannel);
  }

  private int channel(DeviceStart start, int width) {
    if (start.universe().isPresent()) {
      return (wire(start.universe().get()) - first) * size + start.channel().orElse(1);
    }
    int own =
        start
            .pixelIndex()
            .map(index -> index * width + 1)
            .orElseGet(() -> start.channel().orElse(0));
    return protocol.usesUniverses() ? ofOwn(own) : own;
  }

  /** The block's channel of one that the device counts itself. */
  private int ofOwn(int own) {
    int next = 1;
    for (Input input : inputs) {
      int begins = dialect.inputs() == InputStyle.MAP ? input.start().orElse(next) : next;
      int channels = input.count() * input.size();
      if (own >= begins && own < begins + channels) {
        int at = own - begins;
        int universe = wire(input.universe().orElseThrow()) + at / input.size();
        return (universe - first) * size + at % input.size() + 1;
      }
      next = begins + channels;
    }
    return 0;
  }
}
