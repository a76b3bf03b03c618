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
import java.util.Set;
import java.util.function.Supplier;
import java.util.stream.Collectors;

/** What is measured again and again while a plan is arranged: each once. */
final class Yardstick {
  /** Zones of which nobody knows how far they are apart are taken as this far (m). */
  static final double UNKNOWN_METRES = 200;

  /** No zone. */
  private static final String NOWHERE = "";

  private record Limit(String controller, String type) {}

  private final Plan plan;
  private final Map<String, Integer> indexes = new HashMap<>();

  /** By the index of a zone, the cable to each (m); a row where somebody asked. */
  private final double[][] metres;

  private final Map<String, List<String>> nearest = new HashMap<>();
  private final Map<Limit, Integer> limits = new HashMap<>();

  /** Pieces with feeds of their own along their string, wherever they hang. */
  private final Set<String> withFeeds;

  private final Map<Integer, Map<String, Double>> amps = new HashMap<>();

  Yardstick(Plan plan) {
    this.plan = plan;
    plan.display().zones().forEach(zone -> indexes.put(zone.id(), indexes.size()));
    indexes.put(NOWHERE, indexes.size());
    metres = new double[indexes.size()][];
    withFeeds =
        plan.runs()
            .flatMap(run -> run.legs().stream())
            .filter(leg -> !leg.leg().feeds().isEmpty())
            .map(leg -> leg.leg().piece())
            .collect(Collectors.toSet());
  }

  boolean hasFeeds(PieceAt at) {
    return withFeeds.contains(at.piece().id());
  }

  /** A zone by its id, or by a word of its own where there is none. */
  static String key(Optional<String> zone) {
    return zone.orElse(NOWHERE);
  }

  /** Cable from one zone to another (m), as it is estimated everywhere. */
  Optional<Double> metres(Optional<String> from, Optional<String> to) {
    double metres = between(from, to);
    return Double.isNaN(metres) ? Optional.empty() : Optional.of(metres);
  }

  /** The same; not a number where nobody knows. */
  private double between(Optional<String> from, Optional<String> to) {
    Integer row = indexes.get(key(from));
    if (metres[row] == null) {
      metres[row] = new double[indexes.size()];
      indexes.forEach(
          (zone, column) ->
              metres[row][column] =
                  Cable.metresBetween(plan, from, zoneOf(zone))
                      .map(flight -> Math.ceil(flight * Cable.DETOUR))
                      .orElse(Double.NaN));
    }
    return metres[row][indexes.get(key(to))];
  }

  /** The same, with a guess where nobody knows. */
  double taken(Optional<String> from, Optional<String> to) {
    double metres = between(from, to);
    return Double.isNaN(metres) ? UNKNOWN_METRES : metres;
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
