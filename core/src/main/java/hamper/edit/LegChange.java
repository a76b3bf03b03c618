package hamper.edit;

import hamper.catalog.Gauge;
import hamper.display.Conductor;
import hamper.display.Leg;
import java.util.List;

/** What changes of a leg: the gap before it, its joint, its box, what it mirrors. */
public record LegChange(
    Change<Integer> nullPixels,
    Change<Double> cableMetres,
    Change<Gauge> cableGauge,
    Change<List<Conductor>> cut,
    Change<Integer> box,
    Change<String> mirrorOf)
    implements ChangeOf<Leg> {}
