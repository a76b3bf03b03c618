package hamper.display;

import hamper.catalog.PortKind;
import hamper.value.RecordShape;
import hamper.value.Require;
import java.util.Optional;

/**
 * A one-channel load: relay, dimmer channel, motor.
 *
 * @param threshold level from which it is on, 1..255
 * @param safeOn whether it rests switched on when no levels come
 * @param shortestOnSeconds it stays on at least so long (s)
 * @param shortestOffSeconds it stays off at least so long (s)
 * @param longestOnSeconds it may be on no longer (s)
 * @param interlock a name that circuits share of which never two may be on together, such as the
 *     two directions of a motor
 */
public record Circuit(
    String id,
    String name,
    int threshold,
    boolean safeOn,
    Optional<Hold> hold,
    Optional<Double> shortestOnSeconds,
    Optional<Double> shortestOffSeconds,
    Optional<Double> longestOnSeconds,
    Optional<String> interlock)
    implements Piece {
  private static final double MOST_SECONDS = 86_400;

  public Circuit {
    Require.id("id", id);
    Require.name("name", name);
    Require.inRange("threshold", threshold, 1, 255);
    Require.decimalInRange("shortestOnSeconds", shortestOnSeconds, 0.01, MOST_SECONDS);
    Require.decimalInRange("shortestOffSeconds", shortestOffSeconds, 0.01, MOST_SECONDS);
    Require.decimalInRange("longestOnSeconds", longestOnSeconds, 0.01, MOST_SECONDS);
    Require.that(
        longestOnSeconds.isEmpty()
            || shortestOnSeconds.isEmpty()
            || longestOnSeconds.get() >= shortestOnSeconds.get(),
        "longestOnSeconds",
        longestOnSeconds.map(Object::toString).orElse(""),
        "the longest time on is no shorter than the shortest, which is "
            + shortestOnSeconds.map(Object::toString).orElse(""));
    interlock.ifPresent(group -> Require.name("interlock", group));
  }

  /** That may switch as it likes. */
  public Circuit(String id, String name, int threshold, boolean safeOn, Optional<Hold> hold) {
    this(
        id,
        name,
        threshold,
        safeOn,
        hold,
        Optional.empty(),
        Optional.empty(),
        Optional.empty(),
        Optional.empty());
  }

  public Circuit withHold(Optional<Hold> newHold) {
    return RecordShape.with(this, "hold", newHold);
  }

  @Override
  public Circuit withoutHolds() {
    return withHold(Optional.empty());
  }

  @Override
  public PortKind portKind() {
    return PortKind.RELAY;
  }
}
