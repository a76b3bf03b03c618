package hamper.server.output;

import hamper.display.Piece;
import hamper.send.Lights;
import hamper.send.Motion;
import hamper.send.Ramp;
import hamper.send.Rises;
import hamper.send.Targets;
import java.time.InstantSource;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * Who lights what until when, and what moves while it is held: what becomes of it in a frame. Safe
 * for several threads; time is passed in.
 */
final class Holders {
  private static final long MILLIS = 1_000;

  /** What a holder wants, and until when (ms). */
  private record Held(Lights.Hold hold, int percent, long until) {}

  private final InstantSource clock;
  private final Map<String, Held> holds = new LinkedHashMap<>();
  private final Motion motion = new Motion();
  private final Rises rises = new Rises();

  /** Whether a frame is as the one before it. */
  private boolean still;

  Holders(InstantSource clock) {
    this.clock = clock;
  }

  /**
   * Lights something for somebody, in place of what that one had.
   *
   * @return who has a piece of it already; empty: it is lit
   */
  synchronized Optional<Lights.Clash> light(Lights lights, Output.Wanted wanted) {
    String who = wanted.who();
    Targets what = wanted.what();
    Optional<Lights.Clash> clash = lights.clash(what, who, all());
    if (clash.isEmpty()) {
      long now = clock.millis();
      Held before = holds.get(who);
      boolean goesOn =
          before != null
              && before.hold().what().equals(what)
              && !wanted.pattern().flashesAfter(before.hold().pattern());
      Map<String, Integer> order = lights.supplies(what);
      Ramp ramp = goesOn ? before.hold().ramp() : new Ramp(order.size(), rises);
      ramp.to(wanted.percent(), now);
      Lights.Hold hold =
          new Lights.Hold(who, what, wanted.pattern(), now, ramp, order, wanted.ceiling());
      holds.put(who, new Held(hold, wanted.percent(), now + wanted.seconds() * MILLIS));
      still = false;
    }
    return clash;
  }

  private List<Lights.Hold> all() {
    return holds.values().stream().map(Held::hold).toList();
  }

  /** One holder has done. */
  synchronized void leave(String who) {
    holds.remove(who);
    still = false;
  }

  /** Whether anybody holds light; those whose time is over do not. */
  synchronized boolean any() {
    long now = clock.millis();
    still &= !holds.values().removeIf(held -> held.until() <= now);
    return !holds.isEmpty();
  }

  synchronized void arm(Piece piece) {
    motion.arm(piece);
  }

  synchronized boolean isArmed(String piece) {
    return motion.isArmed(piece);
  }

  synchronized boolean moves(String piece) {
    return motion.moving(clock.millis()).containsKey(piece);
  }

  /**
   * A word of whoever holds a piece that moves.
   *
   * @return why it does not move; empty where it does
   */
  synchronized Optional<String> hold(String piece, byte[] levels, String who) {
    still = false;
    return motion.hold(piece, levels, who, clock.millis());
  }

  synchronized void release(String piece) {
    motion.release(piece, clock.millis());
    still = false;
  }

  /** The display was laid out anew: what is another piece now is not armed any more. */
  synchronized void moveTo(Lights lights) {
    motion.keep(lights.movers());
    still = false;
  }

  /** Fills the frames of a display, where they are not as they were. */
  synchronized void fill(Laid laid) {
    long now = clock.millis();
    Map<String, byte[]> moving = motion.moving(now);
    if (still && moving.isEmpty()) {
      return;
    }
    laid.fill(all(), moving, now);
    still = moving.isEmpty() && all().stream().allMatch(hold -> rests(hold, now));
  }

  private static boolean rests(Lights.Hold hold, long now) {
    return !hold.pattern().kind().moves() && hold.ramp().rests(hold.order().size(), now);
  }

  /**
   * Nobody holds anything any more; fills the frames with what stays.
   *
   * @param workLight that stays on (percent); 0: black
   */
  synchronized void end(Laid laid, int workLight) {
    holds.clear();
    List<Lights.Hold> left =
        workLight == 0
            ? List.of()
            : List.of(
                Lights.Hold.white("work light", Targets.ALL, Ramp.steady(workLight), workLight));
    laid.fill(left, Map.of(), clock.millis());
  }

  /** For others to read. */
  synchronized List<OutputState.Holder> told(Lights lights) {
    long now = clock.millis();
    return holds.values().stream()
        .map(
            held ->
                new OutputState.Holder(
                    held.hold().who(),
                    held.hold().pattern().kind().title(),
                    held.percent(),
                    held.hold().ceiling(),
                    lights.hits(held.hold().what()),
                    Math.max(0, (held.until() - now) / MILLIS)))
        .toList();
  }

  /** Ids of what may be moved. */
  synchronized List<String> armed() {
    return List.copyOf(motion.armed());
  }

  /** Ids of what moves. */
  synchronized List<String> moving() {
    return List.copyOf(motion.moving(clock.millis()).keySet());
  }
}
