package hamper.server.output;

import hamper.display.Piece;
import hamper.send.Lights;
import hamper.send.Motion;
import hamper.send.Pace;
import hamper.send.Ramp;
import hamper.send.Targets;
import hamper.server.live.LiveDisplay;
import java.io.IOException;
import java.time.InstantSource;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.locks.LockSupport;
import java.util.function.Consumer;
import java.util.function.Supplier;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * Light of one display from its first holder to its last: one thread sends frames, another lays the
 * display out anew when its plan has changed, and the next frame is of that.
 */
final class Session {
  private static final Logger LOG = LoggerFactory.getLogger(Session.class);
  private static final int LAST_FRAMES = 3;
  private static final long NANOS_A_MILLI = 1_000_000;
  private static final double NANOS = 1e9;

  /** How often it is looked whether the plan has changed (ms). */
  private static final long LOOK_MILLIS = 50;

  private static final long ANNOUNCE_NANOS = 10_000_000_000L;

  /** What a holder wants, and until when (ms). */
  private record Held(Lights.Hold hold, int percent, long until) {}

  private final String display;
  private final Supplier<LiveDisplay.Look> look;
  private final Ground ground;
  private final InstantSource clock;
  private final Consumer<OutputState> told;
  private final Source source;
  private final Map<String, Held> holds = new LinkedHashMap<>();
  private final Set<String> storage = new HashSet<>();
  private final Motion motion = new Motion();

  private volatile Laid laid;
  private volatile Laid next;
  private volatile boolean stopped;
  private volatile String trouble;

  /** How it was when it ended; empty before. */
  private volatile OutputState over;

  private int workLight;
  private boolean still;
  private long packets;
  private Pace pace;
  private Thread sending;
  private Thread laying;

  /**
   * @param look at the display as it is now
   * @param told of how it goes, about once a second and when it ends
   */
  Session(
      String display,
      Supplier<LiveDisplay.Look> look,
      Ground ground,
      Source source,
      InstantSource clock,
      Consumer<OutputState> told) {
    this.display = display;
    this.look = look;
    this.ground = ground;
    this.source = source;
    this.clock = clock;
    this.told = told;
  }

  /** Lays the display out; nothing is sent yet. */
  void prepare(Set<String> storageToo) throws IOException, InterruptedException {
    storage.addAll(storageToo);
    laid = lay();
  }

  private Laid lay() throws IOException, InterruptedException {
    LiveDisplay.Look now = look.get();
    return Laid.out(display, now.version(), now.facts(), storageNow(), ground, source);
  }

  private synchronized Set<String> storageNow() {
    return Set.copyOf(storage);
  }

  void start() {
    pace = new Pace(System.nanoTime(), rate());
    sending = new Thread(this::run, "output");
    laying = new Thread(this::follow, "output layout");
    sending.setDaemon(true);
    laying.setDaemon(true);
    sending.start();
    laying.start();
  }

  private double rate() {
    return laid.facts().plan().display().settings().framesPerSecond();
  }

  String display() {
    return display;
  }

  OutputState state() {
    OutputState ended = over;
    return ended == null ? tell(Optional.empty()) : ended;
  }

  boolean running() {
    return over == null;
  }

  /**
   * Lights something for somebody, in place of what that one had.
   *
   * @throws HeldException where another has a piece of it
   */
  synchronized void light(String who, Targets what, int percent, int ceiling, int seconds) {
    Optional<Lights.Clash> clash = laid.lights().clash(what, who, all());
    clash.ifPresent(
        one -> {
          throw new HeldException(titleOf(one.piece()), one.who());
        });
    long now = clock.millis();
    Held before = holds.get(who);
    Ramp ramp =
        before != null && before.hold().what().equals(what)
            ? before.hold().ramp()
            : new Ramp(laid.lights().supplies());
    ramp.to(percent, now);
    holds.put(
        who, new Held(new Lights.Hold(who, what, ramp, ceiling), percent, now + seconds * 1000L));
    still = false;
  }

