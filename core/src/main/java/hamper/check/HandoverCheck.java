package hamper.check;

import hamper.change.AddressAt;
import hamper.change.MovedAddress;
import hamper.config.Configuration;
import hamper.config.Output;
import hamper.display.Controller;
import hamper.display.Plan;
import hamper.facts.Facts;
import hamper.handover.ControllerHandover;
import hamper.handover.Handed;
import hamper.handover.HandoverFact;
import hamper.handover.HandoverState;
import hamper.handover.Season;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Consumer;
import java.util.stream.Collectors;

/**
 * Checks of how devices stand to the plan, by what is known beside it. Before anything was given
 * the season has not begun, and none of them finds anything.
 */
final class HandoverCheck implements Check {
  /** Finds in what is known beside the plan. */
  private interface Finder {
    void find(HandoverCheck check, Facts facts, Season season, Consumer<Finding> out);
  }

  /** More are not named one by one. */
  private static final int MOST_NAMED = 3;

  private static final int MOST_SUBJECTS = 50;

  static final HandoverCheck REFUSED =
      new HandoverCheck(
          new Page(
              "device-refused",
              Area.HANDOVER,
              Severity.FAULT,
              "The device refused what it is told",
              "What the device answered when it was given its configuration, such as that it is another model",
              "It goes on as before, or shows nothing: another device stands there than was planned."),
          HandoverCheck::refused);

  static final HandoverCheck LEFT_OUTPUTS =
      new HandoverCheck(
          new Page(
              "outputs-left",
              Area.HANDOVER,
              Severity.RISK,
              "Unused ports are still configured",
              "Outputs that the device says it has with those that the plan uses",
              "Last year's strings light along, or the device runs out of universes."),
          HandoverCheck::leftOutputs);

  static final HandoverCheck FIRMWARE =
      new HandoverCheck(
          new Page(
              "old-revision",
              Area.HANDOVER,
              Severity.RISK,
              "The device is of an older revision",
              "The revision that the device says it is with the one of the catalogue",
              "It may have fewer ports, or not know a setting; what it does then is anybody's guess."),
          HandoverCheck::firmware);

  static final HandoverCheck NEVER =
      new HandoverCheck(
          new Page(
              "never-given",
              Area.HANDOVER,
              Severity.RISK,
              "Never given its configuration",
              "Controllers with what was given, once anything of the display was given",
              "It shows nothing, or last year's show."),
          HandoverCheck::never);

  static final HandoverCheck STALE =
      new HandoverCheck(
          new Page(
              "stale",
              Area.HANDOVER,
              Severity.RISK,
              "The plan has moved on since it was given",
              "What the device is told now with what it was given, setting by setting",
              "It listens where nothing is sent any more, or its pixels show each other's colours."),
          HandoverCheck::stale);

  static final HandoverCheck STARTS =
      new HandoverCheck(
          new Page(
              "starts-moved",
              Area.HANDOVER,
              Severity.RISK,
              "Starts moved although the controller was given",
              "Each start address with the one it had when its controller was given",
              "What was made for the show before lights the wrong props."),
          HandoverCheck::starts);

  static final HandoverCheck MILESTONE =
      new HandoverCheck(
          new Page(
              "moved-since-milestone",
              Area.HANDOVER,
              Severity.HINT,
              "Props moved since the last milestone",
              "Each start address with the one at the latest milestone; one finding a display",
              "Whoever works from that milestone sends to addresses of other props."),
          HandoverCheck::milestone);

  private final Page page;
  private final Finder finder;

  private HandoverCheck(Page page, Finder finder) {
    this.page = page;
    this.finder = finder;
  }

  @Override
  public Page page() {
    return page;
  }

  @Override
  public void run(Facts facts, Consumer<Finding> out) {
    // nothing is known beside the plan
  }

  @Override
  public void run(Facts facts, Season season, Consumer<Finding> out) {
    finder.find(this, facts, season, out);
  }

  private interface Visitor {
    void visit(int index, Controller controller, Handed handed);
  }

