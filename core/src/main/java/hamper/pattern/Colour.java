package hamper.pattern;

/** What one pixel is lit with. Channels of an address stand in their natural order. */
public enum Colour {
  DARK,
  RED,
  GREEN,
  BLUE,
  /** The fourth channel alone: white of its own, where the pixel has it. */
  FOURTH,
  /** All channels. */
  WHITE;

  /** From so many channels on a pixel has colours; below it only lights or does not. */
  private static final int COLOURED = 3;

  /**
   * Whether a channel is lit.
   *
   * @param channel of the address, from 0
   * @param width channels of the address
   */
  public boolean lights(int channel, int width) {
    if (this == DARK || this == WHITE || width < COLOURED) {
      return this != DARK;
    }
    return channel == ordinal() - 1;
  }
}
