package hamper.edit;

import hamper.display.Zone;

/** What changes of a zone. */
public record ZoneChange(Change<String> name, Change<Double> eastMetres, Change<Double> northMetres)
    implements ChangeOf<Zone> {}
