package hamper.server.output;

import hamper.display.Piece;
import hamper.send.Pace;
import hamper.server.daemons.Daemons;
import hamper.server.live.LiveDisplay;
import java.io.IOException;
import java.time.InstantSource;
import java.util.HashMap;
import java.util.HashSet;
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

  /**
   * So long at most somebody waits for an end (ms): what is said last takes a tenth of a second.
   */
  private static final long END_MILLIS = 2_000;

  /** How often it is looked whether the plan has changed (ms). */
  private static final long LOOK_MILLIS = 50;

  /** How often it is asked whether those that are sent to are where they were (ms). */
  private static final long ASK_MILLIS = 10_000;

  /**
   * It is sent no seldomer, whatever the show's rate, so that what is let go is safe at once (1/s).
   */
  private static final double LEAST_RATE = 20;

  private static final long MOST_SPREAD_NANOS = 20_000_000;
  private static final long ANNOUNCE_NANOS = 10_000_000_000L;

  private final String display;
  private final Supplier<LiveDisplay.Look> look;
  private final Ground ground;
  private final Consumer<OutputState> told;
  private final Source source;
  private final Set<String> earlier;
  private final InstantSource clock;
  private final Holders holders;
  private final Set<String> storage = new HashSet<>();

  private volatile Laid laid;
  private volatile Laid next;
  private volatile boolean stopped;
  private volatile String trouble;

  /** How it was when it ended; empty before. */
  private volatile OutputState over;

  private volatile int workLight;

  /** Nothing is sent until then (ns). */
  private volatile long silentUntil = Long.MIN_VALUE;

  private long packets;
  private Pace pace;
  private Thread sending;
  private Thread laying;

  /**
   * @param look at the display as it is now
   * @param earlier senders of the light before this, which devices may remember
   * @param told of how it goes, about once a second and when it ends
   */
  Session(
      String display,
      Supplier<LiveDisplay.Look> look,
      Ground ground,
      Source source,
      Set<String> earlier,
      InstantSource clock,
      Consumer<OutputState> told) {
    this.display = display;
    this.look = look;
    this.ground = ground;
    this.source = source;
    this.earlier = earlier;
    this.clock = clock;
    this.told = told;
    holders = new Holders(clock);
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
    sending = Daemons.thread("output", this::run);
    laying = Daemons.thread("output layout", this::follow);
    sending.start();
    laying.start();
  }

  private double rate() {
    return Math.max(LEAST_RATE, laid.facts().plan().display().settings().framesPerSecond());
  }

  String display() {
    return display;
  }

  /** What devices see as sender, such as "127.0.0.1:40123". */
  Set<String> senders() {
    return source.sockets().names();
  }

  Output.Sent sent() {
    Laid here = laid;
    Map<String, byte[]> frames = new HashMap<>();
    for (String controller : here.sender().reached()) {
      frames.put(controller, here.sender().frame(controller).clone());
    }
    return new Output.Sent(here.version(), frames, senders());
  }

  OutputState state() {
    OutputState ended = over;
    return ended == null ? tell(Optional.empty()) : ended;
  }

  boolean running() {
    return over == null;
  }

  /** Nothing of it was begun. */
  void discard() {
    close();
  }

  /**
   * Lights something for somebody, in place of what that one had.
   *
   * @throws HeldException where another has a piece of it
   */
  void light(Output.Wanted wanted) {
    Laid here = laid;
    holders
        .light(here.lights(), wanted)
        .ifPresent(
            clash -> {
              throw new HeldException(here.titleOf(clash.piece()), clash.who());
            });
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
      refuseOthers(piece);
    }
    pieces.forEach(piece -> holders.arm(movers.get(piece)));
  }

  /** Asks devices, and keeps no frame waiting for them. */
  private void refuseOthers(String piece) throws InterruptedException {
    Laid here = laid;
    Set<String> own = new HashSet<>(earlier);
    own.addAll(senders());
    for (String controller : here.lights().controllersOf(piece)) {
      Optional<String> other = ground.otherSource(display, controller, own);
      if (other.isPresent()) {
        throw new NotArmedException(
            here.titleOf(piece),
            "%s is sending to %s too".formatted(other.get(), here.tagOf(controller)));
      }
    }
  }

  /**
   * A word of whoever holds a piece that moves.
   *
   * @throws NotArmedException where it does not move, with the reason
   */
  void hold(String piece, byte[] levels, String who) throws InterruptedException {
    boolean armed = holders.isArmed(piece);
    if (armed && !holders.moves(piece)) {
      refuseOthers(piece);
    }
    Optional<String> refused = holders.hold(piece, levels, who);
    if (refused.isPresent()) {
      throw new NotArmedException(armed ? laid.titleOf(piece) : piece, refused.get());
    }
  }

  void release(String piece) {
    holders.release(piece);
  }

  /**
   * Sends nothing for a time, as if somebody had pulled the plug of the network.
   *
   * @throws NotArmedException while anything moves: it would not be told to be safe
   */
  void silence(int seconds) {
    if (!holders.moving().isEmpty()) {
      throw new NotArmedException("Silence", "something is moving; let it go first");
    }
    silentUntil = System.nanoTime() + seconds * (long) NANOS;
  }

  private boolean isSilent(long now) {
    return silentUntil != Long.MIN_VALUE && now - silentUntil < 0;
  }

  /** One holder has done; with the last one it is over, and that is waited for. */
  void leave(String who) throws InterruptedException {
    holders.leave(who);
    if (!holders.any()) {
      LockSupport.unpark(sending);
      sending.join(END_MILLIS);
    }
  }

  /**
   * Ends all of it, and waits for that.
   *
   * @param light that stays on for somebody on a ladder (percent); 0: black
   */
  void stop(int light) throws InterruptedException {
    workLight = light;
    stopped = true;
    LockSupport.unpark(sending);
    sending.join();
  }

  private void run() {
    Optional<String> ended = Optional.of("its time was over");
    try {
      long began = System.nanoTime();
      pace = new Pace(began, rate());
      long announced = began - ANNOUNCE_NANOS;
      long toldAt = 0;
      while (!stopped && trouble == null && holders.any()) {
        await(pace.due());
        if (stopped) {
          break;
        }
        change();
        take();
        holders.fill(laid);
        long now = System.nanoTime();
        if (isSilent(now)) {
          continue;
        }
        laid.sender().send(spread(), to -> packets++);
        now = System.nanoTime();
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
      darkenAfter(e);
    }
    stopped = true;
    laying.interrupt();
    close();
    over = tell(ended);
    told.accept(over);
  }

  /** What has failed leaves no light on, as far as that can be helped. */
  private void darkenAfter(Exception failure) {
    try {
      last();
    } catch (IOException | RuntimeException e) {
      failure.addSuppressed(e);
    }
  }

  private void close() {
    try {
      source.close();
    } catch (IOException e) {
      LOG.debug("A socket did not close", e);
    }
  }

  /** Takes over what was laid out anew: what it does not send to any more goes dark and ends. */
  private void change() throws IOException {
    Laid after = next;
    if (after == null) {
      return;
    }
    next = null;
    Laid before = laid;
    before.dark();
    before.sender().endWhatIsNotIn(after.sender(), spread(), to -> packets++);
    double rate = rate();
    synchronized (this) {
      laid = after;
      pace = rate() == rate ? pace : pace.at(System.nanoTime(), rate());
    }
    holders.moveTo(after.lights());
  }

  private synchronized void take() {
    pace.take(System.nanoTime());
  }

  /** Safe states, and black or work light, three times; then its end is told. */
  private void last() throws IOException {
    holders.end(laid, workLight);
    for (int i = 0; i < LAST_FRAMES; i++) {
      laid.sender().sendAll(spread(), to -> packets++);
    }
    laid.sender().terminate(spread(), to -> packets++);
  }

  /** Over so long a frame goes out: half its period, and never so long that Stop waits (ns). */
  private long spread() {
    return (long) Math.min(MOST_SPREAD_NANOS, NANOS / rate() / 2);
  }

  /** Until a moment, or until it is stopped. */
  private void await(long due) {
    long left = due - System.nanoTime();
    while (left > 0 && !stopped) {
      LockSupport.parkNanos(left);
      left = due - System.nanoTime();
    }
  }

  /** Lays the display out anew whenever its plan has changed, or its devices are elsewhere. */
  private void follow() {
    try {
      long asked = clock.millis();
      while (!stopped) {
        Thread.sleep(LOOK_MILLIS);
        Laid here = laid;
        if (next != null) {
          continue;
        } else if (look.get().version() != here.version()) {
          next = lay();
        } else if (clock.millis() - asked >= ASK_MILLIS) {
          asked = clock.millis();
          next = ground.stands(display, here.facts(), here.routes()) ? null : lay();
        }
      }
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
    } catch (IOException | RuntimeException e) {
      trouble = "the changed plan could not be laid out: " + e.getMessage();
    }
  }

  private synchronized OutputState tell(Optional<String> ended) {
    Laid here = laid;
    return new OutputState(
        display,
        here.version(),
        ground.live(),
        rate(),
        holders.told(here.lights()),
        holders.armed(),
        holders.moving(),
        pace.sent(),
        pace.unsent(),
        packets,
        here.sender().failed(),
        pace.worstNanos() / (double) NANOS_A_MILLI,
        here.leftOut().entrySet().stream()
            .map(one -> new OutputState.NotSent(here.tagOf(one.getKey()), one.getValue()))
            .toList(),
        ended);
  }
}
