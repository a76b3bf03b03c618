package hamper.edit;

import hamper.value.RefusedException;
import hamper.value.Require;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Function;

/** Lists of things with an id. */
final class Lists {
  private Lists() {}

  /** The list with the entry in the place of the one with its id, or at the end. */
  static <T> List<T> put(List<T> all, T entry, Function<T, String> id) {
    List<T> changed = new ArrayList<>(all);
    int index = indexOf(all, id.apply(entry), id);
    if (index < 0) {
      changed.add(entry);
    } else {
      changed.set(index, entry);
    }
    return changed;
  }

  /**
   * @throws RefusedException where there is none
   */
  static <T> List<T> remove(List<T> all, String gone, Function<T, String> id, String what) {
    find(all, gone, id, what);
    return all.stream().filter(entry -> !id.apply(entry).equals(gone)).toList();
  }

  /**
   * @throws RefusedException where there is none
   */
  static <T> T find(List<T> all, String wanted, Function<T, String> id, String what) {
    int index = indexOf(all, wanted, id);
    if (index < 0) {
      throw new RefusedException(
          what, Require.quoted(wanted), "no %s of this display has this id".formatted(what));
    }
    return all.get(index);
  }

  private static <T> int indexOf(List<T> all, String wanted, Function<T, String> id) {
    for (int i = 0; i < all.size(); i++) {
      if (id.apply(all.get(i)).equals(wanted)) {
        return i;
      }
    }
    return -1;
  }
}
