package hamper.arrange;

import hamper.catalog.Banks;
import hamper.catalog.PortGroup;
import hamper.catalog.PortKind;
import hamper.display.Controller;
import hamper.display.Plan;
import hamper.display.Whereabouts;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** The ports of one kind of a controller, while things are hung on them. */
final class Board {
  private final Controller controller;
  private final Optional<String> zone;
  private final List<Outlet> outlets = new ArrayList<>();

  /** Ports of one bank; all of them where there are none. */
  private final int alike;

  /** By port number less one: what nothing hangs on, which are all alike. */
  private final BitSet empty = new BitSet();

  Board(Plan plan, Yardstick measured, Controller controller, PortKind kind, int ports) {
    this.controller = controller;
    zone = Whereabouts.zone(plan, controller);
    Optional<Banks> banks = plan.modelOf(controller).portsOf(kind).flatMap(PortGroup::banks);
    alike = banks.map(Banks::ports).orElse(ports);
    Map<Integer, Chain> chains = new HashMap<>();
    for (int number = 1; number <= ports; number++) {
      int port = number;
      Optional<Chain> chain =
          banks.map(
              all ->
                  chains.computeIfAbsent(
                      all.bankOf(port), bank -> new Chain(measured, controller, zone, all, bank)));
      Outlet outlet = Outlet.of(plan, measured, controller, kind, number, chain);
      outlets.add(outlet);
      empty.set(number - 1, outlet.empty());
    }
  }

  Controller controller() {
    return controller;
  }

  Optional<String> zone() {
    return zone;
  }

  List<Outlet> outlets() {
    return outlets;
  }

  /** How many ports one cable brings to where something hangs. */
  int portsOfACable() {
    return outlets.get(0).hasBoxes() ? alike : 1;
  }

  /** The first that is empty from a port number on. */
  Optional<Outlet> emptyFrom(int number) {
    int at = empty.nextSetBit(number - 1);
    return at < 0 ? Optional.empty() : Optional.of(outlets.get(at));
  }

  /** The first that is empty, of each bank where there are banks. */
  List<Outlet> firstEmpty() {
    List<Outlet> all = new ArrayList<>();
    for (int from = 1; from <= outlets.size(); from += alike) {
      int end = from + alike;
      emptyFrom(from).filter(outlet -> outlet.ref().port() < end).ifPresent(all::add);
    }
    return all;
  }

  /** The one with a number, where nothing hangs on it. */
  Optional<Outlet> emptyAt(int number) {
    return number <= outlets.size() && empty.get(number - 1)
        ? Optional.of(outlets.get(number - 1))
        : Optional.empty();
  }

  /** How much of it is taken: 0 to 1. */
  double taken() {
    return 1 - (double) empty.cardinality() / outlets.size();
  }

  /** Something was hung there, or taken off. */
  void changed(Outlet outlet) {
    empty.set(outlet.ref().port() - 1, outlet.empty());
  }
}
