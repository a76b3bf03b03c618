package hamper.edit;

import hamper.display.Supply;

/** What changes of a supply. */
public record SupplyChange(
    Change<String> name,
    Change<String> zone,
    Change<Double> volts,
    Change<Double> amps,
    Change<String> mains,
    Change<Integer> efficiencyPercent,
    Change<String> enclosure,
    Change<Double> leakageMilliamps,
    Change<Double> switchOnAmps)
    implements ChangeOf<Supply> {}
