package hamper.change;

import hamper.display.Accepted;
import hamper.display.BankCable;
import hamper.display.Controller;
import hamper.display.Display;
import hamper.display.Leg;
import hamper.display.PoweredInput;
import hamper.display.Prop;
import hamper.display.Run;
import java.lang.reflect.RecordComponent;
import java.util.Arrays;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;

/**
 * What of a display differs from another, thing by thing and field by field, as paths such as
 * {@code controllers/k1/settings/brightness}.
 *
 * <p>Things with an id are told apart by it, runs by their port, legs by their piece; that they
 * stand in another order is {@code /order}. In other lists an entry is told by its place, as long
 * as there are as many as before; where not, the whole list differs: there positions matter.
 *
 * @param paths in their order; a thing that came or went is named as a whole
 */
public record Difference(List<String> paths) {
  /** More paths than these are not held apart: all of it differs. */
  static final int MOST = 20_000;

  /** All of a display. */
  static final String ALL = "";

  private static final String ORDER = "order";
  private static final String LEGS = "/legs";

  public Difference {
    paths = List.copyOf(paths);
  }

  /** What an edit wrote that made one of the other. */
  public static Difference between(Display before, Display after) {
    Set<String> paths = new TreeSet<>();
    records(ALL, before, after, paths);
    return new Difference(paths.size() > MOST ? List.of(ALL) : List.copyOf(paths));
  }

  /**
   * What both write: a path of one that is a path of the other, or lies within it. Of two such
   * paths the longer one is told.
   */
  public List<String> overlap(Difference other) {
    Set<String> mine = new HashSet<>(paths);
    Set<String> theirs = new HashSet<>(other.paths);
    Set<String> both = new TreeSet<>();
    paths.stream().filter(path -> within(path, theirs)).forEach(both::add);
    other.paths.stream().filter(path -> within(path, mine)).forEach(both::add);
    return List.copyOf(both);
  }

  /** A path as people say it: "brightness of K1". */
  public static String words(String path, Display display) {
    String[] steps = path.split("/");
    if (steps.length < 2) {
      return path.isEmpty() ? "the whole display" : apart(steps[0]) + " of the display";
    }
    String thing = thing(steps[0], steps[1], display);
    String field = field(path);
    if (!field.isEmpty()) {
      return "%s of %s".formatted(field, thing);
    }
    return steps[1].equals(ORDER) ? "order of " + apart(steps[0]) : thing;
  }

  /** What of a thing a path names, such as "brightness"; empty for the thing as a whole. */
  static String field(String path) {
    String[] steps = path.split("/");
    for (int i = steps.length - 1; i > 1; i--) {
      if (!steps[i].matches("\\d+")) {
        return apart(steps[i]);
      }
    }
    return "";
  }

  private static String apart(String field) {
    return field.replaceAll("(?<=[a-z])(?=[A-Z])", " ").toLowerCase(Locale.ROOT);
  }

  private static String thing(String kind, String id, Display display) {
    Optional<String> name =
        switch (kind) {
          case "controllers" ->
              display.controllers().stream()
                  .filter(one -> one.id().equals(id))
                  .map(Controller::tag)
                  .findFirst();
          case "props" ->
              display.props().stream()
                  .filter(one -> one.id().equals(id))
                  .map(Prop::name)
                  .findFirst();
          default -> Optional.empty();
        };
    return name.orElse(id);
  }

  /** Whether a path or one that it lies within is among them. */
  private static boolean within(String path, Set<String> others) {
    for (int end = path.length(); end > 0; end = path.lastIndexOf('/', end - 1)) {
      if (others.contains(path.substring(0, end))) {
        return true;
      }
    }
    return others.contains(ALL);
  }

  private static void records(String path, Record before, Record after, Set<String> out) {
    for (RecordComponent component : before.getClass().getRecordComponents()) {
      values(
          path.isEmpty() ? component.getName() : path + "/" + component.getName(),
          value(component, before),
          value(component, after),
          out);
    }
  }

