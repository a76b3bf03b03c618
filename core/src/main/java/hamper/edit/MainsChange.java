package hamper.edit;

import hamper.display.MainsCircuit;

/** What changes of a mains circuit. */
public record MainsChange(
    Change<String> name, Change<Double> volts, Change<Double> amps, Change<Double> otherWatts)
    implements ChangeOf<MainsCircuit> {}
