package hamper.value;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.UnaryOperator;

/**
 * Things in their order, found by their ids. Immutable. Says in its own words what is not there.
 *
 * @param <T> the things
 */
public final class Listed<T extends Identified> {
  private final String what;
  private final List<T> all;
  private final Map<String, Integer> places;

  /**
   * @param what one of them is called, such as "zone"
   * @param all of ids that differ
   */
  public Listed(String what, List<T> all) {
    this.what = what;
    this.all = List.copyOf(all);
    places = new HashMap<>(all.size() * 2);
    for (int i = 0; i < all.size(); i++) {
      places.put(all.get(i).id(), i);
    }
  }

  public List<T> all() {
    return all;
  }

  public Optional<T> find(String id) {
    return place(id).map(all::get);
  }

  /** The place of an id, from 0. */
  public Optional<Integer> place(String id) {
    return Optional.ofNullable(places.get(id));
  }

  /**
   * @throws RefusedException where nothing has this id
   */
  public T existing(String id) {
    return find(id)
        .orElseThrow(
            () ->
                new RefusedException(
                    what, Require.quoted(id), "no %s of this display has this id".formatted(what)));
  }

  /**
   * The list with more at its end.
   *
   * @throws RefusedException where one of that id is there already
   */
  public List<T> adding(List<T> more) {
    Set<String> known = new HashSet<>(places.keySet());
    List<T> changed = new ArrayList<>(all);
    for (T one : more) {
      if (!known.add(one.id())) {
        throw new RefusedException(
            what,
            Require.quoted(one.id()),
            "a %s has this id already; say what changes of it, or choose another".formatted(what));
      }
      changed.add(one);
    }
    return changed;
  }

  /** The list with each of these in the place of the one with its id, or at the end. */
  public List<T> putting(List<T> ones) {
    List<T> changed = new ArrayList<>(all);
    for (T one : ones) {
      place(one.id()).ifPresentOrElse(at -> changed.set(at, one), () -> changed.add(one));
    }
    return changed;
  }

  /**
   * The list with some changed, each in its place.
   *
   * @throws RefusedException where there is none of an id, or one cannot be so
   */
  public List<T> changing(List<String> ids, UnaryOperator<T> how) {
    List<T> changed = new ArrayList<>(all);
    for (String id : new HashSet<>(ids)) {
      T one = existing(id);
      changed.set(places.get(id), how.apply(one));
    }
    return changed;
  }

  /**
   * The list with some removed.
   *
   * @throws RefusedException where there is none of an id
   */
  public List<T> without(List<String> ids) {
    ids.forEach(this::existing);
    Set<String> gone = new HashSet<>(ids);
    return all.stream().filter(one -> !gone.contains(one.id())).toList();
  }
}
