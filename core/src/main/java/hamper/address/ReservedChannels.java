package hamper.address;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * Stretches that the flow keeps clear of: sorted, disjoint, touching ones joined. Asking costs
 * O(log n).
 */
public final class ReservedChannels {
  private final List<ChannelSpan> stretches;

  private ReservedChannels(List<ChannelSpan> stretches) {
    this.stretches = stretches;
  }

  /**
   * @param spans in any order; they may overlap
   */
  public static ReservedChannels of(List<ChannelSpan> spans) {
    List<ChannelSpan> sorted = new ArrayList<>(spans);
    sorted.sort(Comparator.comparingInt(ChannelSpan::start));
    List<ChannelSpan> joined = new ArrayList<>();
    for (ChannelSpan span : sorted) {
      int top = joined.size() - 1;
      if (top >= 0 && span.start() <= joined.get(top).end()) {
        int end = Math.max(joined.get(top).end(), span.end());
        joined.set(top, new ChannelSpan(joined.get(top).start(), end));
      } else {
        joined.add(span);
      }
    }
    return new ReservedChannels(List.copyOf(joined));
  }

  /** The first stretch that shares a channel with the span. */
  public Optional<ChannelSpan> firstTouching(ChannelSpan span) {
    int low = 0;
    int high = stretches.size();
    while (low < high) {
      int middle = (low + high) >>> 1;
      if (stretches.get(middle).end() > span.start()) {
        high = middle;
      } else {
        low = middle + 1;
      }
    }
    return low < stretches.size() && stretches.get(low).overlaps(span)
        ? Optional.of(stretches.get(low))
        : Optional.empty();
  }
}
