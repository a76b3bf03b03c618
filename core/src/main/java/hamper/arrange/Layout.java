package hamper.arrange;

import hamper.address.Protocol;
import hamper.catalog.PortKind;
import hamper.catalog.PortMode;
import hamper.display.Controller;
import hamper.display.PieceAt;
import hamper.display.Plan;
import hamper.display.PortRef;
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
import java.util.TreeMap;

/**
 * All ports while pieces are hung on them one after the other, and what each costs there. Where a
 * piece costs least is found without looking at every port: ports that are empty are alike on a
 * controller, and near ones are looked at first.
 */
final class Layout {
  /** So many ports on which something hangs are looked at for one piece. */
  private static final int MOST_SHARED = 64;

  private final Plan plan;
  private final Aim aim;
  private final Yardstick measured;
  private final Reserve reserve;
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
  private final Map<String, List<Placed>> ofProp = new HashMap<>();

  Layout(Facts facts, Aim aim, Yardstick measured) {
    plan = facts.plan();
    reserve = new Reserve(facts);
    this.aim = aim;
    this.measured = measured;
    for (PortKind kind : PortKind.values()) {
      boards.put(kind, new ArrayList<>());
      byController.put(kind, new HashMap<>());
      near.put(kind, new HashMap<>());
      begun.put(kind, new HashMap<>());
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
    board.outlets().stream().filter(outlet -> !outlet.empty()).forEach(this::begin);
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

  /** Hangs a piece at the end of a port. */
  Placed hang(PieceAt at, Outlet outlet) {
    Placed one = new Placed(at, outlet, outlet.metres(at), cost(at, outlet));
    unbegin(outlet);
    outlet.add(at);
    reserve.take(outlet.controller(), outlet.plannedAmps(at));
    begin(outlet);
    board(outlet).changed(outlet);
    used.merge(outlet.controller().id(), 1, Integer::sum);
    ofProp.computeIfAbsent(at.prop().id(), id -> new ArrayList<>()).add(one);
    placed.put(one.piece(), one);
    return one;
  }

  /** Takes off a piece that hangs last on its port. */
  void takeOff(Placed one) {
    Outlet outlet = one.outlet();
    unbegin(outlet);
    outlet.removeLast();
    reserve.take(outlet.controller(), -outlet.plannedAmps(one.at()));
    if (!outlet.empty()) {
      begin(outlet);
    }
    board(outlet).changed(outlet);
    used.merge(outlet.controller().id(), -1, Integer::sum);
    ofProp.get(one.at().prop().id()).remove(one);
    placed.remove(one.piece());
  }

  Outlet outlet(PortRef port) {
    return byController.get(port.kind()).get(port.controller()).outlets().get(port.port() - 1);
  }

  private Board board(Outlet outlet) {
    return byController.get(outlet.ref().kind()).get(outlet.ref().controller());
  }

  /** What it costs to hang a piece at the end of a port, as things are now. */
  double cost(PieceAt at, Outlet outlet) {
    double cost = measured.taken(outlet.end(), at.prop().zone()) * aim.metre();
    if (!outlet.empty()) {
      cost += aim.shared();
    }
    if (!isUsed(outlet.controller().id())) {
      cost += aim.another();
    }
    Optional<PortRef> last = lastOf(at);
    if (last.isPresent()) {
      if (!last.get().controller().equals(outlet.ref().controller())) {
        cost += aim.split();
      } else {
        int step = outlet.ref().port() - last.get().port();
        cost += step < 0 ? aim.backwards() : Math.max(0, step - 1) * aim.skipped();
      }
    }
    return cost;
  }

  /** Where the piece of the same prop hangs that was hung last. */
  private Optional<PortRef> lastOf(PieceAt at) {
    List<Placed> siblings = ofProp.getOrDefault(at.prop().id(), List.of());
    return siblings.isEmpty()
        ? Optional.empty()
        : Optional.of(siblings.get(siblings.size() - 1).outlet().ref());
  }

  /** Where a piece costs least, of all places where it may hang. */
  Optional<Outlet> best(PieceAt at, Lessons lessons) {
    Search search = new Search(at, lessons);
    PortKind kind = at.piece().portKind();
    Optional<PortRef> last = lastOf(at);
    last.map(ref -> byController.get(kind).get(ref.controller()))
        .ifPresent(board -> search.lookAt(board, last.get().port()));
    search.lookAtBegun(kind);
    for (Board board : near(kind, at.prop().zone())) {
      if (measured.taken(board.zone(), at.prop().zone()) * aim.metre() >= search.least) {
        break;
      }
      search.lookAt(board, 0);
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
    private final Lessons lessons;
    private Outlet best;
    private double least = Double.MAX_VALUE;

    Search(PieceAt at, Lessons lessons) {
      this.at = at;
      this.lessons = lessons;
    }

    /** The first empty ports of a controller, and the first behind a port. */
    void lookAt(Board board, int behind) {
      if (behind > 0) {
        board.emptyFrom(behind + 1).ifPresent(this::lookAt);
      }
      board.emptyFrom(1).ifPresent(this::lookAt);
    }

    void lookAtBegun(PortKind kind) {
      int looked = 0;
      Map<String, NavigableMap<Integer, Outlet>> byZone = begun.get(kind);
      for (String zone : measured.nearest(at.prop().zone())) {
        Optional<String> end = Yardstick.zoneOf(zone);
        if (measured.taken(end, at.prop().zone()) * aim.metre() + aim.shared() >= least) {
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
      double cost = cost(at, outlet);
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
