package hamper.send;

/**
 * Which packets of a frame are sent: those whose levels changed; others three times with the same
 * levels, and then about once a second, so that nobody takes their source for lost. Source: E1.31,
 * "Transmission rate"; Art-Net, ArtDmx; on DDP, which has no rule, the same.
 */
public final class KeepAlive {
  /** The same levels are sent so often before they are left out. */
  private static final int SAME = 3;

  /** Then again after so long at the latest is wanted by E1.31: 800 to 1000 ms. */
  private static final long AGAIN_NANOS = 850_000_000L;

  private final int[] same;
  private final long[] sentAt;

  /**
   * @param streams whose packets are sent or left out one by one
   */
  public KeepAlive(int streams) {
    same = new int[streams];
    sentAt = new long[streams];
  }

  /**
   * Whether a packet is to be sent; if so it counts as sent.
   *
   * @param changed whether its levels are others than they were
   * @param now (ns)
   */
  public boolean due(int stream, boolean changed, long now) {
    if (changed) {
      same[stream] = 0;
    } else if (same[stream] >= SAME && now - sentAt[stream] < AGAIN_NANOS) {
      return false;
    }
    same[stream] = Math.min(SAME, same[stream] + 1);
    sentAt[stream] = now;
    return true;
  }
}
