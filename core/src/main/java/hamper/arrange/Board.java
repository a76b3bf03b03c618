package hamper.arrange;

import hamper.catalog.PortKind;
import hamper.display.Controller;
import hamper.display.Plan;
import hamper.display.Whereabouts;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.List;
import java.util.Optional;

/** The ports of one kind of a controller, while things are hung on them. */
final class Board {
  private final Controller controller;
  private final Optional<String> zone;
  private final List<Outlet> outlets = new ArrayList<>();

  /** By port number less one: what nothing hangs on, which are all alike. */
  private final BitSet empty = new BitSet();

  Board(Plan plan, Yardstick measured, Controller controller, PortKind kind, int ports) {
    this.controller = controller;
    zone = Whereabouts.zone(plan, controller);
    for (int number = 1; number <= ports; number++) {
      Outlet outlet = new Outlet(plan, measured, controller, kind, number);
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

  /** The first that is empty from a port number on. */
  Optional<Outlet> emptyFrom(int number) {
    int at = empty.nextSetBit(number - 1);
    return at < 0 ? Optional.empty() : Optional.of(outlets.get(at));
  }

  /** Something was hung there, or taken off. */
  void changed(Outlet outlet) {
    empty.set(outlet.ref().port() - 1, outlet.empty());
  }
}
