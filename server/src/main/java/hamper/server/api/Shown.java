package hamper.server.api;

import hamper.check.Checks;
import hamper.check.Facts;
import hamper.check.Finding;
import java.util.List;

/** Everything of a display that windows show, made from its facts. */
record Shown(
    List<ControllerView> controllers,
    List<PropView> props,
    NetworkView network,
    PowerView power,
    List<Finding> findings,
    List<Checks.Taken> accepted) {
  static Shown of(Facts facts) {
    Checks.Told told = Checks.told(facts);
    return new Shown(
        Views.controllers(facts),
        Views.props(facts),
        NetworkView.of(facts),
        PowerView.of(facts),
        told.open(),
        told.accepted());
  }
}
