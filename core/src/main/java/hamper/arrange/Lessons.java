package hamper.arrange;

import hamper.display.PieceAt;
import hamper.display.PixelString;
import hamper.display.PortRef;
import java.util.HashMap;
import java.util.HashSet;
import java.util.Map;
import java.util.Set;

/** What the checks taught while pieces were tried: where each may not hang. */
final class Lessons {
  /** Ports that a piece is tried on before it is left. */
  private static final int TRIES = 12;

  /** After so many it is tried on ports of its own only. */
  private static final int SHARED_TRIES = 6;

  /** What it costs to try a kind of string again on a model that was wrong for it, each time. */
  private static final double DOUBT = 400;

  /** What it costs to try a kind of string again as far away as it was wrong: a controller more. */
  private static final double TOO_FAR = 150_000;

  private record OnPort(String piece, PortRef port) {}

  private record OnController(String what, String controller) {}

  private final Set<OnPort> ports = new HashSet<>();
  private final Set<OnController> controllers = new HashSet<>();
  private final Map<OnController, Integer> models = new HashMap<>();

  /** From how far on (m) a kind of string was wrong: its cable takes too much voltage. */
  private final Map<String, Double> far = new HashMap<>();

  private final Map<String, Integer> tries = new HashMap<>();
  private final Map<String, String> firstWhy = new HashMap<>();
  private final Set<String> given = new HashSet<>();

  /** Controllers, and ports, on which nothing is to be hung for now. */
  private final Set<Object> shut = new HashSet<>();

  /** Strings that are alike fare alike. */
  private static String kind(PieceAt at) {
    return at.piece() instanceof PixelString string
        ? "%s %d".formatted(string.pixelType(), string.places())
        : at.piece().id();
  }

  /** Something was wrong with a piece where it hangs. */
  void wrong(Placed one, String why) {
    PieceAt at = one.at();
    String id = one.piece();
    Outlet outlet = one.outlet();
    firstWhy.putIfAbsent(id, why);
    one.metres().filter(m -> m > 0).ifPresent(m -> far.merge(kind(at), m, Math::min));
    ports.add(new OnPort(id, outlet.ref()));
    if (outlet.alone()) {
      controllers.add(new OnController(id, outlet.ref().controller()));
      controllers.add(new OnController(kind(at), outlet.ref().controller()));
      models.merge(new OnController(kind(at), outlet.controller().model()), 1, Integer::sum);
    }
    if (tries.merge(id, 1, Integer::sum) >= TRIES) {
      given.add(id);
    }
  }

  /** A controller has more than it can take. */
  void tooMuch(Placed one, String why) {
    firstWhy.putIfAbsent(one.piece(), why);
    controllers.add(new OnController(one.piece(), one.outlet().ref().controller()));
    if (tries.merge(one.piece(), 1, Integer::sum) >= TRIES) {
      given.add(one.piece());
    }
  }

  /** A piece is not tried any more. */
  void giveUp(String piece) {
    given.add(piece);
  }

  /**
   * @param place the id of a controller, or a port
   */
  void shut(Object place) {
    shut.add(place);
  }

  void open(Object place) {
    shut.remove(place);
  }

  boolean forbid(PieceAt at, Outlet outlet) {
    String id = at.piece().id();
    String controller = outlet.ref().controller();
    return given.contains(id)
        || !shut.isEmpty() && (shut.contains(controller) || shut.contains(outlet.ref()))
        || !outlet.empty() && tries.getOrDefault(id, 0) >= SHARED_TRIES
        || ports.contains(new OnPort(id, outlet.ref()))
        || controllers.contains(new OnController(id, controller))
        || outlet.empty() && controllers.contains(new OnController(kind(at), controller));
  }

  /** What speaks against a place though it may be right. */
  double doubts(PieceAt at, Outlet outlet) {
    if (tries.isEmpty()) {
      return 0;
    }
    String kind = kind(at);
    String model = outlet.controller().model();
    double doubts = models.getOrDefault(new OnController(kind, model), 0) * DOUBT;
    Double wrong = far.get(kind);
    boolean tooFar = wrong != null && outlet.metres(at).filter(m -> m >= wrong).isPresent();
    return tooFar ? doubts + TOO_FAR : doubts;
  }

  /**
   * What was wrong where a piece was tried first: the place that would suit it best; or nothing.
   */
  String whyNot(String piece) {
    return firstWhy.getOrDefault(piece, "");
  }
}
