package hamper.send;

import hamper.display.Piece;
import hamper.facts.ControllerFacts;
import hamper.facts.Facts;
import hamper.pattern.Pattern;
import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** All light of a display that is sent to, and who lights what of it. */
public final class Lights {
  /**
   * What one holder lights.
   *
   * @param pattern that is put on it
   * @param since when it began (ms)
   * @param order in which its supplies rise; what is not in it rises first
   * @param ceiling most light that results (percent)
   */
  public record Hold(
      String who,
      Targets what,
      Pattern pattern,
      long since,
      Ramp ramp,
      Map<String, Integer> order,
      int ceiling) {
    /** White, from the beginning of time. */
    public static Hold white(String who, Targets what, Ramp ramp, int ceiling) {
      return new Hold(who, what, Pattern.WHITE, 0, ramp, Map.of(), ceiling);
    }
  }

  /** Two want the same piece. */
  public record Clash(String piece, String who) {}

  private final Map<String, Light> lights = new LinkedHashMap<>();

  /**
   * @param layouts of those that are sent to, by the id of the controller
   */
  public static Lights of(Facts facts, Map<String, FrameLayout> layouts) {
    Lights all = new Lights();
    for (ControllerFacts own : facts.controllers()) {
      FrameLayout layout = layouts.get(own.controller().id());
      if (layout != null) {
        Light light = Light.of(facts, own, layout);
        all.lights.put(own.controller().id(), light);
      }
    }
    return all;
  }

  /** The supplies of what is hit, by id, in the order in which they are met, from 0. */
  public Map<String, Integer> supplies(Targets what) {
    Map<String, Integer> order = new LinkedHashMap<>();
    for (Light light : lights.values()) {
      for (Light.Spot spot : light.spots()) {
        if (!order.containsKey(spot.supply()) && what.hits(spot)) {
          order.put(spot.supply(), order.size());
        }
      }
    }
    return order;
  }

  /** Pieces that move or switch, by id. */
  public Map<String, Piece> movers() {
    Map<String, Piece> movers = new LinkedHashMap<>();
    lights
        .values()
        .forEach(light -> light.movers().forEach((id, mover) -> movers.put(id, mover.piece())));
    return movers;
  }

  /** The controllers on which a piece that moves hangs. */
  public List<String> controllersOf(String mover) {
    List<String> found = new ArrayList<>();
    lights.forEach(
        (controller, light) -> {
          if (light.movers().containsKey(mover)) {
            found.add(controller);
          }
        });
    return found;
  }

  /** How many pieces are hit. */
  public int hits(Targets what) {
    return (int)
        lights.entrySet().stream()
            .flatMap(
                one -> one.getValue().spots().stream().filter(what::hits).map(Light.Spot::piece))
            .distinct()
            .count();
  }

  /** A piece that somebody else holds already. */
  public Optional<Clash> clash(Targets what, String who, Collection<Hold> holds) {
    for (var one : lights.entrySet()) {
      for (Light.Spot spot : one.getValue().spots()) {
        if (what.hits(spot)) {
          for (Hold hold : holds) {
            if (!hold.who().equals(who) && hold.what().hits(spot)) {
              return Optional.of(new Clash(spot.piece(), hold.who()));
            }
          }
        }
      }
    }
    return Optional.empty();
  }

  /** Everything of a controller at its safe state, all light out. */
  public void dark(String controller, byte[] frame) {
    lights.get(controller).dark(frame);
  }

  /**
   * Fills the frame of a controller: what is held, the rest dark and safe.
   *
   * @param moving levels of what moves, by piece
   * @param readBack controllers that were seen to have what is planned
   * @param now (ms)
   */
  public void fill(
      String controller,
      byte[] frame,
      Collection<Hold> holds,
      Map<String, byte[]> moving,
      Set<String> readBack,
      long now) {
    Light light = lights.get(controller);
    light.dark(frame);
    boolean known = readBack.contains(controller);
    for (Light.Spot spot : light.spots()) {
      for (Hold hold : holds) {
        if (hold.what().hits(spot)) {
          double percent = hold.ramp().at(hold.order().getOrDefault(spot.supply(), 0), now);
          light.light(frame, spot, hold, percent, known, now);
        }
      }
    }
    moving.forEach(
        (piece, levels) -> {
          if (light.movers().containsKey(piece)) {
            light.move(frame, piece, levels);
          }
        });
  }
}
