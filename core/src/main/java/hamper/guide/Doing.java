package hamper.guide;

import hamper.pattern.Pattern;

/** What is done, by Hamper where it can, before a question is answered. */
public sealed interface Doing {
  /** Nothing that Hamper could do. */
  record Look() implements Doing {}

  /**
   * Lights a piece, and nothing else.
   *
   * @param piece its id
   */
  record Light(String piece, Pattern pattern) implements Doing {}

  /** Sends nothing for some seconds. */
  record Silence() implements Doing {}

  /** A device's own test: everything full. */
  record OwnTest(String controller) implements Doing {}

  /** A device's power taken away and given back. */
  record Restart(String controller) implements Doing {}

  /** Asks the device, where it can be asked. */
  record Ask(String controller, Reading reading) implements Doing {}
}
