package hamper.advise;

import hamper.address.Protocol;
import hamper.advise.RescueAnswer.Dark;
import hamper.advise.RescueAnswer.Recabled;
import hamper.advise.RescueAnswer.Way;
import hamper.catalog.DeviceModel;
import hamper.change.SendDifference;
import hamper.check.Checks;
import hamper.check.Finding;
import hamper.check.Severity;
import hamper.config.SendList;
import hamper.display.Cable;
import hamper.display.Controller;
import hamper.display.HungLeg;
import hamper.display.HungRun;
import hamper.display.LegAt;
import hamper.display.PieceAt;
import hamper.display.Plan;
import hamper.display.PortRef;
import hamper.display.Prop;
import hamper.display.Whereabouts;
import hamper.edit.Edit;
import hamper.edit.ExchangeController;
import hamper.edit.PatchPieces;
import hamper.edit.Together;
import hamper.edit.UnpatchPieces;
import hamper.facts.Facts;
import hamper.still.KeepStill;
import hamper.value.RefusedException;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * What to do where a controller is dead: a spare of its model, another model, or free ports of its
 * neighbours. Each answer is tried on the plan: none brings a fault that was not there, and what
 * would bring one stays dark instead, the least missed first. No other start moves for it.
 */
public final class Rescue {
  /** Ports of neighbours that are tried for each run, the nearest first. */
  private static final int MOST_PORTS = 6;

  /** How often what does not fit is taken off a model before it is given up. */
  private static final int MOST_ROUNDS = 6;

  /** Models that are tried, those with the most ports in common first. */
  private static final int MOST_MODELS = 6;

  private final Facts facts;
  private final Plan plan;
  private final Controller dead;
  private final Set<String> faults;
  private final List<HungRun> hung;

  private Rescue(Facts facts, Controller dead) {
    this.facts = facts;
    this.plan = facts.plan();
    this.dead = dead;
    this.faults = faults(facts);
    this.hung =
        plan.runsOf(dead).stream()
            .filter(run -> !run.legs().isEmpty())
            .sorted(
                Comparator.comparingInt((HungRun run) -> rank(run)).thenComparing(HungRun::written))
            .toList();
  }

  /**
   * @param controller its id
   * @return at most one answer of each way
   */
  public static List<RescueAnswer> of(Facts facts, String controller) {
    Rescue rescue = new Rescue(facts, facts.plan().existingController(controller));
    List<RescueAnswer> answers = new ArrayList<>();
    answers.add(rescue.spare());
    rescue.otherModel().ifPresent(answers::add);
    rescue.neighbours().ifPresent(answers::add);
    return answers;
  }

  /** The rank of a run: that of its most missed prop. */
  private static int rank(HungRun run) {
    return run.legs().stream().mapToInt(leg -> rank(leg.at())).min().orElse(Prop.ANY_RANK);
  }

  private static int rank(PieceAt at) {
    return at.prop().rank().orElse(Prop.ANY_RANK);
  }

  private static Set<String> faults(Facts of) {
    return Checks.all(of).stream()
        .filter(finding -> finding.severity() == Severity.FAULT)
        .map(Remedies::key)
        .collect(Collectors.toCollection(HashSet::new));
  }

  private RescueAnswer spare() {
    return new RescueAnswer(
        Way.SPARE,
        "A spare %s in its place: same ports, same addresses; give it what %s is told"
            .formatted(plan.modelOf(dead).title(), dead.tag()),
        Optional.empty(),
        List.of(),
        List.of(),
        List.of());
  }

  /** What came of a try. */
  private record Tried(Edit edit, Facts after) {}

  private Optional<Tried> tried(List<Edit> edits, String title) {
    try {
      Edit asked = edits.size() == 1 ? edits.get(0) : new Together(title, edits);
      Edit still = KeepStill.of(plan, facts.resolution(), asked).edit();
      Edit made = new Together(title, List.of(still));
      return Optional.of(new Tried(made, facts.with(plan.with(made.change(plan)))));
    } catch (RefusedException e) {
      return Optional.empty(); // this plan does not allow it
    }
  }

  /** Faults that were not there, each with the piece or controller that it is about. */
  private List<Finding> newFaults(Facts after) {
    return Checks.all(after).stream()
        .filter(finding -> finding.severity() == Severity.FAULT)
        .filter(finding -> !faults.contains(Remedies.key(finding)))
        .toList();
  }

  private Optional<RescueAnswer> otherModel() {
    return plan.catalog().models().stream()
        .filter(model -> !model.hostOnly() && !model.id().equals(dead.model()))
        .filter(this::hasKinds)
        .sorted(Comparator.comparingInt(this::portsShort))
        .limit(MOST_MODELS)
        .flatMap(model -> exchanged(model).stream())
        .min(
            Comparator.<RescueAnswer>comparingInt(answer -> weight(answer.dark()))
                .thenComparingInt(answer -> answer.senders().size())
                .thenComparing(RescueAnswer::title));
  }

  /** How many of its runs a model has no port for at most. */
  private int portsShort(DeviceModel model) {
    return hung.stream()
        .map(run -> run.run().kind())
        .distinct()
        .mapToInt(
            kind -> {
              long wanted = hung.stream().filter(run -> run.run().kind() == kind).count();
              int ports =
                  model.portsOf(kind).stream()
                      .flatMap(group -> group.modes().stream())
                      .mapToInt(mode -> mode.ports())
                      .max()
                      .orElse(0);
              return (int) Math.max(0, wanted - ports);
            })
        .sum();
  }

  private boolean hasKinds(DeviceModel model) {
    return hung.stream().allMatch(run -> model.portsOf(run.run().kind()).isPresent());
  }

