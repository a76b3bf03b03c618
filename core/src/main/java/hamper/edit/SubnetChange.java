package hamper.edit;

import hamper.address.IpAddress;
import hamper.display.Subnet;

/** What changes of a subnet. */
public record SubnetChange(
    Change<String> name,
    Change<IpAddress> network,
    Change<Integer> prefix,
    Change<IpAddress> dhcpFirst,
    Change<IpAddress> dhcpLast,
    Change<Subnet.Multicast> multicast)
    implements ChangeOf<Subnet> {}
