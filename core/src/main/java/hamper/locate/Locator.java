package hamper.locate;

import hamper.address.ColourOrder;
import hamper.address.UniverseChannel;
import hamper.address.UniverseGrid;
import hamper.display.Controller;
import hamper.display.GridOrder.Cell;
import hamper.display.HungLeg;
import hamper.display.HungRun;
import hamper.display.PixelString;
import hamper.display.Plan;
import hamper.display.PortRef;
import hamper.display.Section;
import hamper.display.Wall;
import hamper.facts.Facts;
import hamper.resolve.AddressSlots;
import hamper.resolve.ControllerBlock;
import hamper.resolve.PixelMap;
import hamper.resolve.Placement;
import hamper.resolve.Resolver;
import hamper.resolve.WallMap;
import hamper.value.RefusedException;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** Finds the pixel behind an address, and every address of a pixel. */
public final class Locator {
  private final Facts facts;
  private final Plan plan;

  public Locator(Facts facts) {
    this.facts = facts;
    this.plan = facts.plan();
  }

  /** All that answers to a slot, mirrors and overlaps included. */
  public List<Spot> atSlot(UniverseChannel slot) {
    return facts
        .resolution()
        .placements()
        .filter(at -> at.start().isPresent() && at.end().isPresent())
        .filter(at -> at.start().get().compareTo(slot) <= 0 && at.end().get().compareTo(slot) >= 0)
        .flatMap(at -> in(at, slot))
        .toList();
  }

  /** One slot of a row, with all that answers to it. */
  public record Slot(int slot, List<Spot> spots) {
    public Slot {
      spots = List.copyOf(spots);
    }
  }

  /** A row of the grid slot by slot; those in which nobody stands are left out. */
  public List<Slot> slotsOf(AddressGrid.Row row) {
    boolean universes =
        plan.display().controllers().get(row.controller()).protocol().usesUniverses();
    List<List<Spot>> slots = new ArrayList<>();
    for (int i = 0; i < row.size(); i++) {
      slots.add(new ArrayList<>());
    }
    for (AddressGrid.Stretch stretch : row.stretches()) {
      for (int slot = stretch.first(); slot <= Math.min(stretch.last(), row.size()); slot++) {
        UniverseChannel at =
            universes
                ? new UniverseChannel(row.number(), slot)
                : new UniverseChannel(0, row.firstByte() + slot);
        in(stretch.at(), at).forEach(slots.get(slot - 1)::add);
      }
    }
    List<Slot> told = new ArrayList<>();
    for (int i = 0; i < slots.size(); i++) {
      if (!slots.get(i).isEmpty()) {
        told.add(new Slot(i + 1, slots.get(i)));
      }
    }
    return told;
  }

  /**
   * All that answers to a byte of a controller on DDP.
   *
   * @param number from 0
   */
  public List<Spot> atByte(String controller, int number) {
    int index = plan.indexOf(plan.existingController(controller).id());
    if (plan.display().controllers().get(index).protocol().usesUniverses()) {
      throw new RefusedException(
          "controller",
          plan.display().controllers().get(index).tag(),
          "it has universes; bytes are counted on DDP");
    }
    return atChannel(index, number + 1);
  }

  /**
   * All that stands at a channel of the display's own counting.
   *
   * @param channel from 1
   */
  public List<Spot> atDisplayChannel(int channel) {
    List<ControllerBlock> blocks = facts.resolution().blocks();
    for (int i = 0; i < blocks.size(); i++) {
      ControllerBlock block = blocks.get(i);
      int own = channel - block.displayStart() + 1;
      if (block.displayStart() > 0 && own >= 1 && own <= block.channels()) {
        return atChannel(i, own);
      }
    }
    return List.of();
  }

