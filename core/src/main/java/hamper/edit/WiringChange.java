package hamper.edit;

import hamper.catalog.Gauge;
import hamper.display.Wiring;

/** What changes of a string's wires. */
public record WiringChange(
    Change<Gauge> gauge,
    Change<Double> spacingMetres,
    Change<Boolean> dataOnly,
    Change<Double> connectorAmps)
    implements ChangeOf<Wiring> {}