  private static void values(String path, Object before, Object after, Set<String> out) {
    if (before == after || Objects.equals(before, after)) {
      return;
    }
    if (before instanceof List<?> was && after instanceof List<?> is) {
      lists(path, was, is, out);
    } else if (before instanceof Optional<?> was
        && after instanceof Optional<?> is
        && was.isPresent()
        && is.isPresent()) {
      values(path, was.get(), is.get(), out);
    } else if (before instanceof Record was
        && before.getClass() == after.getClass()
        && before.getClass().getName().startsWith("hamper.display")) {
      records(path, was, (Record) after, out);
    } else {
      out.add(path);
    }
  }

  private static void lists(String path, List<?> all, List<?> now, Set<String> out) {
    int same = 0;
    int shorter = Math.min(all.size(), now.size());
    while (same < shorter && all.get(same) == now.get(same)) {
      same++;
    }
    int end = 0;
    while (end < shorter - same && all.get(all.size() - 1 - end) == now.get(now.size() - 1 - end)) {
      end++;
    }
    List<?> before = all.subList(same, all.size() - end);
    List<?> after = now.subList(same, now.size() - end);
    Map<String, Object> was = byKey(before);
    Map<String, Object> is = byKey(after);
    if (was.size() == before.size() && is.size() == after.size()) {
      keyed(path, was, is, out);
    } else if (before.size() == after.size()) {
      for (int i = 0; i < before.size(); i++) {
        values(path + "/" + (same + i), before.get(i), after.get(i), out);
      }
    } else {
      out.add(path);
    }
  }

  private static void keyed(
      String path, Map<String, Object> before, Map<String, Object> after, Set<String> out) {
    List<String> stayed = before.keySet().stream().filter(after::containsKey).toList();
    boolean sameOrder = stayed.equals(after.keySet().stream().filter(before::containsKey).toList());
    boolean sameThings = stayed.size() == before.size() && stayed.size() == after.size();
    if (path.endsWith(LEGS) && !(sameOrder && sameThings)) {
      out.add(path); // what hangs on a wire counts from its beginning
      return;
    }
    stayed.forEach(key -> values(path + "/" + key, before.get(key), after.get(key), out));
    before.keySet().stream()
        .filter(key -> !after.containsKey(key))
        .forEach(key -> out.add(path + "/" + key));
    after.keySet().stream()
        .filter(key -> !before.containsKey(key))
        .forEach(key -> out.add(path + "/" + key));
    if (!sameOrder) {
      out.add(path + "/" + ORDER);
    }
  }

  /** Entries by what tells them apart; without those that nothing tells apart. */
  private static Map<String, Object> byKey(List<?> entries) {
    Map<String, Object> byKey = new LinkedHashMap<>();
    for (Object entry : entries) {
      String key = keyOf(entry);
      if (key != null) {
        byKey.put(key, entry);
      }
    }
    return byKey;
  }

  private static String keyOf(Object entry) {
    if (entry instanceof Run run) {
      return run.kind() + "-" + run.port();
    } else if (entry instanceof Leg leg) {
      return leg.piece();
    } else if (entry instanceof PoweredInput input) {
      return input.bank().map(bank -> bank + "-").orElse("") + input.input();
    } else if (entry instanceof BankCable cable) {
      return cable.bank() + "-" + cable.box();
    } else if (entry instanceof Accepted accepted) {
      return accepted
          .identity()
          .orElseGet(
              () -> accepted.code() + "-" + Integer.toHexString(accepted.message().hashCode()));
    }
    if (!(entry instanceof Record)) {
      return null; // such as the row of a panel card
    }
    return Arrays.stream(entry.getClass().getRecordComponents())
        .filter(component -> component.getName().equals("id"))
        .findFirst()
        .map(component -> (String) value(component, entry))
        .orElse(null);
  }

  private static Object value(RecordComponent component, Object of) {
    try {
      return component.getAccessor().invoke(of);
    } catch (ReflectiveOperationException e) {
      throw new IllegalStateException(e); // records of the core are public
    }
  }
}
