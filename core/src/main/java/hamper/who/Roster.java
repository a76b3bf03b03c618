package hamper.who;

import hamper.address.IpAddress;
import hamper.address.Protocol;
import hamper.catalog.DeviceModel;
import hamper.display.Controller;
import hamper.display.Plan;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;

/** Who is planned beside who answered. */
public final class Roster {
  private final Plan plan;
  private final Map<String, String> serials;
  private final Set<String> asked;

  /** What was answered from one place, in whatever ways. */
  private final Map<String, List<Answer>> places = new LinkedHashMap<>();

  private final Set<String> taken = new LinkedHashSet<>();

  private Roster(Plan plan, List<Answer> answers, Map<String, String> serials, Set<String> asked) {
    this.plan = plan;
    this.serials = serials;
    this.asked = asked;
    answers.forEach(one -> places.computeIfAbsent(key(one), at -> new ArrayList<>()).add(one));
  }

  private static String key(Answer one) {
    return one.seat().map(seat -> "stands in for " + seat).orElse(one.at().text());
  }

  /**
   * @param serials of the units that were given a configuration, by the id of the controller
   * @param asked ids of controllers that would have answered, were they there
   * @return planned ones in list order, then those that nobody planned, by address; hosts only
   *     where they were heard
   */
  public static List<Present> of(
      Plan plan, List<Answer> answers, Map<String, String> serials, Set<String> asked) {
    return new Roster(plan, answers, serials, asked).all();
  }

  private List<Present> all() {
    List<Present> all = new ArrayList<>();
    Map<Controller, List<Answer>> found = new LinkedHashMap<>();
    for (Controller one : plan.display().controllers()) {
      found.put(one, atItsPlace(one));
    }
    // whoever is where it should be is not taken for another one
    for (Controller one : found.keySet()) {
      if (found.get(one).isEmpty()) {
        found.put(one, elsewhere(one));
      }
    }
    found.forEach(
        (controller, answers) -> {
          if (!answers.isEmpty()) {
            all.add(present(controller, answers));
          } else if (controller.protocol() != Protocol.NONE) {
            all.add(absent(controller));
          }
        });
    places.entrySet().stream()
        .filter(place -> !taken.contains(place.getKey()))
        .map(Map.Entry::getValue)
        .sorted(Comparator.comparing(answers -> answers.get(0).at()))
        .forEach(answers -> all.add(unknown(answers)));
    return all;
  }

  private List<Answer> atItsPlace(Controller controller) {
    List<IpAddress> own = controller.addresses();
    List<Answer> here = new ArrayList<>();
    places.forEach(
        (key, answers) -> {
          Answer first = answers.get(0);
          boolean is =
              first.seat().isPresent()
                  ? first.seat().get().equals(controller.id())
                  : own.contains(first.at());
          if (is) {
            here.addAll(answers);
            taken.add(key);
          }
        });
    return here;
  }

  /** By the serial number of what was given before, or by what it calls itself. */
  private List<Answer> elsewhere(Controller controller) {
    if (controller.protocol() == Protocol.NONE) {
      return List.of();
    }
    String serial = serials.get(controller.id());
    for (Map.Entry<String, List<Answer>> place : places.entrySet()) {
      boolean is =
          !taken.contains(place.getKey())
              && place.getValue().stream()
                  .anyMatch(
                      one ->
                          serial != null && one.serial().equals(Optional.of(serial))
                              || isName(controller, one.ownName()));
      if (is) {
        taken.add(place.getKey());
        return place.getValue();
      }
    }
    return List.of();
  }

  private static boolean isName(Controller controller, String name) {
    return name.equals(controller.tag())
        || name.equals(controller.tag() + " " + controller.name())
        || !name.isEmpty() && isCut(controller, name);
  }

  /** Some ways have room for a few letters only. */
  private static boolean isCut(Controller controller, String name) {
    String whole = controller.tag() + " " + controller.name();
    return name.length() > controller.tag().length() && whole.startsWith(name);
  }