  private List<Spot> atChannel(int index, int channel) {
    Controller controller = plan.display().controllers().get(index);
    ControllerBlock block = facts.resolution().blocks().get(index);
    boolean flows = channel <= block.flowingChannels();
    return facts.resolution().byController().get(index).stream()
        .filter(
            at ->
                at.controllerChannels()
                    .filter(span -> span.start() <= channel && channel < span.end())
                    .isPresent())
        .flatMap(
            at -> {
              if (!controller.protocol().usesUniverses()) {
                return in(at, new UniverseChannel(0, channel));
              }
              if (flows) {
                int first = block.firstUniverse().orElseThrow();
                int size = controller.settings().universeSize();
                return in(at, new UniverseGrid(first, size).at(channel));
              }
              int slot = channel - block.dmxStart(at.port()) + 1;
              return in(at, new UniverseChannel(block.dmxUniverses().get(at.port()), slot));
            })
        .toList();
  }

  /** The pixels of a placement that a slot reaches: as many as its group has. */
  private Stream<Spot> in(Placement at, UniverseChannel slot) {
    Optional<AddressSlots> slots = AddressSlots.of(plan, at);
    Optional<Integer> found = slots.flatMap(all -> all.channelIn(slot));
    if (found.isEmpty()) {
      return Stream.empty();
    }
    int address = found.get() / slots.get().width();
    int channel = found.get() % slots.get().width();
    return Stream.of(spot(at, slots.get(), address, Optional.of(channel)));
  }

  /**
   * The pixel at a place of a run.
   *
   * @param position null pixels and gaps counted, from 1
   */
  public List<Spot> atPosition(PortRef port, int position) {
    HungRun run =
        plan.run(port)
            .filter(HungRun::carriesPixels)
            .orElseThrow(
                () -> new RefusedException("port", plan.written(port), "no pixels hang there"));
    if (position < 1 || position > run.places()) {
      throw new RefusedException(
          "pixel",
          String.valueOf(position),
          "%s has 1 to %d".formatted(run.written(), run.places()));
    }
    HungLeg leg = run.at(position);
    int place = position - leg.start() - 1;
    if (place < 0) {
      return List.of(dark(run, leg, 0, position, "in the gap before it"));
    }
    List<Section> sections = leg.at().string().sections();
    int section = 0;
    while (place >= sections.get(section).nullPixels() + sections.get(section).pixels()) {
      place -= sections.get(section).nullPixels() + sections.get(section).pixels();
      section++;
    }
    PixelMap map = PixelMap.of(sections.get(section), leg.at().pixels().colourOrder());
    var address = map.addressAt(place);
    if (address.isEmpty()) {
      return List.of(dark(run, leg, section, position, "null pixel"));
    }
    int at = section;
    return placementOf(port, leg, at).stream()
        .flatMap(
            found ->
                AddressSlots.of(plan, found).stream()
                    .map(slots -> spot(found, slots, address.getAsInt(), Optional.empty())))
        .map(spot -> at(spot, run, leg, position))
        .toList();
  }

  private Optional<Placement> placementOf(PortRef port, HungLeg leg, int section) {
    return facts.resolution().byController().get(plan.indexOf(port.controller())).stream()
        .filter(one -> one.port().equals(port))
        .filter(one -> one.leg() == leg.index() && one.section() == section)
        .findFirst();
  }

  private Spot dark(HungRun run, HungLeg leg, int section, int position, String what) {
    return new Spot(
        run.port(),
        run.written(),
        leg.leg().piece(),
        leg.at().title(),
        section + 1,
        Optional.of(position),
        what,
        metres(leg, position),
        1,
        List.of(),
        Optional.empty());
  }

  /** The same address, told of another pixel of its group. */
  private static Spot at(Spot spot, HungRun run, HungLeg leg, int position) {
    return new Spot(
        spot.port(),
        run.written(),
        spot.piece(),
        spot.title(),
        spot.section(),
        Optional.of(position),
        "pixel " + (position - leg.start()),
        metres(leg, position),
        spot.positions(),
        spot.channels(),
        spot.asked());
  }

  private static Optional<Double> metres(HungLeg leg, int position) {
    PixelString string = leg.at().string();
    int before = Math.max(0, position - leg.start() - 1);
    double metres = string.leadMetres() + before * string.wires().spacingOrUsual();
    return Optional.of(Math.round(metres * 100) / 100.0);
  }

