package hamper.server.api;

import java.io.IOException;
import java.util.ArrayDeque;
import java.util.Optional;
import java.util.Queue;
import java.util.concurrent.Executor;
import java.util.function.Consumer;
import java.util.function.Supplier;
import org.springframework.http.MediaType;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter.SseEventBuilder;

/**
 * One window's stream. What it is told waits in a line of its own, so that a window that does not
 * read holds up nobody but itself; when too much waits, it is let go, and looks anew when it comes
 * back.
 */
final class Follower {
  /** Most messages that wait for one window. */
  private static final int MOST_WAITING = 200;

  /** Most characters of messages that wait for one window. */
  private static final int MOST_CHARACTERS = 8_000_000;

  /**
   * What a window is told.
   *
   * @param id says what it is about, so that nobody reads a text that he does not want
   * @param text is asked for when its turn comes
   * @param characters of the text, about
   */
  record Message(String name, Optional<String> id, Supplier<String> text, int characters) {
    Message(String name, Supplier<String> text, int characters) {
      this(name, Optional.empty(), text, characters);
    }

    SseEventBuilder event() {
      SseEventBuilder event = SseEmitter.event().name(name);
      id.ifPresent(event::id);
      return event.data(text.get(), MediaType.TEXT_PLAIN);
    }
  }

  private final SseEmitter emitter;
  private final Executor senders;
  private final Consumer<Follower> leave;
  private final Queue<Message> waiting = new ArrayDeque<>();
  private int characters;
  private boolean sending;
  private boolean gone;

  /**
   * @param leave told once, when the window has gone or is let go
   */
  Follower(SseEmitter emitter, Executor senders, Consumer<Follower> leave) {
    this.emitter = emitter;
    this.senders = senders;
    this.leave = leave;
    emitter.onCompletion(this::gone);
    emitter.onError(e -> gone());
    emitter.onTimeout(this::letGo);
  }

  SseEmitter emitter() {
    return emitter;
  }

  /** Puts a message into its line; never waits, never fails. */
  void tell(Message message) {
    if (!take(message)) {
      letGo();
    }
  }

  private synchronized boolean take(Message message) {
    if (gone) {
      return true;
    }
    if (waiting.size() == MOST_WAITING || characters > MOST_CHARACTERS) {
      return false;
    }
    waiting.add(message);
    characters += message.characters();
    if (!sending) {
      sending = true;
      senders.execute(this::send);
    }
    return true;
  }

  private void send() {
    try {
      for (Message message = next(); message != null; message = next()) {
        emitter.send(message.event());
      }
    } catch (IOException | RuntimeException e) {
      letGo();
    }
  }

  private synchronized Message next() {
    Message message = waiting.poll();
    sending = message != null;
    characters -= sending ? message.characters() : 0;
    return message;
  }

  /** Ends the stream; in a thread of its own, for a send that hangs may hold it. */
  void letGo() {
    gone();
    senders.execute(
        () -> {
          try {
            emitter.complete();
          } catch (RuntimeException e) {
            // it has ended already
          }
        });
  }

  private void gone() {
    synchronized (this) {
      if (gone) {
        return;
      }
      gone = true;
      waiting.clear();
    }
    leave.accept(this);
  }
}
