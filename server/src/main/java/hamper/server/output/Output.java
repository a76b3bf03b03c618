package hamper.server.output;

import hamper.facts.Facts;
import hamper.pattern.Pattern;
import hamper.send.Targets;
import hamper.server.live.Displays;
import hamper.server.live.LiveDisplay;
import hamper.server.store.DisplayStore;
import hamper.value.Require;
import jakarta.annotation.PreDestroy;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.time.InstantSource;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.function.Consumer;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;

/**
 * Light from one sender for all windows: each may hold pieces of its own, everything that moves is
 * at its safe state unless it is armed and held. It ends by itself; whoever stops it, in whatever
 * window, stops it for all.
 */
@Component
public final class Output {
  private static final Logger LOG = LoggerFactory.getLogger(Output.class);

  /** Most light that results unless somebody says otherwise (percent). */
  public static final int USUAL_CEILING = 30;

  /** It ends by itself after so long, unless somebody says otherwise (s). */
  public static final int USUAL_SECONDS = 30 * 60;

  /** The longest that somebody may say: a night of soaking (s). */
  public static final int MOST_SECONDS = 12 * 60 * 60;

  /**
   * What somebody wants.
   *
   * @param who says so; what the same one had before is given up
   * @param pattern that is put on it
   * @param percent of full, as it is sent
   * @param ceiling most light that results (percent)
   * @param seconds after which it ends by itself
   * @param storage ids of controllers that play their own storage and are sent to all the same
   * @param armed ids of pieces that may be moved from now on
   */
  public record Wanted(
      String display,
      String who,
      Targets what,
      Pattern pattern,
      int percent,
      int ceiling,
      int seconds,
      Set<String> storage,
      Set<String> armed) {
    public Wanted {
      Require.name("who", who);
      Require.inRange("percent", percent, 0, 100);
      Require.inRange("ceiling", ceiling, 0, 100);
      Require.inRange("seconds", seconds, 1, MOST_SECONDS);
      storage = Set.copyOf(storage);
      armed = Set.copyOf(armed);
    }
  }

  /** Another display is lit already, or none. */
  public static final class BusyException extends RuntimeException {
    private static final long serialVersionUID = 1L;

    BusyException(String message) {
      super(message);
    }
  }

  /** Longest silence (s): devices take a source as lost after 2.5. */
  private static final int MOST_SILENCE = 10;

  private final Displays displays;
  private final OutputSetting setting;
  private final Ground ground;
  private final InstantSource clock = InstantSource.system();
  private final List<Consumer<OutputState>> followers = new CopyOnWriteArrayList<>();
  private Session session;

  Output(Displays displays, OutputSetting setting, Ground ground) {
    this.displays = displays;
    this.setting = setting;
    this.ground = ground;
  }

  /**
   * What is on its way now.
   *
   * @param version of the display that is laid out
   * @param frames levels by the id of the controller
   * @param senders that are ours, such as "127.0.0.1:40123"
   */
  public record Sent(int version, Map<String, byte[]> frames, Set<String> senders) {}

  /** The levels of a display that are on their way; empty while nothing of it is lit. */
  public synchronized Optional<Sent> sent(String display) {
    return Optional.ofNullable(session)
        .filter(one -> one.running() && one.display().equals(display))
        .map(Session::sent);
  }

  /** Tells somebody how it goes, about once a second and when it ends. */
  public void follow(Consumer<OutputState> follower) {
    followers.add(follower);
  }

  private void tell(OutputState state) {
    followers.forEach(follower -> follower.accept(state));
  }

  /**
   * Starts the stand-ins of all displays, out of their boxes: what each is told it is handed, or
   * told with the first light. Live it does nothing.
   */
  public void seatAll() {
    if (!(ground instanceof StandInGround)) {
      return;
    }
    for (DisplayStore.Listed one : displays.list()) {
      try {
        Facts facts = displays.get(one.id()).look().facts();
        ground.doors(one.id(), facts);
      } catch (IOException | RuntimeException e) {
        LOG.warn("The stand-ins of {} did not start", one.name(), e);
      } catch (InterruptedException e) {
        Thread.currentThread().interrupt();
        return;
      }
    }
  }

  public synchronized Optional<OutputState> now() {
    return Optional.ofNullable(session).map(Session::state);
  }

  /**
   * Lights something, beside what others light.
   *
   * @throws BusyException while another display is lit
   * @throws HeldException where another has a piece of it
   * @throws NotArmedException where what is to be armed cannot be
   */
  public synchronized OutputState light(Wanted wanted) throws InterruptedException {
    if (session != null && session.running()) {
      if (!session.display().equals(wanted.display())) {
        throw new BusyException(
            "Display %s is being lit; stop it first".formatted(session.display()));
      }
      session.addStorage(wanted.storage());
      want(session, wanted);
    } else {
      session = begun(wanted);
    }
    OutputState state = session.state();
    tell(state);
    return state;
  }

  private static void want(Session session, Wanted wanted) throws InterruptedException {
    session.arm(wanted.armed());
    session.light(wanted);
  }

  private Session begun(Wanted wanted) throws InterruptedException {
    Session begun = laid(wanted);
    try {
      want(begun, wanted);
    } catch (RuntimeException e) {
      begun.discard();
      throw e;
    }
    begun.start();
    return begun;
  }

  private Session laid(Wanted wanted) throws InterruptedException {
    LiveDisplay live = displays.get(wanted.display());
    Session begun =
        new Session(
            wanted.display(),
            () -> displays.get(live.id()).look(),
            ground,
            Source.ofTtl(setting.groupTtl()),
            session == null ? Set.of() : session.senders(),
            clock,
            this::tell);
    try {
      begun.prepare(wanted.storage());
    } catch (IOException e) {
      begun.discard();
      throw new UncheckedIOException("Nothing can be sent: " + e.getMessage(), e);
    }
    return begun;
  }

  /**
   * A word of whoever holds something that moves; without another within a second it is let go.
   *
   * @param levels of its slots; none: it is let go
   * @throws NotArmedException where it does not move
   */
  public void hold(String piece, byte[] levels, String who) throws InterruptedException {
    Session running = running();
    if (levels.length == 0) {
      running.release(piece);
    } else {
      running.hold(piece, levels, who);
    }
  }

  /** Sends nothing for some seconds, to see what devices do by themselves. */
  public void silence(int seconds) {
    running().silence(Require.inRange("seconds", seconds, 1, MOST_SILENCE));
  }

  /** One of those who light something has done; what others light goes on, else it is over. */
  public void leave(String who) throws InterruptedException {
    running().leave(who);
  }

  private synchronized Session running() {
    if (session == null || !session.running()) {
      throw new BusyException("Nothing is lit now; light something first");
    }
    return session;
  }

  /**
   * Stops whatever is sent: safe states and black, three times, then its end is told.
   *
   * @param workLight that stays on for somebody on a ladder (percent); 0: black
   */
  public void stop(int workLight) throws InterruptedException {
    Session stopping;
    synchronized (this) {
      stopping = session;
    }
    if (stopping != null && stopping.running()) {
      stopping.stop(Math.min(workLight, USUAL_CEILING));
    }
  }

  @PreDestroy
  void end() throws InterruptedException {
    stop(0);
  }
}
