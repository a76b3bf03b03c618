package hamper.standin;

/**
 * A place among what is heard that moves on: along a universe and into the next, or along own
 * channels.
 */
abstract class Cursor {
  /** The place in the row of levels at so many steps from here. */
  abstract int at(int steps);

  /** How many slots are left until a universe ends; plenty where nothing ends. */
  abstract int room();

  abstract void move(int steps);

  /** Its channel, of the universe or of the device. */
  abstract int channel();

  static Cursor onTheWire(Heard heard, int universe, int channel, boolean line) {
    return new OnTheWire(heard, universe, channel, line);
  }

  static Cursor ownChannels(Heard heard, int channel) {
    return new OwnChannels(heard, channel);
  }

  private static final class OnTheWire extends Cursor {
    private final Heard heard;
    private final boolean line;
    private int universe;
    private int channel;

    OnTheWire(Heard heard, int universe, int channel, boolean line) {
      this.heard = heard;
      this.universe = universe;
      this.channel = channel;
      this.line = line;
    }

    @Override
    int at(int steps) {
      OnTheWire there = new OnTheWire(heard, universe, channel, line);
      there.move(steps);
      return heard.ofWire(there.universe, there.channel, line);
    }

    @Override
    int channel() {
      return channel;
    }

    @Override
    int room() {
      return heard.sizeOf(universe, line) - channel + 1;
    }

    @Override
    void move(int steps) {
      channel += steps;
      int size = heard.sizeOf(universe, line);
      while (channel > size) {
        channel -= size;
        universe++;
        size = heard.sizeOf(universe, line);
      }
    }
  }

  private static final class OwnChannels extends Cursor {
    private final Heard heard;
    private int channel;

    OwnChannels(Heard heard, int channel) {
      this.heard = heard;
      this.channel = channel;
    }

    @Override
    int at(int steps) {
      return heard.ofOwn(channel + steps);
    }

    @Override
    int channel() {
      return channel;
    }

    @Override
    int room() {
      return Integer.MAX_VALUE;
    }

    @Override
    void move(int steps) {
      channel += steps;
    }
  }
}
