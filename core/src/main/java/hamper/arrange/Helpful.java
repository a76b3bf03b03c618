package hamper.arrange;

import hamper.catalog.DeviceModel;
import hamper.catalog.PortGroup;
import hamper.catalog.PortKind;
import hamper.catalog.PortMode;
import hamper.display.Controller;
import hamper.display.PieceAt;
import hamper.display.PixelString;
import hamper.display.Plan;
import hamper.edit.AddControllers;
import hamper.edit.CutString;
import hamper.edit.Cuts;
import hamper.edit.Edit;
import hamper.edit.EditsBetween;
import hamper.edit.SetMode;
import hamper.edit.Together;
import hamper.value.RefusedException;
import java.util.Comparator;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** Changes of a plan that may help what found no place; whether one does has to be tried. */
final class Helpful {
  /** Models of which one more is thought of, those of the display first. */
  private static final int MOST_MODELS = 8;

  /** Strings that are thought of in parts, the longest that no port takes whole. */
  private static final int MOST_CUT = 3;

  /** Beyond as many parts as the roomiest port takes: in one more, voltage may reach the end. */
  private static final List<Integer> MORE_PARTS = List.of(0, 1);

  /**
   * @param told in words
   */
  record Candidate(String told, Edit edit) {
    Candidate and(Candidate other) {
      return new Candidate(
          told + "; " + other.told,
          new Together("Changes so that more fits", List.of(edit, other.edit)));
    }
  }

  private final Plan plan;
  private final List<PieceAt> left;
  private final Set<PortKind> kinds;

  /**
   * @param left what found no place
   */
  Helpful(Plan plan, List<PieceAt> left) {
    this.plan = plan;
    this.left = left;
    kinds = left.stream().map(at -> at.piece().portKind()).collect(Collectors.toSet());
  }

  /**
   * Single changes, in the order in which a planner would think of them: each as a list of ways, of
   * which the first that helps is enough.
   */
  Stream<List<Candidate>> alone() {
    Roomiest roomiest = new Roomiest(plan);
    return Stream.of(
            modes().map(List::of),
            tooLong(roomiest).map(string -> cuts(roomiest, List.of(string))),
            added().map(List::of))
        .flatMap(candidates -> candidates);
  }

  /** Other modes and more devices, each with the longest strings cut as well. */
  Stream<List<Candidate>> withCuts() {
    return Stream.concat(modes(), added())
        .map(
            candidate ->
                after(plan, candidate.edit()).map(Roomiest::new).stream()
                    .flatMap(roomiest -> cuts(roomiest, tooLong(roomiest).toList()).stream())
                    .map(candidate::and)
                    .toList());
  }

  /** The plan after an edit; empty where it does not allow it. */
  static Optional<Plan> after(Plan plan, Edit edit) {
    try {
      return Optional.of(edit.applyTo(plan).plan());
    } catch (RefusedException e) {
      return Optional.empty();
    }
  }

  /** Ways to cut some strings, all of them in the same way; none where there are none. */
  private static List<Candidate> cuts(Roomiest roomiest, List<PixelString> strings) {
    return MORE_PARTS.stream()
        .flatMap(
            more ->
                strings.stream()
                    .flatMap(
                        string ->
                            cut(roomiest.plan(), string, roomiest.parts(string) + more).stream())
                    .reduce(Candidate::and)
                    .stream())
        .toList();
  }

  private static Optional<Candidate> cut(Plan plan, PixelString string, int parts) {
    int each = PortsNeeded.parts(string.places(), parts);
    List<CutString> cuts = Cuts.of(plan, string, each, each);
    if (cuts.isEmpty()) {
      return Optional.empty();
    }
    String title = plan.existingPiece(string.id()).title();
    if (cuts.size() == 1) {
      String told = "cut %s after pixel %d".formatted(title, cuts.get(0).after());
      return Optional.of(new Candidate(told, cuts.get(0)));
    }
    int strings = cuts.size() + 1;
    String told = "cut %s into %d strings of at most %d pixels".formatted(title, strings, each);
    return Optional.of(
        new Candidate(
            told, new Together("Cut a string into %d".formatted(strings), List.copyOf(cuts))));
  }

  /** The longest first. */
  private Stream<PixelString> tooLong(Roomiest roomiest) {
    return left.stream()
        .map(PieceAt::piece)
        .filter(PixelString.class::isInstance)
        .map(PixelString.class::cast)
        .filter(string -> roomiest.parts(string) > 1)
        .sorted(Comparator.comparingInt(PixelString::places).reversed())
        .limit(MOST_CUT);
  }

  private Stream<Candidate> modes() {
    return plan.display().controllers().stream()
        .flatMap(
            controller ->
                plan.modelOf(controller).ports().stream()
                    .filter(group -> kinds.contains(group.kind()))
                    .flatMap(group -> more(controller, group))
                    .map(mode -> mode(controller, mode)));
  }

  /** Modes that have more ports than the present one. */
  private Stream<PortMode> more(Controller controller, PortGroup group) {
    int present = plan.modeOf(controller, group.kind()).map(PortMode::ports).orElse(0);
    return group.modes().stream().filter(mode -> mode.ports() > present);
  }

  private static Candidate mode(Controller controller, PortMode mode) {
    return new Candidate(
        "mode %s on %s".formatted(mode.name(), controller.tag()),
        new SetMode(controller.id(), Optional.of(mode.name())));
  }

  /** One more device of each model that has ports of the kinds, where the first of them is. */
  private Stream<Candidate> added() {
    Set<String> models = new LinkedHashSet<>();
    plan.display().controllers().forEach(one -> models.add(one.model()));
    plan.catalog().models().forEach(one -> models.add(one.id()));
    Optional<String> zone = left.stream().flatMap(at -> at.prop().zone().stream()).findFirst();
    return models.stream()
        .flatMap(id -> plan.catalog().model(id).stream())
        .filter(model -> !model.hostOnly())
        .filter(model -> model.ports().stream().anyMatch(group -> kinds.contains(group.kind())))
        .limit(MOST_MODELS)
        .flatMap(model -> one(model, zone).stream());
  }

  private Optional<Candidate> one(DeviceModel model, Optional<String> zone) {
    String id = fresh();
    AddControllers add = new AddControllers(model.id(), List.of(id));
    try {
      Controller added = add.applyTo(plan).plan().existingController(id);
      Controller placed = added.withSettings(added.settings().withZone(zone));
      String where = zone.map(one -> " at " + plan.zoneName(zone)).orElse("");
      String told = "one more %s%s".formatted(model.title(), where);
      Edit edit =
          zone.isEmpty()
              ? add
              : new Together(
                  "Add %s%s".formatted(model.title(), where),
                  List.of(add, EditsBetween.fields(added, placed)));
      return Optional.of(new Candidate(told, edit));
    } catch (RefusedException e) {
      return Optional.empty(); // such as a name that is too long
    }
  }

  private String fresh() {
    Set<String> taken =
        plan.display().controllers().stream().map(Controller::id).collect(Collectors.toSet());
    int number = plan.display().controllers().size() + 1;
    while (taken.contains("more-" + number)) {
      number++;
    }
    return "more-" + number;
  }
}
