package hamper.edit;

import hamper.display.MainsCircuit;

/** Adds a mains circuit at the end. */
public record PutMainsCircuit(MainsCircuit mains) implements AddsOne<MainsCircuit> {}
