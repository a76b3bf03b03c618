package hamper.display;

import hamper.address.Protocol;
import hamper.catalog.PortKind;
import hamper.value.Require;
import java.util.List;
import java.util.Optional;

/**
 * Everything hanging on one port, in wire order, and what is set for the port.
 *
 * @param port its number, from 1
 * @param universe of a DMX port, where it is held
 * @param brightness percent, where it is not the controller's
 */
public record Run(
    PortKind kind,
    int port,
    List<Leg> legs,
    Optional<Integer> universe,
    Optional<Integer> brightness) {
  public Run {
    Require.inRange("port", port, 1, 1024);
    Require.inRange("universe", universe, 0, Protocol.HIGHEST_UNIVERSE);
    Require.inRange("brightness", brightness, 0, 100);
    Require.that(
        universe.isEmpty() || kind == PortKind.DMX,
        "universe",
        universe.map(String::valueOf).orElse(""),
        "only a DMX port has a universe of its own");
    legs = List.copyOf(legs);
    Require.inRange("legs", legs.size(), 0, 10_000);
  }

  public static Run of(PortKind kind, int port, List<Leg> legs) {
    return new Run(kind, port, legs, Optional.empty(), Optional.empty());
  }

  public Run withLegs(List<Leg> newLegs) {
    return new Run(kind, port, newLegs, universe, brightness);
  }

  public Run withBrightness(Optional<Integer> newBrightness) {
    return new Run(kind, port, legs, universe, newBrightness);
  }

  /** Whether nothing hangs here and nothing is set, so that it need not be kept. */
  public boolean blank() {
    return legs.isEmpty() && universe.isEmpty() && brightness.isEmpty();
  }
}
