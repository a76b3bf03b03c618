package hamper.edit;

import hamper.display.Subnet;

/** Adds a subnet at the end. */
public record PutSubnet(Subnet subnet) implements AddsOne<Subnet> {}
