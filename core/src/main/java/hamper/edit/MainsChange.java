package hamper.edit;

import hamper.display.Breaker;
import hamper.display.MainsCircuit;

/** What changes of a mains circuit. */
public record MainsChange(
    Change<String> name,
    Change<Double> volts,
    Change<Double> amps,
    Change<Double> otherWatts,
    Change<Breaker> breaker,
    Change<Double> residualMilliamps)
    implements ChangeOf<MainsCircuit> {}
