package hamper.edit;

import hamper.address.IpAddress;
import hamper.display.Adapter;

/** What changes of an adapter. */
public record AdapterChange(Change<String> name, Change<IpAddress> address)
    implements ChangeOf<Adapter> {}
