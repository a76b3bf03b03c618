package hamper.edit;

import hamper.value.RefusedException;
import hamper.value.Require;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import java.util.function.Function;
import java.util.function.UnaryOperator;

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
   * The list with entries at its end.
   *
   * @throws RefusedException where one of that id is there already
   */
  static <T> List<T> add(List<T> all, List<T> entries, Function<T, String> id, String what) {
    Set<String> known = new HashSet<>();
    all.forEach(one -> known.add(id.apply(one)));
    List<T> changed = new ArrayList<>(all);
    for (T entry : entries) {
      if (!known.add(id.apply(entry))) {
        throw new RefusedException(
            what,
            Require.quoted(id.apply(entry)),
            "a %s has this id already; say what changes of it, or choose another".formatted(what));
      }
      changed.add(entry);
    }
    return changed;
  }

  /**
   * The list with some of its entries changed, each in its place.
   *
   * @throws RefusedException where there is no entry of an id, or an entry cannot be so
   */
  static <T> List<T> change(
      List<T> all, List<String> ids, Function<T, String> id, UnaryOperator<T> how, String what) {
    Set<String> wanted = new LinkedHashSet<>(ids);
    List<T> changed = new ArrayList<>(all);
    for (int i = 0; i < changed.size(); i++) {
      if (wanted.remove(id.apply(changed.get(i)))) {
        changed.set(i, how.apply(changed.get(i)));
      }
    }
    wanted.forEach(missing -> find(all, missing, id, what));
    return changed;
  }

  /** What an edit names: something, and not more than there can be. */
  static List<String> named(String field, List<String> ids) {
    Require.inRange(field, ids.size(), 1, PutProps.MOST);
    return List.copyOf(ids);
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
