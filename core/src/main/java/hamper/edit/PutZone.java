package hamper.edit;

import hamper.display.Zone;

/** Adds a zone at the end. */
public record PutZone(Zone zone) implements AddsOne<Zone> {}
