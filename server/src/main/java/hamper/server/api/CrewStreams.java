package hamper.server.api;

import hamper.server.api.Follower.Message;
import hamper.server.crew.CrewDoor;
import hamper.server.crew.CrewKeys;
import hamper.server.daemons.Daemons;
import hamper.server.handover.Seasons;
import hamper.server.store.CrewKey;
import java.time.Instant;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.SynchronousQueue;
import java.util.concurrent.ThreadPoolExecutor;
import java.util.concurrent.TimeUnit;
import java.util.function.IntSupplier;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.ApplicationListener;
import org.springframework.context.event.ContextClosedEvent;
import org.springframework.stereotype.Component;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;

/**
 * Phones that follow a display: they are told that something changed, and look for themselves. A
 * stream ends with its key, and with the door.
 */
@Component
class CrewStreams implements ApplicationListener<ContextClosedEvent> {
  private static final Logger LOG = LoggerFactory.getLogger(CrewStreams.class);
  private static final int MOST = 60;

  /** How often a stream says that it lives, and it is looked whether its key still opens (s). */
  private static final int BEAT = 5;

  private static final Message HEARTBEAT = new Message("beat", () -> "1", 0);

  private final CrewKeys keys;
  private final Map<Follower, CrewKey> all = new ConcurrentHashMap<>();
  private final ExecutorService senders =
      new ThreadPoolExecutor(
          0,
          MOST * 2,
          60,
          TimeUnit.SECONDS,
          new SynchronousQueue<>(),
          Daemons.named("crew streams"),
          new ThreadPoolExecutor.DiscardPolicy());
  private final ScheduledExecutorService heart =
      Executors.newSingleThreadScheduledExecutor(Daemons.named("crew streams"));

  CrewStreams(CrewKeys keys, CrewDoor door, Seasons seasons) {
    this.keys = keys;
    seasons.follow(this::tellStrings);
    keys.follow(this::letGoWithoutKey);
    door.follow(() -> all.keySet().forEach(Follower::letGo));
    heart.scheduleWithFixedDelay(this::beat, BEAT, BEAT, TimeUnit.SECONDS);
  }

  /**
   * @throws Followers.TooManyException where there are as many as are served
   */
  SseEmitter open(CrewKey key, IntSupplier version) {
    if (all.size() >= MOST) {
      throw new Followers.TooManyException(MOST);
    }
    Follower follower = new Follower(new SseEmitter(0L), senders, all::remove);
    all.put(follower, key);
    follower.tell(new Message("hello", () -> Integer.toString(version.getAsInt()), 0));
    return follower.emitter();
  }

  /** A display is at another version. */
  void tellPlan(String display, int version) {
    tell(display, new Message("plan", () -> Integer.toString(version), 0));
  }

  /** More is known of its strings. */
  private void tellStrings(String display) {
    tell(display, new Message("strings", () -> "1", 0));
  }

  private void tell(String display, Message message) {
    all.forEach(
        (follower, key) -> {
          if (key.display().equals(display)) {
            follower.tell(message);
          }
        });
  }

  private void beat() {
    try {
      letGoWithoutKey();
    } catch (RuntimeException e) {
      // a disk that cannot be read now ends no beat: the next one looks again
      LOG.warn("Keys of the crew were not looked at", e);
    }
    all.keySet().forEach(follower -> follower.tell(HEARTBEAT));
  }

  private void letGoWithoutKey() {
    Instant now = Instant.now();
    all.forEach(
        (follower, key) -> {
          boolean opens =
              key.opens(now)
                  && keys.of(key.display()).stream()
                      .anyMatch(one -> one.id().equals(key.id()) && one.opens(now));
          if (!opens) {
            follower.letGo();
          }
        });
  }

  @Override
  public void onApplicationEvent(ContextClosedEvent closed) {
    heart.shutdownNow();
    all.keySet().forEach(Follower::letGo);
    senders.shutdown();
  }
}
