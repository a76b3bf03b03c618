package hamper.server.output;

import hamper.config.Configuration;
import hamper.facts.ControllerFacts;
import hamper.facts.Facts;
import hamper.files.ConfigurationFiles;
import hamper.send.FrameLayout;
import hamper.send.FrameLayouts;
import hamper.send.Light;
import hamper.send.Pace;
import hamper.standin.Clock;
import hamper.standin.StandIns;
import jakarta.annotation.PreDestroy;
import java.io.IOException;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.locks.LockSupport;
import org.springframework.stereotype.Component;

/**
 * Light on stand-ins, from one sender at a time: white at a level, everything that moves at its
 * safe state. It ends by itself; whoever stops it, in whatever window, stops it for all.
 */
@Component
public final class Output {
  /** Most light that is sent unless somebody says otherwise (percent). */
  public static final int USUAL_CEILING = 30;

  /** It ends by itself after so long, unless somebody says less (s). */
  public static final int USUAL_SECONDS = 30 * 60;

  private static final int DARK_FRAMES = 3;
  private static final double NANOS = 1e9;

  /**
   * What is to be lit.
   *
   * @param percent of full, under the ceiling
   * @param storage ids of controllers that play their own storage and are sent to all the same
   */
  public record Wanted(int percent, int ceiling, int seconds, Set<String> storage) {}

  /**
   * How it goes.
   *
   * @param live whether packets leave this computer: they do not
   * @param frames that were sent
   * @param unsent frames whose time had passed
   * @param worstLateMillis the most that a frame was late (ms)
   * @param ended why it is over; left out while it goes on
   */
  public record OutputState(
      String display,
      boolean live,
      int percent,
      int ceiling,
      long secondsLeft,
      long frames,
      long unsent,
      long packets,
      double worstLateMillis,
      Optional<String> ended) {
    public boolean running() {
      return ended.isEmpty();
    }
  }

  /** Another is sending already. */
  public static final class BusyException extends RuntimeException {
    private static final long serialVersionUID = 1L;

    BusyException(String display) {
      super("Display %s is being lit; stop it first".formatted(display));
    }
  }

  private volatile OutputState now;
  private volatile boolean stopped;
  private Thread thread;
  private long packets;

  public Optional<OutputState> now() {
    return Optional.ofNullable(now);
  }

  /**
   * Begins to send.
   *
   * @throws BusyException while another is sending
   */
  public synchronized OutputState start(String display, Facts facts, Wanted wanted) {
    if (now != null && now.running()) {
      throw new BusyException(now.display());
    }
    stopped = false;
    packets = 0;
    now = told(display, wanted, wanted.seconds(), new Pace(0, 1), Optional.empty());
    thread = new Thread(() -> run(display, facts, wanted), "output");
    thread.setDaemon(true);
    thread.start();
    return now;
  }

  /** Stops whatever is sent: safe states and black, three times, then its end is told. */
  public synchronized void stop() throws InterruptedException {
    stopped = true;
    if (thread != null) {
      LockSupport.unpark(thread);
      thread.join();
    }
  }

  @PreDestroy
  void end() throws InterruptedException {
    stop();
  }

  private OutputState told(
      String display, Wanted wanted, long left, Pace pace, Optional<String> ended) {
    return new OutputState(
        display,
        false,
        Math.min(wanted.percent(), wanted.ceiling()),
        wanted.ceiling(),
        left,
        pace.sent(),
        pace.unsent(),
        packets,
        pace.worstNanos() / 1e6,
        ended);
  }

  private void run(String display, Facts facts, Wanted wanted) {
    Map<String, FrameLayout> layouts = layouts(facts, wanted);
    double rate = facts.plan().display().settings().framesPerSecond();
    long begin = System.nanoTime();
    Pace pace = new Pace(begin, rate);
    Optional<String> ended = Optional.of("its time was over");
    try (StandIns standIns = StandIns.start(Seats.of(facts), Clock.system());
        FrameSender sender =
            new FrameSender(layouts, new Routes(standIns.addresses(), FrameLayouts.of(facts)))) {
      give(facts, standIns.addresses());
      Map<String, Light> lights = lights(facts, layouts);
      lights.forEach(
          (controller, light) ->
              light.white(sender.frame(controller), wanted.percent(), wanted.ceiling()));
      long until = System.nanoTime() + (long) (wanted.seconds() * NANOS);
      pace = new Pace(System.nanoTime(), rate);
      while (!stopped && pace.due() < until) {
        await(pace.due());
        if (!stopped) {
          pace.take(System.nanoTime());
          sender.send(to -> packets++);
          long left = Math.round((until - System.nanoTime()) / NANOS);
          now = told(display, wanted, Math.max(0, left), pace, Optional.empty());
        }
      }
      lights.forEach((controller, light) -> light.dark(sender.frame(controller)));
      for (int i = 0; i < DARK_FRAMES; i++) {
        sender.send(to -> packets++);
      }
      sender.terminate(to -> packets++);
      if (stopped) {
        ended = Optional.of("it was stopped");
      }
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      ended = Optional.of("Hamper was closed");
    } catch (IOException | RuntimeException e) {
      ended = Optional.of("it failed: " + e.getMessage());
    }
    now = told(display, wanted, 0, pace, ended);
  }

  /** Until a moment, or until it is stopped. */
  private void await(long due) {
    long left = due - System.nanoTime();
    while (left > 0 && !stopped) {
      LockSupport.parkNanos(left);
      left = due - System.nanoTime();
    }
  }

  /** Only what the plan feeds live, and who was asked for by name. */
  private static Map<String, FrameLayout> layouts(Facts facts, Wanted wanted) {
    Map<String, FrameLayout> chosen = new LinkedHashMap<>();
    Map<String, FrameLayout> all = FrameLayouts.of(facts);
    for (ControllerFacts own : facts.controllers()) {
      String id = own.controller().id();
      boolean fed = !own.controller().sending().fromStorage() || wanted.storage().contains(id);
      if (fed && Seats.isSentTo(facts, own.controller())) {
        chosen.put(id, all.get(id));
      }
    }
    return chosen;
  }

  private static Map<String, Light> lights(Facts facts, Map<String, FrameLayout> layouts) {
    Map<String, Light> lights = new LinkedHashMap<>();
    for (ControllerFacts own : facts.controllers()) {
      FrameLayout layout = layouts.get(own.controller().id());
      if (layout != null) {
        lights.put(own.controller().id(), Light.of(facts, own, layout));
      }
    }
    return lights;
  }

  private static void give(Facts facts, Map<String, String> addresses)
      throws IOException, InterruptedException {
    Door door = new Door();
    for (Configuration one : facts.configurations()) {
      String address = addresses.get(one.controller());
      if (address != null) {
        door.put(address, "configuration", ConfigurationFiles.bytes(ConfigurationFiles.json(one)));
      }
    }
  }
}
