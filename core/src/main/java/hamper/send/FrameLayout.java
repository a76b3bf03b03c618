package hamper.send;

import hamper.config.SendLine;
import hamper.display.Sending;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;

/**
 * How the levels of one controller lie in its frame: its universes one after another, each of its
 * size; on DDP its bytes.
 */
public final class FrameLayout {
  /** What stands for a slot that is not sent. */
  public static final int NOT_SENT = -2;

  /**
   * A universe in the frame.
   *
   * @param base of its channel 1, from 0
   * @param line of the send list that it is in
   * @param own whether it is sent to this controller; else it is heard with another, by a mirror
   */
  public record Universe(int number, int base, int size, SendLine line, boolean own) {}

  private final List<SendLine> lines;
  private final Map<Integer, Universe> universes = new TreeMap<>();
  private int length;

  private FrameLayout(List<SendLine> lines) {
    this.lines = lines;
  }

  /**
   * @param toOne all lines of the send list to one controller; those of a backup are left out
   */
  public static FrameLayout of(List<SendLine> toOne) {
    FrameLayout layout = new FrameLayout(toOne.stream().filter(FrameLayout::isFirst).toList());
    layout.lines.forEach(layout::lay);
    return layout;
  }

  private static boolean isFirst(SendLine line) {
    return line.priority().orElse(Sending.PRIORITY) == Sending.PRIORITY;
  }

  private void lay(SendLine line) {
    if (line.firstUniverse().isEmpty()) {
      length += line.size();
      return;
    }
    for (int i = 0; i < line.universes(); i++) {
      lay(line, line.firstUniverse().get() + i, true);
    }
  }

  private void lay(SendLine line, int number, boolean own) {
    if (!universes.containsKey(number)) {
      universes.put(number, new Universe(number, length, line.size(), line, own));
      length += line.size();
    }
  }

  /** A universe that is sent to another controller in a way that this one hears it too. */
  void hear(SendLine line, int number) {
    lay(line, number, false);
  }

  public List<SendLine> lines() {
    return lines;
  }

  /** In ascending order; none on DDP. */
  public List<Universe> universes() {
    return new ArrayList<>(universes.values());
  }

  /** Bytes of a frame. */
  public int length() {
    return length;
  }

  /** Where a channel of a universe lies in the frame; {@link #NOT_SENT} where nobody sends it. */
  public int place(int universe, int channel) {
    Universe one = universes.get(universe);
    return one == null || channel > one.size() ? NOT_SENT : one.base() + channel - 1;
  }

  /** A place of the frame for people: "9:281" on the wire, or "byte 40" on DDP. */
  public String told(int place) {
    if (universes.isEmpty()) {
      return "byte " + place;
    }
    return universes.values().stream()
        .filter(one -> place >= one.base() && place < one.base() + one.size())
        .map(one -> one.number() + ":" + (place - one.base() + 1))
        .findFirst()
        .orElseThrow(() -> new IllegalArgumentException("No such place: " + place));
  }

  /** Where a byte of DDP, from 0, lies in the frame. */
  public int place(int ddpByte) {
    return ddpByte < length ? ddpByte : NOT_SENT;
  }
}
