package hamper.server.api;

import hamper.files.Json;
import hamper.server.api.Follower.Message;
import hamper.server.crew.CrewDoor;
import hamper.server.daemons.Daemons;
import hamper.server.handover.Seasons;
import hamper.server.output.Output;
import hamper.server.output.OutputState;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.SynchronousQueue;
import java.util.concurrent.ThreadPoolExecutor;
import java.util.concurrent.TimeUnit;
import java.util.function.Supplier;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.ApplicationListener;
import org.springframework.context.event.ContextClosedEvent;
import org.springframework.stereotype.Component;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;

/** Windows that follow what others do, by server-sent events; one stream serves all displays. */
@Component
class Followers implements ApplicationListener<ContextClosedEvent> {
  private static final Logger LOG = LoggerFactory.getLogger(Followers.class);

  /** Most streams at once; the windows of one browser share one. */
  static final int MOST = 100;

  /** How often a quiet stream says that it lives, which also shows who has gone (s). */
  private static final int BEAT = 15;

  private static final Message LOST = new Message("lost", () -> "{}", 2);
  private static final Message DOOR = new Message("door", () -> "{}", 2);
  private static final Message HEARTBEAT = new Message("beat", () -> "", 0);

  /** So long what happens beside a display is gathered before windows are told of it (ms). */
  private static final int GATHERED = 80;

  private final Set<Follower> all = ConcurrentHashMap.newKeySet();

  /** Displays of which windows are about to be told. */
  private final Set<String> toldOf = ConcurrentHashMap.newKeySet();

  /** What is to be told while the server closes is not told any more; that fails nobody's edit. */
  private final ExecutorService senders =
      new ThreadPoolExecutor(
          0,
          Integer.MAX_VALUE,
          60,
          TimeUnit.SECONDS,
          new SynchronousQueue<>(),
          Daemons.named("followers"),
          new ThreadPoolExecutor.DiscardPolicy());

  private final ScheduledExecutorService heart =
      Executors.newSingleThreadScheduledExecutor(Daemons.named("followers"));

  Followers(Output output, Seasons seasons, CrewDoor door) {
    output.follow(this::tell);
    seasons.follow(this::tellHandover);
    door.follow(() -> all.forEach(follower -> follower.tell(DOOR)));
    heart.scheduleWithFixedDelay(this::beat, BEAT, BEAT, TimeUnit.SECONDS);
  }

  /** What a stream begins with: who has an older version looks anew. */
  record Hello(Map<String, Integer> versions) {}

  /** A step of one display. */
  record Told(String display, Delta delta) {}

  /**
   * @param hello is asked for once the window cannot miss a step any more
   * @throws TooManyException where there are as many as are served
   */
  SseEmitter open(Supplier<Hello> hello) {
    if (all.size() >= MOST) {
      throw new TooManyException(MOST);
    }
    Follower follower = new Follower(new SseEmitter(0L), senders, all::remove);
    all.add(follower);
    follower.tell(new Message("hello", () -> Json.MAPPER.writeValueAsString(hello.get()), 0));
    return follower.emitter();
  }

  /**
   * Tells all of them; a stored step does not fail by it. The id of the event is display and
   * version: whoever made the step has it from its answer.
   */
  void tell(String display, Delta delta) {
    if (all.isEmpty()) {
      return;
    }
    try {
      // the text is made here, so that a window gets exactly what the API answers
      String json = Json.MAPPER.writeValueAsString(new Told(display, delta));
      Optional<String> id = Optional.of(display + " " + delta.version());
      Message message = new Message("delta", id, () -> json, json.length());
      all.forEach(follower -> follower.tell(message));
    } catch (RuntimeException e) {
      LOG.warn("Windows were not told of version {}; they look anew", delta.version(), e);
      all.forEach(follower -> follower.tell(LOST));
    }
  }

  /** Tells all of them how sending goes; who misses one gets the next. */
  void tell(OutputState state) {
    if (!all.isEmpty()) {
      Message message = new Message("output", () -> Json.MAPPER.writeValueAsString(state), 0);
      all.forEach(follower -> follower.tell(message));
    }
  }

  /** Tells all of them that more is known beside a display; they look for themselves. */
  void tellHandover(String display) {
    if (!all.isEmpty() && toldOf.add(display)) {
      heart.schedule(
          () -> {
            toldOf.remove(display);
            String json = Json.MAPPER.writeValueAsString(Map.of("display", display));
            Message message = new Message("handover", () -> json, 0);
            all.forEach(follower -> follower.tell(message));
          },
          GATHERED,
          TimeUnit.MILLISECONDS);
    }
  }

  private void beat() {
    all.forEach(follower -> follower.tell(HEARTBEAT));
  }

  /** Before the web server closes, which would wait for streams. */
  @Override
  public void onApplicationEvent(ContextClosedEvent closed) {
    heart.shutdownNow();
    all.forEach(Follower::letGo);
    senders.shutdown();
  }

  /** More windows follow than are served. */
  static final class TooManyException extends RuntimeException {
    TooManyException(int most) {
      super("%d windows follow already, and more are not served; close some".formatted(most));
    }
  }
}
