package hamper.server.api;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * What a list has become: of hundreds of entries one mostly changes, and the others are not told
 * again.
 *
 * @param size entries that it has now; what stood behind them is gone
 * @param places of those that are others than before, from 0, ascending
 * @param entries that stand there now, one for each place
 */
public record Entries<T>(int size, List<Integer> places, List<T> entries) {
  /** Nothing where both lists say the same. */
  static <T> Optional<Entries<T>> between(List<T> was, List<T> is) {
    List<Integer> places = new ArrayList<>();
    List<T> entries = new ArrayList<>();
    for (int i = 0; i < is.size(); i++) {
      if (i >= was.size() || !is.get(i).equals(was.get(i))) {
        places.add(i);
        entries.add(is.get(i));
      }
    }
    return places.isEmpty() && is.size() == was.size()
        ? Optional.empty()
        : Optional.of(new Entries<>(is.size(), places, entries));
  }
}