  private Present present(Controller controller, List<Answer> answers) {
    Set<String> told = new LinkedHashSet<>();
    TreeSet<Present.State> states = new TreeSet<>(Set.of(Present.State.AS_PLANNED));
    DeviceModel planned = plan.modelOf(controller);
    Optional<String> model = model(answers);
    for (Answer one : answers) {
      one.model()
          .or(() -> modelOf(one.product()))
          .filter(id -> !id.equals(planned.id()))
          .ifPresent(
              id -> {
                states.add(Present.State.OTHER_MODEL);
                told.add(
                    "it says that it is a %s, planned is a %s"
                        .formatted(title(id, one.product()), planned.title()));
              });
      Optional<IpAddress> where = one.seat().isPresent() ? Optional.empty() : Optional.of(one.at());
      address(controller, where, "it answers at %s, planned is %s", states, told);
      if (one.way() != Way.E131) {
        address(
            controller,
            one.saysAddress(),
            "it says that its address is %s, planned is %s",
            states,
            told);
      }
      if (one.way() != Way.E131 && !one.ownName().isEmpty() && !isName(controller, one.ownName())) {
        states.add(Present.State.OTHER_NAME);
        told.add(
            "it calls itself \"%s\", planned is \"%s %s\""
                .formatted(one.ownName(), controller.tag(), controller.name()));
      }
    }
    return of(states.first(), Optional.of(controller), answers, model, List.copyOf(told));
  }

  private static void address(
      Controller controller,
      Optional<IpAddress> says,
      String sentence,
      Set<Present.State> states,
      Set<String> told) {
    boolean own =
        says.isEmpty()
            || controller.address().isEmpty()
            || controller.address().equals(says)
            || controller.adapters().stream().anyMatch(one -> one.address().equals(says.get()));
    if (!own) {
      states.add(Present.State.OTHER_ADDRESS);
      told.add(sentence.formatted(says.get(), controller.address().get()));
    }
  }

  private Present absent(Controller controller) {
    boolean wasAsked = asked.contains(controller.id());
    String why =
        controller.address().isEmpty()
            ? "it has no address"
            : wasAsked
                ? "nobody answers at %s".formatted(controller.address().get())
                : "a %s answers no question of this kind"
                    .formatted(plan.modelOf(controller).title());
    return new Present(
        wasAsked ? Present.State.MISSING : Present.State.CANNOT_BE_ASKED,
        Optional.of(controller.id()),
        Optional.empty(),
        controller.address(),
        List.of(),
        Optional.empty(),
        "",
        "",
        Optional.empty(),
        List.of(why));
  }

  private Present unknown(List<Answer> answers) {
    boolean sends = answers.stream().allMatch(one -> one.way() == Way.E131);
    String told =
        sends
            ? "it sends %d universes, and nobody planned it"
                .formatted(
                    answers.stream().flatMap(one -> one.universes().stream()).distinct().count())
            : "nobody planned a device at %s".formatted(answers.get(0).at());
    return of(Present.State.UNKNOWN, Optional.empty(), answers, model(answers), List.of(told));
  }

  private static Present of(
      Present.State state,
      Optional<Controller> controller,
      List<Answer> answers,
      Optional<String> model,
      List<String> told) {
    return new Present(
        state,
        controller.map(Controller::id),
        Optional.of(answers.get(0).at()),
        controller.flatMap(Controller::address),
        answers.stream().map(Answer::way).distinct().sorted().toList(),
        model,
        first(answers.stream().map(Answer::product).toList()),
        first(answers.stream().map(Answer::ownName).toList()),
        answers.stream().flatMap(one -> one.serial().stream()).findFirst(),
        told);
  }

  private static String first(List<String> texts) {
    return texts.stream().filter(text -> !text.isEmpty()).findFirst().orElse("");
  }

  private Optional<String> model(List<Answer> answers) {
    return answers.stream()
        .flatMap(one -> one.model().filter(id -> plan.catalog().model(id).isPresent()).stream())
        .findFirst()
        .or(() -> answers.stream().flatMap(one -> modelOf(one.product()).stream()).findFirst());
  }

  /** Of a model that the catalogue does not know what it says of itself. */
  private String title(String model, String product) {
    return plan.catalog()
        .model(model)
        .map(DeviceModel::title)
        .orElse(product.isEmpty() ? model : product);
  }

  /** The model whose name stands in what a device says of itself; the longest where several do. */
  private Optional<String> modelOf(String product) {
    String letters = letters(product);
    return plan.catalog().models().stream()
        .filter(one -> !one.hostOnly() && letters.contains(letters(one.name())))
        .filter(one -> letters.contains(letters(one.maker())))
        .max(Comparator.comparingInt(one -> one.name().length()))
        .map(DeviceModel::id);
  }

  private static String letters(String text) {
    return text.codePoints()
        .filter(Character::isLetterOrDigit)
        .map(Character::toLowerCase)
        .mapToObj(Character::toString)
        .collect(Collectors.joining());
  }
}
