package hamper.server.trial;

import hamper.server.daemons.Daemons;
import hamper.server.output.Door;
import hamper.standin.Place;
import java.io.IOException;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.TimeUnit;
import tools.jackson.databind.JsonNode;

/** Asks stand-ins what they show, some at a time. */
final class DeviceEyes {
  private static final int AT_A_TIME = 4;

  /**
   * What one of them answers.
   *
   * @param away why it does not; empty where it does
   * @param millis that it took (ms)
   */
  record Seen(JsonNode state, JsonNode counters, JsonNode switches, String away, long millis) {}

  private final Door door = new Door();
  private final ExecutorService asking =
      Executors.newFixedThreadPool(AT_A_TIME, Daemons.named("looking"));

  /**
   * @param places by the id of the controller
   */
  Map<String, Seen> see(Map<String, Place> places) throws InterruptedException {
    Map<String, Future<Seen>> asked = new LinkedHashMap<>();
    places.forEach((id, place) -> asked.put(id, asking.submit(one(place))));
    Map<String, Seen> seen = new LinkedHashMap<>();
    for (var one : asked.entrySet()) {
      try {
        seen.put(one.getKey(), one.getValue().get());
      } catch (ExecutionException e) {
        throw new IllegalStateException(e.getCause());
      }
    }
    return seen;
  }

  private Callable<Seen> one(Place place) {
    return () -> {
      JsonNode nothing = Door.JSON.createObjectNode();
      try {
        JsonNode switches = door.get(place, "misbehaviour").body();
        long begin = System.nanoTime();
        Door.Answer state = door.get(place, "state");
        long millis = TimeUnit.NANOSECONDS.toMillis(System.nanoTime() - begin);
        if (state.status() != 200) {
          return new Seen(nothing, nothing, switches, state.refused(), millis);
        }
        return new Seen(state.body(), door.get(place, "counters").body(), switches, "", millis);
      } catch (IOException e) {
        return new Seen(nothing, nothing, nothing, "it does not answer", 0);
      }
    };
  }
}
