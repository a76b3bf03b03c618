package hamper.send;

import hamper.display.Circuit;
import hamper.display.Piece;
import hamper.value.Decimals;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * What moves or switches, while somebody holds it: a piece that is armed leaves its safe state only
 * so long as word of whoever holds it is not older than a second. Times and interlocks of circuits
 * count; to be safe comes before their shortest time on.
 */
public final class Motion {
  /** Without a word for so long it is released. */
  public static final long WORD_MILLIS = 1_000;

  private static final double MILLIS = 1_000;

  private static final class Held {
    final Piece piece;
    byte[] levels;
    String who = "";
    long word = Long.MIN_VALUE / 2;
    long since;
    long released = Long.MIN_VALUE / 2;
    boolean moving;

    /** Whether its longest time on is over: it has to be let go before it moves again. */
    boolean over;

    Held(Piece piece) {
      this.piece = piece;
    }
  }

  private final Map<String, Held> armed = new LinkedHashMap<>();

  /** Lets a piece be held. */
  public void arm(Piece piece) {
    armed.putIfAbsent(piece.id(), new Held(piece));
  }

  /** What is not there any more, or is another piece now, is not armed any more. */
  public void keep(Map<String, Piece> movers) {
    armed.values().removeIf(held -> !held.piece.equals(movers.get(held.piece.id())));
  }

  /** Ids of what may be held. */
  public Set<String> armed() {
    return armed.keySet();
  }

  public boolean isArmed(String piece) {
    return armed.containsKey(piece);
  }

  /**
   * A word of whoever holds a piece.
   *
   * @param levels of its slots; a circuit has one
   * @param now (ms)
   * @return why it does not move; empty where it does
   */
  public Optional<String> hold(String piece, byte[] levels, String who, long now) {
    Held held = armed.get(piece);
    if (held == null) {
      return Optional.of("it is not armed");
    }
    settle(now);
    if (held.moving && !held.who.equals(who)) {
      return Optional.of(held.who + " holds it");
    }
    boolean begins = !held.moving;
    if (held.over && now - held.word < WORD_MILLIS) {
      held.word = now;
      return Optional.of("it was on for as long as it may; let it go first");
    }
    Optional<String> refused = begins ? refuse(held, now) : Optional.empty();
    if (refused.isEmpty()) {
      held.since = begins ? now : held.since;
      held.levels = levels.clone();
      held.who = who;
      held.word = now;
      held.moving = true;
      held.over = false;
    }
    return refused;
  }

  private Optional<String> refuse(Held held, long now) {
    if (!(held.piece instanceof Circuit circuit)) {
      return Optional.empty();
    }
    double rested = (now - held.released) / MILLIS;
    if (circuit.shortestOffSeconds().filter(least -> rested < least).isPresent()) {
      return Optional.of(
          "it has to rest for %s s"
              .formatted(Decimals.rated(circuit.shortestOffSeconds().orElseThrow())));
    }
    return circuit.interlock().flatMap(group -> partner(held, group));
  }

  private Optional<String> partner(Held held, String group) {
    return armed.values().stream()
        .filter(other -> other != held && other.moving)
        .map(other -> other.piece)
        .filter(other -> other instanceof Circuit one && one.interlock().equals(Optional.of(group)))
        .map(other -> "%s is on, and never two of %s are".formatted(other.name(), group))
        .findFirst();
  }

  /** Lets a piece go: it is safe at once. */
  public void release(String piece, long now) {
    Held held = armed.get(piece);
    if (held != null && held.moving) {
      end(held, now);
    }
    if (held != null) {
      held.over = false;
    }
  }

  private static void end(Held held, long now) {
    held.moving = false;
    held.released = now;
  }

  private void settle(long now) {
    for (Held held : armed.values()) {
      if (held.moving && now - held.word >= WORD_MILLIS) {
        end(held, now);
      } else if (held.moving && isOver(held, now)) {
        held.over = true;
        end(held, now);
      }
    }
  }

  private static boolean isOver(Held held, long now) {
    return held.piece instanceof Circuit circuit
        && circuit.longestOnSeconds().filter(most -> now - held.since >= most * MILLIS).isPresent();
  }

  /** Levels of what moves now, by the id of the piece; all else is at its safe state. */
  public Map<String, byte[]> moving(long now) {
    settle(now);
    if (armed.values().stream().noneMatch(held -> held.moving)) {
      return Map.of();
    }
    Map<String, byte[]> moving = new HashMap<>();
    armed.forEach(
        (piece, held) -> {
          if (held.moving) {
            moving.put(piece, held.levels);
          }
        });
    return moving;
  }
}
