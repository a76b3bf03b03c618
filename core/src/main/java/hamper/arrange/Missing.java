package hamper.arrange;

import hamper.catalog.DeviceModel;
import hamper.catalog.PortGroup;
import hamper.catalog.PortKind;
import hamper.catalog.PortMode;
import hamper.display.Controller;
import hamper.display.PieceAt;
import hamper.display.Plan;
import hamper.edit.AddControllers;
import hamper.edit.Edit;
import hamper.edit.SetControllers;
import hamper.edit.SetMode;
import hamper.edit.Together;
import hamper.facts.Facts;
import hamper.value.RefusedException;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * What would have to be changed so that pieces fit that fit nowhere: another mode of a controller,
 * or one more controller where they are. Each change is tried before it is told.
 */
public final class Missing {
  /** Changes that are made one after the other, at most, where no single one is enough. */
  private static final int MOST_TOGETHER = 4;

  /** Changes that are told beside each other. */
  private static final int MOST_TOLD = 3;

  /** Models of which one more is tried, those of the display first. */
  private static final int MOST_MODELS = 8;

  /**
   * A change, or several together.
   *
   * @param told in words
   * @param fit how many more pieces have a place then
   * @param left how many have none even then
   */
  public record Addition(String told, Edit edit, int fit, int left) {}

  private final Set<String> wanted;
  private final Aim aim;

  private Missing(Set<String> wanted, Aim aim) {
    this.wanted = wanted;
    this.aim = aim;
  }

  /**
   * The fewest changes: single ones where any is enough, else one after the other.
   *
   * @param wanted ids of pieces, of which some fit nowhere
   * @return none where nothing helps
   */
  public static List<Addition> of(Facts facts, Set<String> wanted, Aim aim) {
    return new Missing(wanted, aim).remedies(facts);
  }

  private List<Addition> remedies(Facts facts) {
    Proposal now = Arrange.of(facts, Asked.of(wanted, aim));
    if (now.left().isEmpty()) {
      return List.of();
    }
    List<Addition> single = tried(facts, now);
    List<Addition> enough = single.stream().filter(one -> one.left() == 0).toList();
    if (!enough.isEmpty() || single.isEmpty()) {
      return enough.stream().limit(MOST_TOLD).toList();
    }
    return List.of(oneAfterTheOther(facts, now));
  }

  private Addition oneAfterTheOther(Facts facts, Proposal first) {
    List<Edit> edits = new ArrayList<>();
    List<String> told = new ArrayList<>();
    Facts changed = facts;
    Proposal now = first;
    while (edits.size() < MOST_TOGETHER && !now.left().isEmpty()) {
      Optional<Addition> next = tried(changed, now).stream().findFirst();
      if (next.isEmpty()) {
        break;
      }
      edits.add(next.get().edit());
      told.add(next.get().told());
      changed = changed.with(next.get().edit().applyTo(changed.plan()).plan());
      now = Arrange.of(changed, Asked.of(wanted, aim));
    }
    String title = String.join("; ", told);
    String shortened = "%d changes so that all fits".formatted(edits.size());
    return new Addition(
        title,
        edits.size() == 1 ? edits.get(0) : new Together(shortened, edits),
        first.left().size() - now.left().size(),
        now.left().size());
  }

  /** Those that help, the most helpful first; a mode before a device that has to be bought. */
  private List<Addition> tried(Facts facts, Proposal now) {
    return candidates(facts.plan(), now)
        .flatMap(one -> tried(facts, now, one).stream())
        .sorted(Comparator.comparingInt(Addition::left))
        .toList();
  }

  private Optional<Addition> tried(Facts facts, Proposal now, Candidate candidate) {
    Facts changed = facts.with(candidate.edit().applyTo(facts.plan()).plan());
    int left = Arrange.once(changed, wanted, aim).left().size();
    int fit = now.left().size() - left;
    return fit > 0
        ? Optional.of(new Addition(candidate.told(), candidate.edit(), fit, left))
        : Optional.empty();
  }

  private record Candidate(String told, Edit edit) {}

  private static Stream<Candidate> candidates(Plan plan, Proposal now) {
    List<PieceAt> left = now.left().stream().map(one -> plan.existingPiece(one.piece())).toList();
    Set<PortKind> kinds =
        left.stream().map(at -> at.piece().portKind()).collect(Collectors.toSet());
    return Stream.concat(modes(plan, kinds), added(plan, left, kinds));
  }

  private static Stream<Candidate> modes(Plan plan, Set<PortKind> kinds) {
    return plan.display().controllers().stream()
        .flatMap(
            controller ->
                plan.modelOf(controller).ports().stream()
                    .filter(group -> kinds.contains(group.kind()))
                    .flatMap(group -> more(plan, controller, group))
                    .map(mode -> mode(controller, mode)));
  }

  /** Modes that have more ports than the present one. */
  private static Stream<PortMode> more(Plan plan, Controller controller, PortGroup group) {
    int present = plan.modeOf(controller, group.kind()).map(PortMode::ports).orElse(0);
    return group.modes().stream().filter(mode -> mode.ports() > present);
  }

  private static Candidate mode(Controller controller, PortMode mode) {
    return new Candidate(
        "mode %s on %s".formatted(mode.name(), controller.tag()),
        new SetMode(controller.id(), Optional.of(mode.name())));
  }

  /** One more device of each model that has ports of the kinds, where the first of them is. */
  private static Stream<Candidate> added(Plan plan, List<PieceAt> left, Set<PortKind> kinds) {
    Set<String> models = new LinkedHashSet<>();
    plan.display().controllers().forEach(one -> models.add(one.model()));
    plan.catalog().models().forEach(one -> models.add(one.id()));
    Optional<String> zone = left.stream().flatMap(at -> at.prop().zone().stream()).findFirst();
    return models.stream()
        .flatMap(id -> plan.catalog().model(id).stream())
        .filter(model -> !model.hostOnly())
        .filter(model -> model.ports().stream().anyMatch(group -> kinds.contains(group.kind())))
        .limit(MOST_MODELS)
        .flatMap(model -> one(plan, model, zone).stream());
  }

  private static Optional<Candidate> one(Plan plan, DeviceModel model, Optional<String> zone) {
    String id = fresh(plan);
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
                  List.of(add, SetControllers.between(added, placed)));
      return Optional.of(new Candidate(told, edit));
    } catch (RefusedException e) {
      return Optional.empty(); // such as a name that is too long
    }
  }

  private static String fresh(Plan plan) {
    Set<String> taken =
        plan.display().controllers().stream().map(Controller::id).collect(Collectors.toSet());
    int number = plan.display().controllers().size() + 1;
    while (taken.contains("more-" + number)) {
      number++;
    }
    return "more-" + number;
  }
}