  /** All of which anything is known. */
  private static void each(Facts facts, Season season, Visitor visitor) {
    List<Controller> all = facts.plan().display().controllers();
    for (int i = 0; i < all.size(); i++) {
      Optional<Handed> handed = season.of(all.get(i).id());
      if (handed.isPresent() && !facts.plan().modelOf(all.get(i)).hostOnly()) {
        visitor.visit(i, all.get(i), handed.get());
      }
    }
  }

  private static void refused(
      HandoverCheck check, Facts facts, Season season, Consumer<Finding> out) {
    each(
        facts,
        season,
        (i, controller, handed) -> {
          if (handed.last().kind() == HandoverFact.Kind.REFUSED) {
            out.accept(
                check.finding(
                    "%s refused what it is told: %s"
                        .formatted(controller.tag(), handed.last().why()),
                    Measure.named(handed.last().why()),
                    Measure.words("a " + facts.plan().modelOf(controller).title()),
                    List.of(Subject.controller(controller.id()))));
          }
        });
  }

  private static void leftOutputs(
      HandoverCheck check, Facts facts, Season season, Consumer<Finding> out) {
    each(
        facts,
        season,
        (i, controller, handed) -> {
          if (handed.last().kind() != HandoverFact.Kind.DIFFERENT) {
            return;
          }
          Set<String> used =
              facts.controllers().get(i).runs().stream()
                  .filter(run -> !run.run().legs().isEmpty())
                  .map(run -> "%s %d".formatted(run.port().kind(), run.port().port()))
                  .collect(Collectors.toSet());
          List<String> left =
              handed.last().told().map(Configuration::outputs).orElse(List.of()).stream()
                  .filter(Output::used)
                  .filter(output -> !used.contains("%s %d".formatted(output.kind(), output.port())))
                  .map(Output::label)
                  .toList();
          if (!left.isEmpty()) {
            out.accept(
                check.finding(
                    "%s still has outputs configured that are unused now: %s"
                        .formatted(controller.tag(), String.join(", ", left)),
                    Measure.count(left.size(), "outputs"),
                    Measure.count(0, "outputs"),
                    List.of(Subject.controller(controller.id()))));
          }
        });
  }

  private static void firmware(
      HandoverCheck check, Facts facts, Season season, Consumer<Finding> out) {
    each(
        facts,
        season,
        (i, controller, handed) -> {
          String said = handed.last().revision();
          String planned = facts.plan().modelOf(controller).revision();
          if (!said.isEmpty() && !planned.isEmpty() && isOlder(said, planned)) {
            out.accept(
                check.finding(
                    "%s says that it is revision %s; planned is %s"
                        .formatted(controller.tag(), said, planned),
                    Measure.named("revision " + said),
                    Measure.words("revision " + planned),
                    List.of(Subject.controller(controller.id()))));
          }
        });
  }

  /** By the numbers in both; one without numbers is no older than any. */
  static boolean isOlder(String said, String planned) {
    List<Integer> one = numbers(said);
    List<Integer> other = numbers(planned);
    for (int i = 0; i < Math.min(one.size(), other.size()); i++) {
      int order = one.get(i).compareTo(other.get(i));
      if (order != 0) {
        return order < 0;
      }
    }
    return !one.isEmpty() && one.size() < other.size();
  }

  private static List<Integer> numbers(String revision) {
    List<Integer> numbers = new ArrayList<>();
    for (String part : revision.split("\\D+")) {
      if (!part.isEmpty() && part.length() < 10) {
        numbers.add(Integer.valueOf(part));
      }
    }
    return numbers;
  }

  private static void never(
      HandoverCheck check, Facts facts, Season season, Consumer<Finding> out) {
    if (!season.begun()) {
      return;
    }
    for (Controller controller : facts.plan().display().controllers()) {
      Optional<Handed> handed = season.of(controller.id());
      boolean never = handed.isEmpty() || handed.get().last().kind() == HandoverFact.Kind.REPLACED;
      if (never && !facts.plan().modelOf(controller).hostOnly()) {
        out.accept(
            check.finding(
                handed.isEmpty()
                    ? "%s was never given its configuration".formatted(controller.tag())
                    : "%s is another unit now, and was never given its configuration"
                        .formatted(controller.tag()),
                Measure.words("never given"),
                Measure.words("given"),
                List.of(Subject.controller(controller.id()))));
      }
    }
  }

