package hamper.arrange;

import java.util.Set;

/**
 * What is to be arranged, and how.
 *
 * @param pieces ids; those that hang stay where they are, unless they may move
 * @param spread whether each zone is spread over controllers on purpose, so that one that fails
 *     does not darken it all
 * @param move whether pieces that hang may move; what was held, given or set at hardware never does
 * @param given ids of controllers whose configurations were given
 */
public record Asked(Set<String> pieces, Aim aim, boolean spread, boolean move, Set<String> given) {
  public Asked {
    pieces = Set.copyOf(pieces);
    given = Set.copyOf(given);
  }

  /** Pieces that hang nowhere, with nothing else asked. */
  public static Asked of(Set<String> pieces, Aim aim) {
    return new Asked(pieces, aim, false, false, Set.of());
  }

  Weights weights(Aim by) {
    return spread ? by.weights().spreading() : by.weights();
  }
}
