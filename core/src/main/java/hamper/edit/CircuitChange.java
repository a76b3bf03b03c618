package hamper.edit;

import hamper.display.Hold;

/** What changes of a circuit. */
public record CircuitChange(
    Change<String> name,
    Change<Integer> threshold,
    Change<Boolean> safeOn,
    Change<Hold> hold,
    Change<Double> shortestOnSeconds,
    Change<Double> shortestOffSeconds,
    Change<Double> longestOnSeconds,
    Change<String> interlock)
    implements PieceChange {}
