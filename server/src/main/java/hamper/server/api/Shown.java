package hamper.server.api;

import hamper.check.Checks;
import hamper.check.Finding;
import hamper.facts.Facts;
import hamper.handover.Season;
import java.util.List;

/** Everything of a display that windows show, made from its facts. */
record Shown(
    Facts facts,
    Season season,
    List<ControllerView> controllers,
    List<PropView> props,
    NetworkView network,
    PowerView power,
    List<Finding> findings,
    List<Checks.Taken> accepted) {
  static Shown of(Facts facts, Season season) {
    return of(facts, season, Views.controllers(facts));
  }

  /** What is shown when more is known beside the plan. */
  Shown with(Season changed) {
    return of(facts, changed, controllers);
  }

  /** What is shown of other facts, mostly these after an edit; untouched views are kept. */
  Shown with(Facts changed) {
    return of(changed, season, Views.controllers(changed, facts, controllers));
  }

  private static Shown of(Facts facts, Season season, List<ControllerView> controllers) {
    Checks.Told told = Checks.told(facts, season);
    return new Shown(
        facts,
        season,
        controllers,
        Views.props(facts),
        NetworkView.of(facts),
        PowerView.of(facts),
        told.open(),
        told.accepted());
  }
}
