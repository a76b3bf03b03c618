package hamper.handover;

import hamper.change.Comparison;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * What is known beside a display's plan: what each device was handed, and the last milestone.
 *
 * @param handed by the id of the controller
 * @param milestone the latest one
 */
public record Season(Map<String, Handed> handed, Optional<Frozen> milestone) {
  public static final Season NONE = new Season(Map.of(), Optional.empty());

  /** A display as it was when a milestone was set. */
  public record Frozen(String name, Comparison.Side side) {}

  public Season {
    handed = Map.copyOf(handed);
  }

  /**
   * @param facts in the order in which they happened
   */
  public static Season of(List<HandoverFact> facts, Optional<Frozen> milestone) {
    Map<String, Handed> handed = new HashMap<>();
    for (HandoverFact fact : facts) {
      handed.put(
          fact.controller(),
          Handed.after(Optional.ofNullable(handed.get(fact.controller())), fact));
    }
    return new Season(handed, milestone);
  }

  public Season with(HandoverFact fact) {
    Map<String, Handed> changed = new HashMap<>(handed);
    changed.put(fact.controller(), Handed.after(of(fact.controller()), fact));
    return new Season(changed, milestone);
  }

  public Season withMilestone(Optional<Frozen> newMilestone) {
    return new Season(handed, newMilestone);
  }

  /**
   * @param controller its id
   */
  public Optional<Handed> of(String controller) {
    return Optional.ofNullable(handed.get(controller));
  }

  /** Whether any device was ever given anything: before that the season has not begun. */
  public boolean begun() {
    return handed.values().stream().anyMatch(one -> one.given().isPresent());
  }
}
