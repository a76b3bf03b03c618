package hamper.who;

import java.util.Optional;

/**
 * What was found on a DMX line, or on a serial line.
 *
 * @param id its UID on a DMX line; on a serial line its serial number, which may be empty
 * @param place its start slot, or its unit number
 * @param width its slots, or its circuits
 * @param personality that it is in, from 1, where it says so
 * @param personalities that it has
 * @param identifying whether it blinks
 * @param collides whether several answered at once, so that nothing else is known
 */
public record LineDevice(
    String id,
    String maker,
    String model,
    int place,
    int width,
    Optional<Integer> personality,
    Optional<Integer> personalities,
    boolean identifying,
    boolean collides) {
  /** The same at another slot. */
  public LineDevice at(int newPlace) {
    return new LineDevice(
        id, maker, model, newPlace, width, personality, personalities, identifying, collides);
  }

  /** The same blinking, or not any more. */
  public LineDevice blinking(boolean on) {
    return new LineDevice(id, maker, model, place, width, personality, personalities, on, collides);
  }

  /** The last slot that it takes. */
  public int last() {
    return place + Math.max(1, width) - 1;
  }
}
