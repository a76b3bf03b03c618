package hamper.arrange;

import hamper.catalog.PixelType;
import hamper.display.Cable;
import hamper.display.Controller;
import hamper.display.PieceAt;
import hamper.display.Plan;
import hamper.display.PortLimit;
import hamper.display.Zone;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Supplier;

/** What is measured again and again while a plan is arranged: each once. */
final class Yardstick {
  /** Zones of which nobody knows how far they are apart are taken as this far (m). */
  static final double UNKNOWN_METRES = 200;

  /** No zone. */
  private static final String NOWHERE = "";

  private record Pair(String from, String to) {}

  private record Limit(String controller, String type) {}

  private final Plan plan;
  private final Map<Pair, Optional<Double>> metres = new HashMap<>();
  private final Map<String, List<String>> nearest = new HashMap<>();
  private final Map<Limit, Integer> limits = new HashMap<>();

  private final Map<Integer, Map<String, Double>> amps = new HashMap<>();

  Yardstick(Plan plan) {
    this.plan = plan;
  }

  /** A zone by its id, or by a word of its own where there is none. */
  static String key(Optional<String> zone) {
    return zone.orElse(NOWHERE);
  }

  /** Cable from one zone to another (m), as it is estimated everywhere. */
  Optional<Double> metres(Optional<String> from, Optional<String> to) {
    return metres.computeIfAbsent(
        new Pair(key(from), key(to)),
        pair ->
            Cable.metresBetween(plan, from, to).map(flight -> Math.ceil(flight * Cable.DETOUR)));
  }

  /** The same, with a guess where nobody knows. */
  double taken(Optional<String> from, Optional<String> to) {
    return metres(from, to).orElse(UNKNOWN_METRES);
  }

  /** All zones and none, the nearest first. */
  List<String> nearest(Optional<String> zone) {
    return nearest.computeIfAbsent(
        key(zone),
        id -> {
          List<String> all =
              new ArrayList<>(plan.display().zones().stream().map(Zone::id).toList());
          all.add(NOWHERE);
          all.sort(Comparator.comparingDouble(other -> taken(zoneOf(other), zone)));
          return all;
        });
  }

  static Optional<String> zoneOf(String key) {
    return Optional.of(key).filter(id -> !id.isEmpty());
  }

  /**
   * What a piece draws (A).
   *
   * @param percent brightness of the port or its controller
   * @param worked out where it is not known yet
   */
  double amps(PieceAt at, int percent, Supplier<Double> worked) {
    return amps.computeIfAbsent(percent, key -> new HashMap<>())
        .computeIfAbsent(at.piece().id(), key -> worked.get());
  }

  /** Places that a port of a controller takes of a type. */
  int limit(Controller controller, PixelType type) {
    return limits.computeIfAbsent(
        new Limit(controller.id(), type.id()),
        key -> PortLimit.of(plan, controller, type).places());
  }
}
