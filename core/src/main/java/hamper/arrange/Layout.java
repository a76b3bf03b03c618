package hamper.arrange;

import hamper.address.Protocol;
import hamper.catalog.PortKind;
import hamper.catalog.PortMode;
import hamper.display.Controller;
import hamper.display.PieceAt;
import hamper.display.Plan;
import hamper.display.PortRef;
import hamper.display.Whereabouts;
import hamper.facts.Facts;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.NavigableMap;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;

/**
 * All ports while pieces are hung on them one after the other, and what each costs there. Where a
 * piece costs least is found without looking at every port: ports that are empty are alike on a
 * controller, and near ones are looked at first.
 */
final class Layout {
  /** So many ports on which something hangs are looked at for one piece. */
  private static final int MOST_SHARED = 32;

  private final Plan plan;
  private final Weights weights;
  private final Yardstick measured;
  private final Reserve reserve;
  private final Neighbours neighbours;
  private final Map<PortKind, List<Board>> boards = new EnumMap<>(PortKind.class);
  private final Map<PortKind, Map<String, Board>> byController = new EnumMap<>(PortKind.class);

  /** Boards by how near they are to a zone. */
  private final Map<PortKind, Map<String, List<Board>>> near = new EnumMap<>(PortKind.class);

  /** Ports on which something hangs, by the zone where the wire ends. */
  private final Map<PortKind, Map<String, NavigableMap<Integer, Outlet>>> begun =
      new EnumMap<>(PortKind.class);

  /**
   * In which order ports came to stand there: the latest have most room, and are looked at first.
   */
  private final Map<Outlet, Integer> since = new HashMap<>();

  private int beginnings;

  private final Map<String, Placed> placed = new LinkedHashMap<>();
  private final Map<String, Integer> used = new HashMap<>();

  /** Boards that have a remote box in a zone, with how many hang on it there. */
  private final Map<PortKind, Map<String, Map<Board, Integer>>> boxed =
      new EnumMap<>(PortKind.class);

  /**
   * @param facts before anything is hung
   */
  Layout(Facts facts, Weights weights, Yardstick measured) {
    plan = facts.plan();
    reserve = new Reserve(facts);
    neighbours = new Neighbours(plan);
    this.weights = weights;
    this.measured = measured;
    for (PortKind kind : PortKind.values()) {
      boards.put(kind, new ArrayList<>());
      byController.put(kind, new HashMap<>());
      near.put(kind, new HashMap<>());
      begun.put(kind, new HashMap<>());
      boxed.put(kind, new HashMap<>());
      for (Controller controller : plan.display().controllers()) {
        boolean drives = kind == PortKind.SERIAL || controller.protocol() != Protocol.NONE;
        int most = drives ? plan.modeOf(controller, kind).map(PortMode::ports).orElse(0) : 0;
        if (most > 0) {
          add(kind, new Board(plan, measured, controller, kind, most));
        }
      }
    }
    plan.runs()
        .filter(run -> !run.legs().isEmpty())
        .forEach(run -> used.merge(run.controller().id(), 1, Integer::sum));
  }

  private void add(PortKind kind, Board board) {
    boards.get(kind).add(board);
    byController.get(kind).put(board.controller().id(), board);
    for (Outlet outlet : board.outlets()) {
      if (!outlet.empty()) {
        begin(outlet);
        outlet.pieces().forEach(at -> box(board, outlet, at, 1));
      }
    }
  }

  private void box(Board board, Outlet outlet, PieceAt at, int more) {
    if (outlet.hasBoxes()) {
      boxed
          .get(outlet.ref().kind())
          .computeIfAbsent(Yardstick.key(at.prop().zone()), zone -> new LinkedHashMap<>())
          .merge(board, more, (before, by) -> before + by == 0 ? null : before + by);
    }
  }

  private void begin(Outlet outlet) {
    begun
        .get(outlet.ref().kind())
        .computeIfAbsent(Yardstick.key(outlet.end()), zone -> new TreeMap<>())
        .put(++beginnings, outlet);
    since.put(outlet, beginnings);
  }

  private void unbegin(Outlet outlet) {
    if (!outlet.empty()) {
      begun.get(outlet.ref().kind()).get(Yardstick.key(outlet.end())).remove(since.get(outlet));
    }
  }

  List<Board> boards(PortKind kind) {
    return boards.get(kind);
  }

