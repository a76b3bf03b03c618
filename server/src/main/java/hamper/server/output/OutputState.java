package hamper.server.output;

import java.util.List;
import java.util.Optional;

/**
 * How sending goes.
 *
 * @param version of the display that is laid out
 * @param live whether packets leave this computer
 * @param framesPerSecond of the display
 * @param holders who lights what
 * @param moving what moves now, by id, of what is armed
 * @param armed ids of pieces that may be moved
 * @param frames that were sent
 * @param unsent frames whose time had passed
 * @param packets that left
 * @param failed packets that the system did not take
 * @param worstLateMillis the most that a frame was late (ms)
 * @param leftOut controllers that are sent nothing, or not as planned
 * @param ended why it is over; left out while it goes on
 */
public record OutputState(
    String display,
    int version,
    boolean live,
    double framesPerSecond,
    List<Holder> holders,
    List<String> armed,
    List<String> moving,
    long frames,
    long unsent,
    long packets,
    long failed,
    double worstLateMillis,
    List<NotSent> leftOut,
    Optional<String> ended) {
  /**
   * Who lights what.
   *
   * @param pattern with what
   * @param percent of full that is asked for
   * @param ceiling most light that results (percent)
   * @param pieces how many are lit
   * @param secondsLeft until it ends by itself (s)
   */
  public record Holder(
      String who, String pattern, int percent, int ceiling, int pieces, long secondsLeft) {}

  /**
   * @param tag of the controller
   */
  public record NotSent(String tag, String why) {}

  public boolean running() {
    return ended.isEmpty();
  }
}
