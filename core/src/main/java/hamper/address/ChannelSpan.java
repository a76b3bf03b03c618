package hamper.address;

import hamper.value.RefusedException;

/**
 * Consecutive channels {@code [start..end)}: start is in it, end is not. [1..4) and [4..9) share
 * nothing and join to [1..9).
 *
 * @param start first channel, from 1
 * @param end one past the last channel, above start
 */
public record ChannelSpan(int start, int end) {
  public ChannelSpan {
    if (start < 1 || end <= start) {
      throw new RefusedException(
          "span", "[%d..%d)".formatted(start, end), "it starts at 1 or above and holds a channel");
    }
  }

  /**
   * @throws ArithmeticException where the last channel is beyond 2³¹ − 1
   */
  public static ChannelSpan ofLength(int start, int length) {
    return new ChannelSpan(start, Math.addExact(start, length));
  }

  /** The last channel, included. */
  public int last() {
    return end - 1;
  }

  public int length() {
    return end - start;
  }

  public boolean overlaps(ChannelSpan other) {
    return start < other.end && other.start < end;
  }

  /** From the first channel of this to the last of the other, room between them included. */
  public ChannelSpan through(ChannelSpan later) {
    return new ChannelSpan(start, later.end);
  }
}