  /** How much is missed: one of rank 1 more than any number of rank 9 that hang on one device. */
  private static int weight(List<Dark> dark) {
    return dark.stream().mapToInt(one -> 1 << (2 * (9 - one.rank()))).sum();
  }

  /**
   * With another model there; what it cannot carry without a new fault goes off, and stays dark.
   */
  private Optional<RescueAnswer> exchanged(DeviceModel model) {
    // names are as long as they are, and a step of the log has a short one
    String title = "%s is replaced by another model".formatted(dead.tag());
    List<Edit> edits = new ArrayList<>();
    edits.add(new ExchangeController(dead.id(), model.id()));
    for (int round = 0; round < MOST_ROUNDS; round++) {
      Optional<Tried> tried = tried(edits, title);
      if (tried.isEmpty()) {
        return Optional.empty();
      }
      List<Finding> found = newFaults(tried.get().after());
      if (found.isEmpty()) {
        return Optional.of(
            answer(Way.OTHER_MODEL, "A %s in its place".formatted(model.title()), tried.get()));
      }
      List<String> off = new ArrayList<>();
      for (Finding finding : found) {
        leastMissed(finding, tried.get().after().plan()).ifPresent(off::add);
      }
      if (off.isEmpty()) {
        return Optional.empty();
      }
      edits.add(new UnpatchPieces(off.stream().distinct().toList()));
    }
    return Optional.empty();
  }

  /** Of the pieces that a new fault is about, the one that is missed the least. */
  private Optional<String> leastMissed(Finding finding, Plan after) {
    Set<String> pieces = new LinkedHashSet<>();
    finding
        .subjects()
        .forEach(
            subject -> {
              subject.piece().filter(id -> after.leg(id).isPresent()).ifPresent(pieces::add);
              subject
                  .port()
                  .flatMap(after::run)
                  .ifPresent(run -> run.legs().forEach(leg -> pieces.add(leg.at().piece().id())));
            });
    return pieces.stream()
        .filter(id -> after.leg(id).isPresent() && hungHere(id))
        .max(Comparator.comparingInt(id -> rank(plan.existingPiece(id))));
  }

  private boolean hungHere(String piece) {
    return plan.leg(piece)
        .map(LegAt::port)
        .filter(at -> at.controller().equals(dead.id()))
        .isPresent();
  }

  /** Each run as a whole on a free port of the same kind; what finds none stays dark. */
  private Optional<RescueAnswer> neighbours() {
    String title = "Free ports of neighbours take what hung on %s".formatted(dead.tag());
    List<Edit> edits = new ArrayList<>();
    Set<PortRef> taken = new HashSet<>();
    for (HungRun run : hung) {
      List<String> pieces = pieces(run);
      boolean found = false;
      for (PortRef port : freePorts(run, taken)) {
        List<Edit> more = new ArrayList<>(edits);
        more.add(new PatchPieces(pieces, port, Optional.empty()));
        Optional<Tried> tried = tried(more, title);
        if (tried.isPresent() && newFaults(tried.get().after()).isEmpty()) {
          edits = more;
          taken.add(port);
          found = true;
          break;
        }
      }
      if (!found) {
        edits.add(new UnpatchPieces(pieces));
      }
    }
    if (taken.isEmpty()) {
      return Optional.empty();
    }
    // what hangs nowhere may take with it what others mirror
    return tried(edits, title)
        .filter(one -> newFaults(one.after()).isEmpty())
        .map(one -> answer(Way.NEIGHBOURS, title, one));
  }

  private static List<String> pieces(HungRun run) {
    return run.legs().stream().map(leg -> leg.at().piece().id()).toList();
  }

  /** The nearest first; those that are equally far in list order. */
  private List<PortRef> freePorts(HungRun run, Set<PortRef> taken) {
    List<PortRef> free = new ArrayList<>();
    for (Controller other : neighboursByDistance()) {
      int most = plan.modeOf(other, run.run().kind()).map(mode -> mode.ports()).orElse(0);
      for (int number = 1; number <= most && free.size() < MOST_PORTS; number++) {
        PortRef port = new PortRef(other.id(), run.run().kind(), number);
        boolean empty = plan.run(port).map(there -> there.legs().isEmpty()).orElse(true);
        if (empty && !taken.contains(port)) {
          free.add(port);
        }
      }
    }
    return free;
  }

  private List<Controller> neighboursByDistance() {
    return plan.display().controllers().stream()
        .filter(other -> !other.id().equals(dead.id()))
        .filter(other -> !plan.modelOf(other).hostOnly() && other.protocol() != Protocol.NONE)
        .sorted(
            Comparator.comparingDouble(
                other ->
                    Cable.metresBetween(
                            plan, Whereabouts.zone(plan, other), Whereabouts.zone(plan, dead))
                        .orElse(Double.MAX_VALUE)))
        .toList();
  }

  private RescueAnswer answer(Way way, String title, Tried tried) {
    Plan after = tried.after().plan();
    List<Recabled> recabled = new ArrayList<>();
    List<Dark> dark = new ArrayList<>();
    for (HungRun run : hung) {
      for (HungLeg leg : run.legs()) {
        PieceAt at = leg.at();
        Optional<PortRef> to = after.leg(at.piece().id()).map(LegAt::port);
        if (to.isEmpty()) {
          dark.add(new Dark(at.piece().id(), at.title(), rank(at)));
        } else if (!to.get().equals(run.port())) {
          recabled.add(
              new Recabled(at.piece().id(), at.title(), run.written(), after.written(to.get())));
        }
      }
    }
    dark.sort(Comparator.comparingInt(Dark::rank));
    return new RescueAnswer(
        way,
        title,
        Optional.of(tried.edit()),
        recabled,
        SendDifference.lines(
            SendList.of(plan, facts.resolution()), SendList.of(after, tried.after().resolution())),
        dark);
  }
}
