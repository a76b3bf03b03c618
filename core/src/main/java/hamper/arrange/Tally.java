package hamper.arrange;

import hamper.display.PieceAt;
import hamper.display.PortRef;
import java.util.Collection;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.Map;
import java.util.Set;

/**
 * How far the wishes are met by what was hung in a layout, whoever hung it.
 *
 * @param controllers that anything was hung on
 * @param another of them, on which nothing hung before
 * @param outlets ports that anything was hung on
 * @param shared pieces that are not the first on their port
 * @param metres of cable between zones; within a zone nobody knows (m)
 * @param unknown pieces of which nobody knows how far they are
 * @param boxes remote boxes that were not there
 * @param splitProps props of which some hang on one controller and some on another
 * @param outOfOrder strings of a prop that are not on the port after the one before them
 * @param twinsApart props that belong together by their names and hang on ports that do not match
 * @param zonesOver controllers more than one, of each zone
 * @param weighed all of it by the weights of the aim
 */
record Tally(
    int controllers,
    int another,
    int outlets,
    int shared,
    double metres,
    int unknown,
    int boxes,
    int splitProps,
    int outOfOrder,
    int twinsApart,
    int zonesOver,
    double weighed) {

  /**
   * @param layout in which pieces hang now
   */
  static Tally of(Layout layout, Weights weights) {
    Collection<Placed> placed = layout.placed();
    Set<String> controllers = new LinkedHashSet<>();
    Set<String> another = new HashSet<>();
    Map<PortRef, Integer> outlets = new LinkedHashMap<>();
    Map<String, Set<String>> props = new HashMap<>();
    Map<String, Set<String>> zones = new HashMap<>();
    Social social = new Social(layout.neighbours(), weights);
    double metres = 0;
    int unknown = 0;
    int boxes = 0;
    int shared = 0;
    for (Placed one : placed) {
      PieceAt at = one.at();
      PortRef port = one.outlet().ref();
      String controller = port.controller();
      controllers.add(controller);
      if (layout.isNew(one.outlet().controller())) {
        another.add(controller);
      }
      outlets.merge(port, 1, Integer::sum);
      shared += one.outlet().pieces().get(0).equals(at) ? 0 : 1;
      metres += one.metres().orElse(0.0);
      unknown += one.metres().isPresent() ? 0 : 1;
      boxes += one.spot().fresh() ? 1 : 0;
      props.computeIfAbsent(at.prop().id(), id -> new HashSet<>()).add(controller);
      at.prop()
          .zone()
          .ifPresent(zone -> zones.computeIfAbsent(zone, id -> new HashSet<>()).add(controller));
      social.add(at, port);
    }
    int zonesOver = zones.values().stream().mapToInt(on -> on.size() - 1).sum();
    double weighed =
        (metres + unknown * Yardstick.UNKNOWN_METRES) * weights.metre()
            + boxes * weights.box()
            + shared * weights.shared()
            + joined(layout, outlets.keySet()) * weights.joined()
            + another.size() * weights.another()
            + layout.roomTaken(outlets.keySet()) * weights.room()
            + zonesOver * weights.zone()
            + social.weighed;
    return new Tally(
        controllers.size(),
        another.size(),
        outlets.size(),
        shared,
        metres,
        unknown,
        boxes,
        (int) props.values().stream().filter(on -> on.size() > 1).count(),
        social.outOfOrder,
        social.twinsApart,
        zonesOver,
        weighed);
  }

  private static int joined(Layout layout, Set<PortRef> outlets) {
    return outlets.stream()
        .mapToInt(port -> layout.outlet(port).joined(at -> layout.of(at.piece().id()).isPresent()))
        .sum();
  }

  /** Each pair once: with the one before a piece. */
  private static final class Social {
    private final Neighbours neighbours;
    private final Weights weights;
    private int outOfOrder;
    private int twinsApart;
    private double weighed;

    Social(Neighbours neighbours, Weights weights) {
      this.neighbours = neighbours;
      this.weights = weights;
    }

    void add(PieceAt at, PortRef port) {
      Neighbours.Beside beside = neighbours.beside(at);
      beside
          .siblingBefore()
          .ifPresent(
              before -> {
                weighed += Neighbours.step(weights, before, port);
                boolean next =
                    before.controller().equals(port.controller())
                        && (port.port() == before.port() || port.port() == before.port() + 1);
                outOfOrder += next ? 0 : 1;
              });
      beside
          .twinBefore()
          .filter(before -> !Neighbours.match(before, port))
          .ifPresent(
              before -> {
                weighed += weights.twin();
                twinsApart++;
              });
      weighed += beside.spread(weights, port) / 2;
    }
  }
}