  Collection<Placed> placed() {
    return placed.values();
  }

  Optional<Placed> of(String piece) {
    return Optional.ofNullable(placed.get(piece));
  }

  /** Whether anything hangs on a controller now. */
  boolean isUsed(String controller) {
    return used.getOrDefault(controller, 0) > 0;
  }

  /** From a controller to a piece (m), with a guess where nobody knows. */
  double metres(Controller controller, PieceAt at) {
    return measured.taken(Whereabouts.zone(plan, controller), at.prop().zone());
  }

  /** How full controllers were, port by port, when nothing hung on some that are taken now. */
  double roomTaken(Set<PortRef> ports) {
    Map<Board, Integer> begun = new LinkedHashMap<>();
    for (PortRef port : ports) {
      Outlet outlet = outlet(port);
      if (placed.containsKey(outlet.pieces().get(0).piece().id())) {
        begun.merge(board(outlet), 1, Integer::sum);
      }
    }
    double sum = 0;
    for (Map.Entry<Board, Integer> one : begun.entrySet()) {
      double size = one.getKey().outlets().size();
      double taken = one.getKey().taken();
      for (int back = 1; back <= one.getValue(); back++) {
        sum += taken - back / size;
      }
    }
    return sum;
  }

  Neighbours neighbours() {
    return neighbours;
  }

  /** Hangs a piece at the end of a port. */
  Placed hang(PieceAt at, Outlet outlet) {
    return hang(new Placed(at, outlet, outlet.spotOrSame(at), cost(at, outlet)));
  }

  /** Hangs a piece on the remote box on which it hung. */
  Placed hangBack(PieceAt at, Outlet outlet, int box) {
    return hang(new Placed(at, outlet, outlet.spotOn(at, box), cost(at, outlet)));
  }

  /** Hangs what was taken off where it was. */
  Placed hangBack(Placed one) {
    return hangBack(one.at(), one.outlet(), one.spot().box());
  }

  private Placed hang(Placed one) {
    PieceAt at = one.at();
    Outlet outlet = one.outlet();
    Board board = board(outlet);
    unbegin(outlet);
    outlet.add(at, one.spot().box());
    reserve.take(outlet.controller(), outlet.plannedAmps(at));
    begin(outlet);
    board.changed(outlet);
    box(board, outlet, at, 1);
    used.merge(outlet.controller().id(), 1, Integer::sum);
    neighbours.hang(at, outlet.ref());
    placed.put(one.piece(), one);
    return one;
  }

  /** Takes off a piece that hangs last on its port. */
  void takeOff(Placed one) {
    Outlet outlet = one.outlet();
    Board board = board(outlet);
    unbegin(outlet);
    outlet.removeLast();
    reserve.take(outlet.controller(), -outlet.plannedAmps(one.at()));
    if (!outlet.empty()) {
      begin(outlet);
    }
    board.changed(outlet);
    box(board, outlet, one.at(), -1);
    used.merge(outlet.controller().id(), -1, Integer::sum);
    neighbours.takeOff(one.at(), outlet.ref());
    placed.remove(one.piece());
  }

  Outlet outlet(PortRef port) {
    return byController.get(port.kind()).get(port.controller()).outlets().get(port.port() - 1);
  }

  /** A port, where its controller drives anything in its present mode. */
  Optional<Outlet> find(PortRef port) {
    return Optional.ofNullable(byController.get(port.kind()).get(port.controller()))
        .filter(board -> port.port() <= board.outlets().size())
        .map(board -> board.outlets().get(port.port() - 1));
  }

  private Board board(Outlet outlet) {
    return byController.get(outlet.ref().kind()).get(outlet.ref().controller());
  }

  /** What it costs to hang a piece at the end of a port, as things are now. */
  double cost(PieceAt at, Outlet outlet) {
    return cost(at, outlet, neighbours.beside(at));
  }

  private double cost(PieceAt at, Outlet outlet, Neighbours.Beside beside) {
    double cost = beside.cost(weights, outlet.ref());
    if (outlet.hasBoxes()) {
      Chain.Spot spot = outlet.spotOrSame(at);
      cost += spot.metres().orElse(Yardstick.UNKNOWN_METRES) * weights.metre();
      cost += spot.fresh() ? weights.box() : 0;
    } else {
      cost += measured.taken(outlet.end(), at.prop().zone()) * weights.metre();
    }
    cost += outlet.empty() ? weights.room() * board(outlet).taken() : weights.shared();
    cost += outlet.joins(at) ? weights.joined() : 0;
    cost += isUsed(outlet.controller().id()) ? 0 : weights.another();
    return cost;
  }

