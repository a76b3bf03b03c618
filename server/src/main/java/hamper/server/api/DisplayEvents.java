package hamper.server.api;

import hamper.files.Json;
import java.io.IOException;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.CopyOnWriteArrayList;
import org.springframework.http.MediaType;
import org.springframework.stereotype.Component;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;

/** Server-sent events: other windows follow what one of them did. */
@Component
class DisplayEvents {
  /** A window that is not heard of for so long asks again by itself (ms). */
  private static final long PATIENCE = 30 * 60 * 1000L;

  private final Map<String, List<SseEmitter>> windows = new ConcurrentHashMap<>();

  SseEmitter open(String display) {
    SseEmitter emitter = new SseEmitter(PATIENCE);
    List<SseEmitter> all = windows.computeIfAbsent(display, id -> new CopyOnWriteArrayList<>());
    all.add(emitter);
    emitter.onCompletion(() -> all.remove(emitter));
    emitter.onTimeout(emitter::complete);
    emitter.onError(e -> all.remove(emitter));
    // sends the headers, so that the window knows that it is heard
    send(emitter, SseEmitter.event().name("hello").data("{}"));
    return emitter;
  }

  void publish(String display, Delta delta) {
    for (SseEmitter emitter : windows.getOrDefault(display, List.of())) {
      // the text is made here, so that a window gets exactly what the API answers
      String json = Json.MAPPER.writeValueAsString(delta);
      send(emitter, SseEmitter.event().name("delta").data(json, MediaType.TEXT_PLAIN));
    }
  }

  private static void send(SseEmitter emitter, SseEmitter.SseEventBuilder event) {
    try {
      emitter.send(event);
    } catch (IOException | IllegalStateException e) {
      // the window has gone; it asks anew when it comes back
      emitter.complete();
    }
  }
}