  private String titleOf(String piece) {
    return laid.facts().plan().existingPiece(piece).title();
  }

  /** Controllers that are sent to from now on though they play their own storage. */
  synchronized void addStorage(Set<String> more) {
    if (storage.addAll(more)) {
      laid = laid.stale();
    }
  }

  /**
   * Lets pieces be moved.
   *
   * @throws NotArmedException where there is no such piece that moves, or another source is live
   */
  void arm(Set<String> pieces) throws InterruptedException {
    Map<String, Piece> movers = laid.lights().movers();
    for (String piece : pieces) {
      if (!movers.containsKey(piece)) {
        throw new NotArmedException(piece, "nothing of that id moves on what is sent to");
      }
      refuseOthers(piece); // asks devices: frames go on meanwhile
    }
    synchronized (this) {
      pieces.forEach(piece -> motion.arm(movers.get(piece)));
    }
  }

  private void refuseOthers(String piece) throws InterruptedException {
    for (String controller : laid.lights().controllersOf(piece)) {
      Optional<String> other = ground.otherSource(display, controller, own());
      if (other.isPresent()) {
        String tag = laid.facts().plan().existingController(controller).tag();
        throw new NotArmedException(
            titleOf(piece), "%s is sending to %s too".formatted(other.get(), tag));
      }
    }
  }

  private Set<String> own() {
    return source.sockets().names();
  }

  /**
   * A word of whoever holds a piece that moves.
   *
   * @throws NotArmedException where it does not move, with the reason
   */
  void hold(String piece, byte[] levels, String who) throws InterruptedException {
    boolean begins;
    synchronized (this) {
      begins = !motion.moving(clock.millis()).containsKey(piece);
    }
    if (begins && motion.isArmed(piece)) {
      refuseOthers(piece);
    }
    synchronized (this) {
      Optional<String> refused = motion.hold(piece, levels, who, clock.millis());
      still = false;
      if (refused.isPresent()) {
        throw new NotArmedException(motion.isArmed(piece) ? titleOf(piece) : piece, refused.get());
      }
    }
  }

  synchronized void release(String piece) {
    motion.release(piece, clock.millis());
    still = false;
  }

  /** One holder has done. */
  synchronized void leave(String who) {
    holds.remove(who);
    still = false;
  }

  /**
   * Ends all of it, and waits for that.
   *
   * @param light that stays on for somebody on a ladder (percent); 0: black
   */
  void stop(int light) throws InterruptedException {
    synchronized (this) {
      workLight = light;
    }
    stopped = true;
    LockSupport.unpark(sending);
    sending.join();
  }

  private synchronized List<Lights.Hold> all() {
    return new ArrayList<>(holds.values().stream().map(Held::hold).toList());
  }

  private void run() {
    Optional<String> ended = Optional.of("its time was over");
    try {
      long began = System.nanoTime();
      pace = new Pace(began, rate());
      long announced = began - ANNOUNCE_NANOS;
      long toldAt = 0;
      while (!stopped && trouble == null && somebodyHolds()) {
        await(pace.due());
        if (stopped) {
          break;
        }
        change();
        take();
        fill();
        laid.sender().send((long) (NANOS / rate() / 2), to -> packets++);
        long now = System.nanoTime();
        if (now - announced >= ANNOUNCE_NANOS) {
          announced = now;
          laid.sender().announce(to -> packets++);
        }
        if (now - toldAt >= NANOS) {
          toldAt = now;
          told.accept(tell(Optional.empty()));
        }
      }
      last();
      if (stopped) {
        ended = Optional.of("it was stopped");
      } else if (trouble != null) {
        ended = Optional.of(trouble);
      }
    } catch (IOException | RuntimeException e) {
      LOG.warn("Output of {} ended", display, e);
      ended = Optional.of("it failed: " + e.getMessage());
    }
    stopped = true;
    laying.interrupt();
    close();
    over = tell(ended);
    told.accept(over);
  }

