package hamper.address;

/** How pixels are laid into universes. */
public enum Packing {
  /** Channel after channel: a pixel may straddle two universes. */
  CONTIGUOUS,
  /** A pixel that does not fit in what is left of its universe starts in the next one. */
  WHOLE_PIXEL;

  /**
   * Lays addresses one after another.
   *
   * @param universeSize channels of a universe, from 1; 0 where there are no universes
   * @param from the controller channel to start at, from 1
   * @param addresses how many, from 1
   * @param width channels of one address, from 1 to the universe's size
   * @return first to last channel, skipped ones in between included; starts after {@code from}
   *     where the first pixel does not fit
   */
  public ChannelSpan lay(int universeSize, int from, int addresses, int width) {
    if (this == CONTIGUOUS || universeSize == 0 || width == 1) {
      return ChannelSpan.ofLength(from, Math.multiplyExact(addresses, width));
    }
    int used = (from - 1) % universeSize;
    int start = used + width > universeSize ? from - used + universeSize : from;
    int fitHere = (universeSize - (start - 1) % universeSize) / width;
    if (addresses <= fitHere) {
      return ChannelSpan.ofLength(start, addresses * width);
    }
    int perUniverse = universeSize / width;
    int beyond = addresses - fitHere - 1;
    int nextUniverse = start - (start - 1) % universeSize + universeSize;
    int lastPixel =
        nextUniverse
            + Math.multiplyExact(beyond / perUniverse, universeSize)
            + beyond % perUniverse * width;
    return new ChannelSpan(start, lastPixel + width);
  }
}