  /** Where a piece costs least, of all places where it may hang. */
  Optional<Outlet> best(PieceAt at, Lessons lessons) {
    Search search = new Search(at, lessons);
    search.lookAtSiblings();
    search.lookAtBegun();
    search.lookAtBoxes();
    for (Board board : near(at.piece().portKind(), at.prop().zone())) {
      if (measured.taken(board.zone(), at.prop().zone()) * weights.metre() >= search.least) {
        break;
      }
      search.lookAt(board);
    }
    return Optional.ofNullable(search.best);
  }

  private List<Board> near(PortKind kind, Optional<String> zone) {
    return near.get(kind)
        .computeIfAbsent(
            Yardstick.key(zone),
            key -> {
              List<Board> all = new ArrayList<>(boards.get(kind));
              all.sort(Comparator.comparingDouble(board -> measured.taken(board.zone(), zone)));
              return all;
            });
  }

  /** The best of the places that were looked at for a piece. */
  private final class Search {
    private final PieceAt at;
    private final PortKind kind;
    private final Lessons lessons;
    private final Neighbours.Beside beside;
    private Outlet best;
    private double least = Double.MAX_VALUE;

    Search(PieceAt at, Lessons lessons) {
      this.at = at;
      this.lessons = lessons;
      kind = at.piece().portKind();
      beside = neighbours.beside(at);
    }

    /** The port on which the rest of the prop hangs, and those after it. */
    void lookAtSiblings() {
      Optional<PortRef> sibling = beside.sibling();
      Optional<Board> board = sibling.map(ref -> byController.get(kind).get(ref.controller()));
      if (board.isPresent() && sibling.get().port() <= board.get().outlets().size()) {
        lookAt(board.get().outlets().get(sibling.get().port() - 1));
        board.get().emptyFrom(sibling.get().port() + 1).ifPresent(this::lookAt);
        lookAt(board.get());
      }
    }

    /**
     * Empty ports of a controller are alike, but for those that match, and those of other boxes.
     */
    void lookAt(Board board) {
      for (PortRef twin : beside.twins()) {
        if (twin.controller().equals(board.controller().id())) {
          board.emptyFrom(twin.port() + 1).ifPresent(this::lookAt);
        } else {
          board.emptyAt(twin.port()).ifPresent(this::lookAt);
        }
      }
      board.firstEmpty().forEach(this::lookAt);
    }

    void lookAtBoxes() {
      Map<Board, Integer> there =
          boxed.get(kind).getOrDefault(Yardstick.key(at.prop().zone()), Map.of());
      there.keySet().forEach(this::lookAt);
    }

    void lookAtBegun() {
      int looked = 0;
      Map<String, NavigableMap<Integer, Outlet>> byZone = begun.get(kind);
      for (String zone : measured.nearest(at.prop().zone())) {
        Optional<String> end = Yardstick.zoneOf(zone);
        double metres = measured.taken(end, at.prop().zone());
        if (metres * weights.metre() + weights.shared() >= least) {
          return;
        }
        NavigableMap<Integer, Outlet> ending = byZone.get(zone);
        if (ending == null) {
          continue;
        }
        for (Outlet outlet : ending.descendingMap().values()) {
          if (looked++ >= MOST_SHARED) {
            return;
          }
          lookAt(outlet);
        }
      }
    }

    private void lookAt(Outlet outlet) {
      double cost = cost(at, outlet, beside);
      if (cost < least
          && !lessons.forbid(at, outlet)
          && reserve.covers(outlet.controller(), outlet.plannedAmps(at))
          && outlet.against(at).isEmpty()) {
        cost += lessons.doubts(at, outlet);
        if (cost < least) {
          least = cost;
          best = outlet;
        }
      }
    }
  }

  /** What the supply of a controller can still give, as far as it is known (A). */
  double amps(Controller controller) {
    return reserve.of(controller);
  }

  /** Controllers on which nothing hangs in the plan. */
  boolean isNew(Controller controller) {
    return plan.runsOf(controller).stream().allMatch(run -> run.legs().isEmpty());
  }
}
