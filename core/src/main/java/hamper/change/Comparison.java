package hamper.change;

import hamper.config.Configuration;
import hamper.config.Configurations;
import hamper.display.Plan;
import hamper.display.Prop;
import hamper.resolve.Resolution;
import hamper.value.Identified;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.TreeSet;
import java.util.function.Function;

/**
 * Two states of a display beside each other: what came and went, what is called or made otherwise,
 * where everything moved, and what devices have to be told otherwise.
 *
 * @param props that are not in both as they were, in the order of the later display; those that
 *     went come last
 * @param controllers likewise
 * @param moved sections that stand elsewhere
 * @param told what devices of both are told otherwise, in list order
 * @param rest other things of the display that differ, in words
 */
public record Comparison(
    List<ComparedThing> props,
    List<ComparedThing> controllers,
    List<MovedAddress> moved,
    List<ComparedTold> told,
    List<String> rest) {
  /** What became of a thing. */
  public enum Became {
    ADDED,
    REMOVED,
    RENAMED,
    CHANGED
  }

  /**
   * @param name that it has now, or had last
   * @param before what it was called, where it is called otherwise now
   * @param what differs of it, in words; empty for one that came or went
   */
  public record ComparedThing(
      String id, String name, Became became, Optional<String> before, List<String> what) {
    public ComparedThing {
      what = List.copyOf(what);
    }
  }

  /** What one device is told otherwise. */
  public record ComparedTold(String controller, String tag, List<String> lines) {
    public ComparedTold {
      lines = List.copyOf(lines);
    }
  }

  public Comparison {
    props = List.copyOf(props);
    controllers = List.copyOf(controllers);
    moved = List.copyOf(moved);
    told = List.copyOf(told);
    rest = List.copyOf(rest);
  }

  public boolean isNone() {
    return props.isEmpty()
        && controllers.isEmpty()
        && moved.isEmpty()
        && told.isEmpty()
        && rest.isEmpty();
  }

  /** A plan with its addresses. */
  public record Side(Plan plan, Resolution resolution) {}

  public static Comparison between(Side was, Side is) {
    Map<String, List<String>> words = new HashMap<>();
    TreeSet<String> rest = new TreeSet<>();
    for (String path : Difference.between(was.plan().display(), is.plan().display()).paths()) {
      String[] steps = path.split("/");
      boolean owned =
          steps.length > 2 && (steps[0].equals("props") || steps[0].equals("controllers"));
      if (owned) {
        words
            .computeIfAbsent(steps[0] + "/" + steps[1], key -> new ArrayList<>())
            .add(Difference.field(path));
      } else if (steps.length < 2
          || !(steps[0].equals("props") || steps[0].equals("controllers"))) {
        rest.add(Difference.words(path, is.plan().display()));
      } else if (steps[1].equals("order")) {
        rest.add(Difference.words(path, is.plan().display()));
      }
    }
    return new Comparison(
        things(
            "props", was.plan().display().props(), is.plan().display().props(), Prop::name, words),
        things(
            "controllers",
            was.plan().display().controllers(),
            is.plan().display().controllers(),
            one -> "%s %s".formatted(one.tag(), one.name()),
            words),
        MovedAddress.between(
            AddressAt.of(was.plan(), was.resolution()), AddressAt.of(is.plan(), is.resolution())),
        told(was, is),
        List.copyOf(rest));
  }

  private static <T extends Identified> List<ComparedThing> things(
      String list,
      List<T> before,
      List<T> after,
      Function<T, String> name,
      Map<String, List<String>> words) {
    Map<String, T> was = new LinkedHashMap<>();
    before.forEach(one -> was.put(one.id(), one));
    List<ComparedThing> compared = new ArrayList<>();
    for (T is : after) {
      T then = was.remove(is.id());
      if (then == null) {
        compared.add(
            new ComparedThing(is.id(), name.apply(is), Became.ADDED, Optional.empty(), List.of()));
      } else if (!Objects.equals(then, is)) {
        boolean renamed = !name.apply(then).equals(name.apply(is));
        compared.add(
            new ComparedThing(
                is.id(),
                name.apply(is),
                renamed ? Became.RENAMED : Became.CHANGED,
                renamed ? Optional.of(name.apply(then)) : Optional.empty(),
                words.getOrDefault(list + "/" + is.id(), List.of()).stream().distinct().toList()));
      }
    }
    was.values()
        .forEach(
            gone ->
                compared.add(
                    new ComparedThing(
                        gone.id(), name.apply(gone), Became.REMOVED, Optional.empty(), List.of())));
    return compared;
  }

  private static List<ComparedTold> told(Side was, Side is) {
    Map<String, Configuration> before = new HashMap<>();
    Configurations.of(was.plan(), was.resolution())
        .forEach(one -> before.put(one.controller(), one));
    List<ComparedTold> told = new ArrayList<>();
    for (Configuration now : Configurations.of(is.plan(), is.resolution())) {
      Configuration then = before.get(now.controller());
      if (then != null) {
        ToldDifference difference = ToldDifference.between(then, now);
        if (!difference.isNone()) {
          told.add(new ComparedTold(now.controller(), now.tag(), difference.lines()));
        }
      }
    }
    return told;
  }
}
