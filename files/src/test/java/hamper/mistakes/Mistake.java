package hamper.mistakes;

import hamper.samples.Yard;
import java.util.function.Consumer;

/**
 * One mistake: how a planner makes it on any display, and what has to be found.
 *
 * @param code of the check
 * @param make adds devices and pieces of its own, t1, t2 …, and makes the mistake with them
 * @param subject the main one: controller, port as on a cable tag, or piece
 * @param found with its unit
 * @param allowed with its unit; empty where it depends on the rest of the display
 */
record Mistake(String code, Consumer<Yard> make, String subject, String found, String allowed) {
  @Override
  public String toString() {
    return code;
  }
}