  private static void stale(
      HandoverCheck check, Facts facts, Season season, Consumer<Finding> out) {
    each(
        facts,
        season,
        (i, controller, handed) -> {
          ControllerHandover now = ControllerHandover.of(facts, season, i);
          if (now.state() == HandoverState.STALE) {
            out.accept(
                check.finding(
                    "%s is stale: %s".formatted(controller.tag(), named(now.differs())),
                    Measure.count(now.differs().size(), "differences"),
                    Measure.count(0, "differences"),
                    List.of(Subject.controller(controller.id()))));
          }
        });
  }

  private static void starts(
      HandoverCheck check, Facts facts, Season season, Consumer<Finding> out) {
    each(
        facts,
        season,
        (i, controller, handed) -> {
          List<MovedAddress> moved = new ArrayList<>();
          for (MovedAddress one :
              MovedAddress.between(
                  handed.addresses(), AddressAt.of(facts.plan(), facts.resolution(), i))) {
            // what hangs elsewhere now was moved by somebody's hand
            if (one.was().written().equals(one.is().written()) && one.startMoved()) {
              moved.add(one);
            }
          }
          if (!moved.isEmpty()) {
            out.accept(
                check.finding(
                    "%s: %d %s moved since it was given: %s"
                        .formatted(
                            controller.tag(),
                            moved.size(),
                            moved.size() == 1 ? "start" : "starts",
                            named(moved.stream().map(MovedAddress::told).toList())),
                    Measure.count(moved.size(), "starts moved"),
                    Measure.count(0, "starts moved"),
                    subjects(facts.plan(), Optional.of(controller), moved)));
          }
        });
  }

  private static void milestone(
      HandoverCheck check, Facts facts, Season season, Consumer<Finding> out) {
    if (season.milestone().isEmpty()) {
      return;
    }
    Season.Frozen frozen = season.milestone().get();
    List<MovedAddress> moved =
        MovedAddress.between(
            AddressAt.of(frozen.side().plan(), frozen.side().resolution()),
            AddressAt.of(facts.plan(), facts.resolution()));
    Map<String, String> props = new LinkedHashMap<>();
    moved.stream()
        .filter(MovedAddress::startMoved)
        .forEach(one -> props.putIfAbsent(one.is().prop(), one.is().name()));
    if (!props.isEmpty()) {
      out.accept(
          check.finding(
              "%d %s moved since \"%s\": %s"
                  .formatted(
                      props.size(),
                      props.size() == 1 ? "prop has" : "props have",
                      frozen.name(),
                      named(List.copyOf(props.values()))),
              Measure.count(props.size(), "props moved"),
              Measure.count(0, "props moved"),
              subjects(facts.plan(), Optional.empty(), moved)));
    }
  }

  private static List<Subject> subjects(
      Plan plan, Optional<Controller> controller, List<MovedAddress> moved) {
    List<Subject> subjects = new ArrayList<>();
    controller.ifPresent(one -> subjects.add(Subject.controller(one.id())));
    moved.stream()
        .map(one -> one.is().piece())
        .distinct()
        .limit(MOST_SUBJECTS)
        .map(
            piece ->
                plan.leg(piece)
                    .map(leg -> Subject.leg(leg.port(), piece))
                    .orElseGet(() -> Subject.piece(piece)))
        .forEach(subjects::add);
    return subjects;
  }

  private static String named(List<String> all) {
    String few = all.stream().limit(MOST_NAMED).collect(Collectors.joining("; "));
    return all.size() > MOST_NAMED
        ? "%s; and %d more".formatted(few, all.size() - MOST_NAMED)
        : few;
  }
}
