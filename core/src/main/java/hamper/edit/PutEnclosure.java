package hamper.edit;

import hamper.display.Enclosure;

/** Adds an enclosure at the end. */
public record PutEnclosure(Enclosure enclosure) implements AddsOne<Enclosure> {}
