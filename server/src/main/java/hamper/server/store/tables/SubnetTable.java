package hamper.server.store.tables;

import hamper.address.IpAddress;
import hamper.display.Subnet;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.List;

/** Subnets of the show network. */
final class SubnetTable {
  static final Table TABLE =
      new Table(
          "subnet",
          1,
          List.of(
              "id", "place", "name", "network", "prefix", "dhcp_first", "dhcp_last", "multicast"),
          SubnetTable::rows);

  private SubnetTable() {}

  private static List<Object[]> rows(Parts parts) {
    List<Object[]> rows = new ArrayList<>();
    for (Subnet subnet : parts.display().subnets()) {
      rows.add(
          Table.row(
              subnet.id(),
              rows.size(),
              subnet.name(),
              subnet.network().text(),
              subnet.prefix(),
              subnet.dhcpFirst().map(IpAddress::text),
              subnet.dhcpLast().map(IpAddress::text),
              subnet.multicast().map(Enum::name)));
    }
    return rows;
  }

  static Subnet read(Row row) throws SQLException {
    return new Subnet(
        row.string("id"),
        row.string("name"),
        new IpAddress(row.string("network")),
        row.integer("prefix"),
        row.text("dhcp_first").map(IpAddress::new),
        row.text("dhcp_last").map(IpAddress::new),
        row.text("multicast").map(Subnet.Multicast::valueOf));
  }
}