  private Spot spot(Placement at, AddressSlots slots, int address, Optional<Integer> channel) {
    HungRun run = plan.run(at.port()).orElseThrow();
    HungLeg leg = run.legs().get(at.leg());
    if (leg.at().piece() instanceof PixelString string) {
      return pixel(at, slots, address, channel, run, leg, string);
    }
    boolean wall = leg.at().piece() instanceof Wall;
    String what = at.pixels() == 0 ? "slot " + (address + 1) : "the circuit";
    ColourOrder order = ColourOrder.natural(wall ? Wall.CHANNELS_PER_PIXEL : 1);
    if (leg.at().piece() instanceof Wall one) {
      Cell cell = WallMap.of(one).pixelAt(address);
      what = "column %d, row %d".formatted(cell.column() + 1, cell.row() + 1);
    }
    return new Spot(
        at.port(),
        run.written(),
        at.piece(),
        leg.at().title(),
        at.section() + 1,
        Optional.empty(),
        what,
        Optional.empty(),
        1,
        channels(at, slots, address, wall ? order.toString() : null),
        channel);
  }

  private Spot pixel(
      Placement at,
      AddressSlots slots,
      int address,
      Optional<Integer> channel,
      HungRun run,
      HungLeg leg,
      PixelString string) {
    Section section = string.sections().get(at.section());
    PixelMap map = PixelMap.of(section, leg.at().pixels().colourOrder());
    int before = 0;
    for (int i = 0; i < at.section(); i++) {
      before += string.sections().get(i).nullPixels() + string.sections().get(i).pixels();
    }
    int first = -1;
    int count = 0;
    for (int place = 0; place < map.places(); place++) {
      var of = map.addressAt(place);
      if (of.isPresent() && of.getAsInt() == address) {
        first = first < 0 ? place : first;
        count++;
      }
    }
    String order = leg.at().orderOf(section).letters();
    int position = leg.start() + before + first + 1;
    List<Spot.Channel> channels = channels(at, slots, address, natural(order));
    // told in the order in which they are sent
    ColourOrder sent = leg.at().orderOf(section);
    List<Spot.Channel> inOrder = new ArrayList<>();
    Optional<Integer> asked = Optional.empty();
    for (int i = 0; i < sent.channels(); i++) {
      inOrder.add(channels.get(sent.channelOf(i)));
      if (channel.equals(Optional.of(sent.channelOf(i)))) {
        asked = Optional.of(i);
      }
    }
    return new Spot(
        at.port(),
        run.written(),
        at.piece(),
        leg.at().title(),
        at.section() + 1,
        Optional.of(position),
        "pixel " + (before + first + 1),
        metres(leg, position),
        count,
        inOrder,
        asked);
  }

  private static String natural(String order) {
    return ColourOrder.natural(order.length()).letters();
  }

  /**
   * @param letters the colour of each channel; null where channels have none
   */
  private List<Spot.Channel> channels(
      Placement at, AddressSlots slots, int address, String letters) {
    boolean universes =
        plan.display().controllers().get(at.controller()).protocol().usesUniverses();
    List<Spot.Channel> channels = new ArrayList<>();
    for (int c = 0; c < slots.width(); c++) {
      UniverseChannel slot = slots.at(address, c);
      Optional<Integer> own = ownChannel(at, slots, slot);
      channels.add(
          new Spot.Channel(
              letters == null ? "" : letters.substring(c, c + 1),
              universes ? slot.toString() : "byte %,d".formatted(slot.channel() - 1),
              own,
              own.filter(channel -> at.displayStart() > 0)
                  .map(
                      channel ->
                          at.displayStart()
                              + channel
                              - at.controllerChannels().orElseThrow().start())));
    }
    return channels;
  }

  private Optional<Integer> ownChannel(Placement at, AddressSlots slots, UniverseChannel slot) {
    return at.controllerChannels()
        .map(
            span -> {
              UniverseChannel start = slots.at(0, 0);
              Controller controller = plan.display().controllers().get(at.controller());
              int size =
                  at.kind().flows() ? controller.settings().universeSize() : Resolver.DMX_SLOTS;
              return span.start()
                  + (slot.universe() - start.universe()) * size
                  + slot.channel()
                  - start.channel();
            });
  }
}
