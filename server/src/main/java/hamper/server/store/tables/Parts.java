package hamper.server.store.tables;

import hamper.display.Controller;
import hamper.display.Display;
import hamper.display.Prop;
import java.util.List;
import java.util.stream.IntStream;

/**
 * A display, or what of it is not in another: an edit hands on whatever it leaves alone as one and
 * the same value, so that rows need only be made of what it touched.
 *
 * @param display whole; its short lists are always compared
 * @param props those to be written
 * @param controllers those to be written
 */
record Parts(Display display, List<Placed<Prop>> props, List<Placed<Controller>> controllers) {
  /**
   * @param place in the display's list, from 0
   */
  record Placed<T>(int place, T part) {}

  /** What of a display is not, as the same value at the same place, in another. */
  static Parts beside(Display display, Display other) {
    return new Parts(
        display,
        beside(display.props(), other.props()),
        beside(display.controllers(), other.controllers()));
  }

  private static <T> List<Placed<T>> beside(List<T> parts, List<T> others) {
    return IntStream.range(0, parts.size())
        .filter(i -> i >= others.size() || parts.get(i) != others.get(i))
        .mapToObj(i -> new Placed<>(i, parts.get(i)))
        .toList();
  }
}