  private void close() {
    try {
      source.close();
    } catch (IOException e) {
      LOG.debug("A socket did not close", e);
    }
  }

  private synchronized boolean somebodyHolds() {
    long now = clock.millis();
    int before = holds.size();
    holds.values().removeIf(held -> held.until() <= now);
    still &= holds.size() == before;
    return !holds.isEmpty();
  }

  /** Takes over what was laid out anew: what it does not send to any more goes dark and ends. */
  private void change() throws IOException {
    Laid after = next;
    if (after == null) {
      return;
    }
    next = null;
    Laid before = laid;
    for (String controller : before.sender().reached()) {
      before.lights().dark(controller, before.sender().frame(controller));
    }
    before.sender().endWhatIsNotIn(after.sender(), to -> packets++);
    double rate = rate();
    synchronized (this) {
      laid = after;
      still = false;
      motion.keep(after.lights().movers());
      pace = rate() == rate ? pace : pace.at(System.nanoTime(), rate());
    }
  }

  private synchronized void take() {
    pace.take(System.nanoTime());
  }

  private synchronized void fill() {
    long now = clock.millis();
    Map<String, byte[]> moving = motion.moving(now);
    if (still && moving.isEmpty()) {
      return;
    }
    Collection<Lights.Hold> all = all();
    for (String controller : laid.sender().reached()) {
      laid.lights()
          .fill(controller, laid.sender().frame(controller), all, moving, laid.readBack(), now);
    }
    int supplies = laid.lights().supplies();
    still = moving.isEmpty() && all.stream().allMatch(hold -> hold.ramp().rests(supplies, now));
  }

  /** Safe states, and black or work light, three times; then its end is told. */
  private void last() throws IOException {
    synchronized (this) {
      holds.clear();
      List<Lights.Hold> left = new ArrayList<>();
      long now = clock.millis();
      if (workLight > 0) {
        left.add(new Lights.Hold("work light", Targets.ALL, Ramp.steady(workLight), workLight));
      }
      for (String controller : laid.sender().reached()) {
        laid.lights()
            .fill(
                controller, laid.sender().frame(controller), left, Map.of(), laid.readBack(), now);
      }
    }
    for (int i = 0; i < LAST_FRAMES; i++) {
      laid.sender().sendAll(to -> packets++);
    }
    laid.sender().terminate(to -> packets++);
  }

  /** Until a moment, or until it is stopped. */
  private void await(long due) {
    long left = due - System.nanoTime();
    while (left > 0 && !stopped) {
      LockSupport.parkNanos(left);
      left = due - System.nanoTime();
    }
  }

  /** Lays the display out anew whenever its plan has changed. */
  private void follow() {
    try {
      while (!stopped) {
        Thread.sleep(LOOK_MILLIS);
        if (next == null && look.get().version() != laid.version()) {
          next = lay();
        }
      }
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
    } catch (IOException | RuntimeException e) {
      trouble = "the changed plan could not be laid out: " + e.getMessage();
    }
  }

  private synchronized OutputState tell(Optional<String> ended) {
    long now = clock.millis();
    Laid here = laid;
    return new OutputState(
        display,
        here.version(),
        ground.live(),
        rate(),
        holds.entrySet().stream().map(one -> holder(one.getKey(), one.getValue(), now)).toList(),
        List.copyOf(motion.armed()),
        List.copyOf(motion.moving(now).keySet()),
        pace.sent(),
        pace.unsent(),
        packets,
        here.sender().failed(),
        pace.worstNanos() / (double) NANOS_A_MILLI,
        here.leftOut().entrySet().stream()
            .map(
                one ->
                    new OutputState.NotSent(
                        here.facts().plan().existingController(one.getKey()).tag(), one.getValue()))
            .toList(),
        ended);
  }

  private OutputState.Holder holder(String who, Held held, long now) {
    return new OutputState.Holder(
        who,
        held.percent(),
        held.hold().ceiling(),
        laid.lights().hits(held.hold().what()),
        Math.max(0, (held.until() - now) / 1000));
  }
}
