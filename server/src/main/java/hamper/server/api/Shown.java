package hamper.server.api;

import hamper.check.Checks;
import hamper.check.Finding;
import hamper.facts.Facts;
import java.util.List;

/** Everything of a display that windows show, made from its facts. */
record Shown(
    Facts facts,
    List<ControllerView> controllers,
    List<PropView> props,
    NetworkView network,
    PowerView power,
    List<Finding> findings,
    List<Checks.Taken> accepted) {
  static Shown of(Facts facts) {
    return of(facts, Views.controllers(facts));
  }

  /** What is shown of other facts, mostly these after an edit; untouched views are kept. */
  Shown with(Facts changed) {
    return of(changed, Views.controllers(changed, facts, controllers));
  }

  private static Shown of(Facts facts, List<ControllerView> controllers) {
    Checks.Told told = Checks.told(facts);
    return new Shown(
        facts,
        controllers,
        Views.props(facts),
        NetworkView.of(facts),
        PowerView.of(facts),
        told.open(),
        told.accepted());
  }
}
