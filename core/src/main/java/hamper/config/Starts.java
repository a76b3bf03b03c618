package hamper.config;

import hamper.address.UniverseChannel;
import hamper.catalog.AddressStyle;
import hamper.catalog.Dialect;
import hamper.display.Controller;
import hamper.display.Plan;
import hamper.display.PortRef;
import hamper.resolve.ControllerBlock;
import hamper.resolve.Placement;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;

/**
 * Where things start, as one controller writes it.
 *
 * <p>Source: the device rules, "Dialects".
 */
public final class Starts {
  private final Controller controller;
  private final Dialect dialect;
  private final ControllerBlock block;
  private final OwnChannels own;

  Starts(Controller controller, Dialect dialect, ControllerBlock block, Inputs inputs) {
    this.controller = controller;
    this.dialect = dialect;
    this.block = block;
    this.own = countsOwnChannels() ? inputs.ownChannels() : new OwnChannels(List.of());
  }

  /** Of a controller as a plan has it. */
  public static Starts of(
      Plan plan, Controller controller, ControllerBlock block, List<Placement> placements) {
    return new Starts(
        controller,
        plan.modelOf(controller).dialect(),
        block,
        Inputs.of(plan, controller, block, placements));
  }

  /**
   * What the device is told of where something starts; nothing where it counts on from what stands
   * before, or where that cannot be written.
   */
  public DeviceStart told(Placement at) {
    return switch (at.kind()) {
      case PIXEL -> perSection() ? of(at) : at.position() == 1 ? port(at) : DeviceStart.NONE;
      case DMX -> dmx(at.port());
      case RELAY -> circuit(at);
      case PANEL -> of(at);
      case SERIAL -> DeviceStart.NONE;
    };
  }

  /** The start of a whole port, where the dialect has one. */
  DeviceStart port(Placement first) {
    return switch (dialect.style()) {
      case UNIVERSE_CHANNEL_PER_SECTION, ABSOLUTE_CHANNEL, PIXEL_INDEX, PIXEL_COUNTS ->
          DeviceStart.NONE;
      case UNIVERSE_CHANNEL_PER_PORT, DMX_SLOT -> slot(first);
      case UNIVERSE_PER_PORT -> universe(first);
    };
  }

  /** Whether each section has a start of its own in this dialect. */
  boolean perSection() {
    return dialect.style() == AddressStyle.UNIVERSE_CHANNEL_PER_SECTION
        || dialect.style() == AddressStyle.ABSOLUTE_CHANNEL
        || dialect.style() == AddressStyle.PIXEL_INDEX;
  }

  /** Whether starts are told in the device's own channels or pixels. */
  boolean countsOwnChannels() {
    return dialect.style() == AddressStyle.ABSOLUTE_CHANNEL
        || dialect.style() == AddressStyle.PIXEL_INDEX
        || dialect.style() == AddressStyle.PIXEL_COUNTS;
  }

  /** Whether the start of a section or wall can be written at all. */
  boolean writable(Placement at) {
    return switch (dialect.style()) {
      case ABSOLUTE_CHANNEL, PIXEL_COUNTS -> ownStart(at).isPresent();
      case PIXEL_INDEX -> {
        OptionalInt start = ownStart(at);
        yield start.isPresent() && (start.getAsInt() - 1) % widthOf(at) == 0;
      }
      case UNIVERSE_CHANNEL_PER_SECTION, UNIVERSE_CHANNEL_PER_PORT, UNIVERSE_PER_PORT, DMX_SLOT ->
          slotWritable(at);
    };
  }

  /** The start of a section or wall; nothing where it cannot be written. */
  DeviceStart of(Placement at) {
    if (!writable(at)) {
      return DeviceStart.UNWRITABLE;
    }
    return switch (dialect.style()) {
      case ABSOLUTE_CHANNEL, PIXEL_COUNTS -> channel(at);
      case PIXEL_INDEX -> DeviceStart.pixelIndex((ownStart(at).getAsInt() - 1) / widthOf(at));
      case UNIVERSE_CHANNEL_PER_SECTION, UNIVERSE_CHANNEL_PER_PORT, UNIVERSE_PER_PORT, DMX_SLOT ->
          slot(at);
    };
  }

  boolean circuitWritable(Placement at) {
    return dialect.style() == AddressStyle.PIXEL_INDEX ? ownStart(at).isPresent() : writable(at);
  }

  /** A circuit is one channel, which no pixel index names: it is told by channel there. */
  DeviceStart circuit(Placement at) {
    return dialect.style() == AddressStyle.PIXEL_INDEX && circuitWritable(at)
        ? channel(at)
        : of(at);
  }

  boolean slotWritable(Placement at) {
    return controller.protocol().usesUniverses()
        ? at.start().filter(this::isOfProtocol).isPresent()
            && at.end().filter(this::isOfProtocol).isPresent()
        : at.controllerChannels().isPresent();
  }

  /** Universe and channel; on DDP, which has none, the channel in the controller's own block. */
  DeviceStart slot(Placement at) {
    if (!slotWritable(at)) {
      return DeviceStart.UNWRITABLE;
    }
    return controller.protocol().usesUniverses()
        ? at.start()
            .map(slot -> DeviceStart.universeChannel(written(slot.universe()), slot.channel()))
            .orElseThrow()
        : channel(at);
  }

  /** The universe alone, for devices whose ports begin with one. */
  DeviceStart universe(Placement at) {
    return at.start()
        .filter(this::isOfProtocol)
        .map(slot -> DeviceStart.universe(written(slot.universe())))
        .orElse(DeviceStart.UNWRITABLE);
  }

  /** The universe of a DMX port; on DDP the channel that its first slot takes. */
  DeviceStart dmx(PortRef port) {
    return Optional.ofNullable(block.dmxUniverses().get(port))
        .map(
            universe ->
                controller.protocol().hasUniverse(universe)
                    ? DeviceStart.universe(written(universe))
                    : DeviceStart.UNWRITABLE)
        .orElseGet(() -> DeviceStart.absolute(block.dmxStart(port)));
  }

  /** Channels of one address. */
  static int widthOf(Placement at) {
    return at.channels() / Math.max(1, at.addresses());
  }

  private DeviceStart channel(Placement at) {
    return DeviceStart.absolute(ownStart(at).orElseThrow());
  }

  /** The channel at which something starts, as the device counts; on DDP bytes are channels. */
  private OptionalInt ownStart(Placement at) {
    if (controller.protocol().usesUniverses()) {
      return own.startOf(at, controller.settings().universeSize());
    }
    return at.controllerChannels()
        .map(span -> OptionalInt.of(span.start()))
        .orElseGet(OptionalInt::empty);
  }

  private boolean isOfProtocol(UniverseChannel slot) {
    return controller.protocol().hasUniverse(slot.universe());
  }

  private int written(int universe) {
    return dialect.written(controller.protocol(), universe);
  }
}
