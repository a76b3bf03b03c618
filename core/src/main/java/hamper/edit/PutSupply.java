package hamper.edit;

import hamper.display.Supply;

/** Adds a supply at the end. */
public record PutSupply(Supply supply) implements AddsOne<Supply> {}
