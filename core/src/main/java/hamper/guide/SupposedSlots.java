package hamper.guide;

import hamper.address.Packing;
import hamper.display.Plan;
import hamper.facts.ControllerFacts;
import hamper.resolve.Placement;
import hamper.send.FrameLayout;
import java.util.Optional;

/** Where a device that was told something else goes on reading: slot by slot. */
final class SupposedSlots {
  private static final int FULL = 255;

  private final ControllerFacts own;
  private final FrameLayout layout;
  private final byte[] frame;
  private final boolean universes;
  private final boolean whole;
  private final boolean ownChannels;
  private final int size;

  /** A universe that it does not hear. */
  private final Optional<Integer> deafFrom;

  /** On DDP 0. */
  private int universe;

  /** From 1. */
  private int channel;

  /**
   * @param ownChannels whether starts are counted in the device's own channels
   * @param frame levels that are sent
   */
  SupposedSlots(
      Plan plan,
      ControllerFacts own,
      FrameLayout layout,
      Supposition supposed,
      boolean ownChannels,
      byte[] frame) {
    this.own = own;
    this.frame = frame;
    this.layout = layout;
    this.ownChannels = ownChannels;
    universes = own.controller().protocol().usesUniverses();
    size =
        universes
            ? supposed.size().orElse(own.controller().settings().universeSize())
            : Integer.MAX_VALUE;
    whole = universes && plan.inForce(own.controller()).packing() == Packing.WHOLE_PIXEL;
    int heard = own.block().sentUniverses(own.controller().settings().universeSize());
    deafFrom =
        supposed.deaf()
            ? own.block().firstUniverse().map(first -> first + heard - 1)
            : Optional.empty();
  }

  /** Where it is told to begin; one that counts its own channels counts in its own universes. */
  void startAt(Placement at) {
    if (!universes) {
      universe = 0;
      channel = at.controllerChannels().map(span -> span.start()).orElse(Integer.MAX_VALUE / 2);
    } else if (ownChannels
        && own.block().firstUniverse().isPresent()
        && at.controllerChannels().isPresent()) {
      int index = at.controllerChannels().get().start() - 1;
      universe = own.block().firstUniverse().get() + index / size;
      channel = index % size + 1;
    } else if (at.start().isPresent()) {
      universe = at.start().get().universe();
      channel = at.start().get().channel();
    } else {
      universe = Integer.MAX_VALUE / 2;
      channel = 1;
    }
  }

  /** The levels of addresses one after another, each of some channels. */
  int[][] take(int addresses, int width) {
    int[][] levels = new int[addresses][width];
    for (int[] address : levels) {
      if (whole && size - channel + 1 < width) {
        universe++;
        channel = 1;
      }
      for (int c = 0; c < width; c++) {
        address[c] = level();
        step();
      }
    }
    return levels;
  }

  private int level() {
    if (deafFrom.filter(from -> universe >= from).isPresent()) {
      return 0;
    }
    int place = universes ? layout.place(universe, channel) : layout.place(channel - 1);
    return place < 0 ? 0 : frame[place] & FULL;
  }

  private void step() {
    channel++;
    if (channel > size) {
      channel = 1;
      universe++;
    }
  }
}
