package hamper.arrange;

import hamper.arrange.Cost.Fullest;
import hamper.display.HungLeg;
import hamper.display.HungRun;
import hamper.display.PieceAt;
import hamper.display.PixelString;
import hamper.display.Plan;
import hamper.display.PortRef;
import hamper.display.Prop;
import hamper.display.Whereabouts;
import hamper.facts.Facts;
import hamper.load.PortLoad;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/** What is arranged, and on what. */
final class Ground {
  private final Facts facts;
  private final Facts bare;
  private final Set<String> pieces;

  /** Those of the pieces that hang. */
  private final Set<String> moving;

  private final Yardstick measured;
  private final boolean anew;

  /**
   * @param facts of the plan as it is
   * @param bare of the plan without those of the pieces that hang
   * @param pieces to be hung
   */
  Ground(Facts facts, Facts bare, Set<String> pieces) {
    this(facts, bare, pieces, false);
  }

  /** The same, where what hangs may come off first and starts from nothing. */
  static Ground anew(Facts facts, Facts bare, Set<String> pieces) {
    return new Ground(facts, bare, pieces, true);
  }

  private Ground(Facts facts, Facts bare, Set<String> pieces, boolean anew) {
    this.facts = facts;
    this.bare = bare;
    this.pieces = pieces;
    this.anew = anew;
    moving =
        pieces.stream()
            .filter(piece -> facts.plan().leg(piece).isPresent())
            .collect(Collectors.toSet());
    measured = new Yardstick(facts.plan());
  }

  /** In which order pieces are looked at. */
  enum Order {
    /** Large props first, since they need most ports in a row. */
    BY_SIZE,
    /** Zone by zone, the nearest to a controller first: a wire is filled before it goes on. */
    BY_ZONE
  }

  /** Within a prop always as it has them. */
  List<PieceAt> piecesIn(Order order) {
    List<Prop> props = new ArrayList<>(plan().display().props());
    Comparator<Prop> bySize = Comparator.comparingInt(prop -> -prop.pieces().size());
    if (order == Order.BY_ZONE) {
      Map<String, Double> far = new HashMap<>();
      props.sort(
          Comparator.comparingDouble(
                  (Prop prop) ->
                      far.computeIfAbsent(Yardstick.key(prop.zone()), zone -> nearest(prop.zone())))
              .thenComparing(prop -> Yardstick.key(prop.zone()))
              .thenComparing(Ground::type)
              .thenComparing(bySize));
    } else {
      props.sort(bySize);
    }
    return props.stream()
        .flatMap(prop -> prop.pieces().stream())
        .filter(piece -> pieces.contains(piece.id()))
        .map(piece -> plan().existingPiece(piece.id()))
        .toList();
  }

  private static String type(Prop prop) {
    return prop.pieces().get(0) instanceof PixelString string ? string.pixelType() : "";
  }

  /** From the nearest controller (m). */
  private double nearest(Optional<String> zone) {
    return plan().display().controllers().stream()
        .mapToDouble(one -> measured.taken(Whereabouts.zone(plan(), one), zone))
        .min()
        .orElse(0);
  }

  Plan plan() {
    return facts.plan();
  }

  Set<String> pieces() {
    return pieces;
  }

  Yardstick measured() {
    return measured;
  }

  Layout layout(Weights weights) {
    return new Layout(bare, weights, measured);
  }

  /** A layout in which some of the pieces hang as a plan has them. */
  Layout replayed(Plan plan, Set<String> some, Weights weights) {
    Layout layout = layout(weights);
    for (HungRun run : (Iterable<HungRun>) plan.runs()::iterator) {
      for (HungLeg leg : run.legs()) {
        if (some.contains(leg.leg().piece())) {
          layout.find(run.port()).ifPresent(outlet -> layout.hangBack(leg.at(), outlet, leg.box()));
        }
      }
    }
    return layout;
  }

  /** What hangs, and hangs in a layout from the start. */
  Set<String> anchored() {
    return anew ? Set.of() : moving;
  }

  Trouble trouble() {
    return new Trouble(facts, moving);
  }

  /**
   * @param after with what hangs in the layout
   */
  Cost cost(Layout layout, Tally tally, Facts after) {
    Set<PortRef> touched =
        layout.placed().stream().map(one -> one.outlet().ref()).collect(Collectors.toSet());
    Least least =
        Least.of(
            layout.placed().stream().map(Placed::at).toList(),
            layout(Aim.EASIEST.weights()),
            measured);
    return Cost.of(tally, fullest(after, touched), least);
  }

  /** Of the fuses of the ports, the one that carries most of what it is rated. */
  private static Optional<Fullest> fullest(Facts after, Set<PortRef> ports) {
    return after.loads().stream()
        .filter(load -> load.fuseAmps().isPresent() && ports.contains(load.port()))
        .filter(load -> !hasFeeds(after.plan(), load))
        .max(Comparator.comparingDouble(load -> load.amps() / load.fuseAmps().get()))
        .map(
            load ->
                new Fullest(after.plan().written(load.port()), load.amps(), load.fuseAmps().get()));
  }

  /** Where power enters elsewhere too, the fuse of the port does not carry it all. */
  private static boolean hasFeeds(Plan plan, PortLoad load) {
    return plan.run(load.port()).stream()
        .flatMap(run -> run.legs().stream())
        .map(HungLeg::leg)
        .anyMatch(leg -> !leg.feeds().isEmpty());
  }
}
