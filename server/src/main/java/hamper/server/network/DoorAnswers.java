package hamper.server.network;

import hamper.server.daemons.Daemons;
import hamper.server.output.Door;
import hamper.standin.Place;
import java.io.Closeable;
import java.io.IOException;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import tools.jackson.databind.JsonNode;

/** Asks many doors the same, some at a time. */
final class DoorAnswers implements Closeable {
  private static final int AT_A_TIME = 8;

  private final Door door = new Door();
  private final ExecutorService asking =
      Executors.newFixedThreadPool(AT_A_TIME, Daemons.named("asking doors"));

  /**
   * What is answered, by what each place is called here; whoever answers nothing that can be read
   * is left out.
   *
   * @param what is asked, such as "identity"
   */
  <K> Map<K, JsonNode> get(Map<K, Place> places, String what) throws InterruptedException {
    Map<K, Future<Door.Answer>> asked = new LinkedHashMap<>();
    places.forEach((key, place) -> asked.put(key, asking.submit(() -> door.get(place, what))));
    Map<K, JsonNode> answers = new LinkedHashMap<>();
    for (Map.Entry<K, Future<Door.Answer>> one : asked.entrySet()) {
      try {
        Door.Answer answer = one.getValue().get();
        if (answer.status() == 200) {
          answers.put(one.getKey(), answer.body());
        }
      } catch (ExecutionException e) {
        if (!(e.getCause() instanceof IOException)) {
          throw new IllegalStateException(e.getCause());
        }
      }
    }
    return answers;
  }

  @Override
  public void close() {
    asking.shutdownNow();
  }
}
