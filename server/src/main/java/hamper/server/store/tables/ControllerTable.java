package hamper.server.store.tables;

import hamper.address.IpAddress;
import hamper.address.Packing;
import hamper.address.PortStart;
import hamper.address.Protocol;
import hamper.address.Transport;
import hamper.display.Adapter;
import hamper.display.BankCable;
import hamper.display.Controller;
import hamper.display.ControllerSettings;
import hamper.display.InputRange;
import hamper.display.PoweredInput;
import hamper.display.Run;
import hamper.display.Sending;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Controllers and hosts, without what belongs to them. */
final class ControllerTable {
  static final Table TABLE =
      new Table(
          "controller",
          1,
          List.of(
              "id",
              "place",
              "tag",
              "name",
              "model",
              "mode",
              "protocol",
              "transport",
              "address",
              "first_universe",
              "universe_size",
              "packing",
              "port_start",
              "reserve_universes",
              "reserve_channels",
              "brightness",
              "source_id",
              "zone_id",
              "enclosure_id",
              "note",
              "inputs_by_hand",
              "from_storage",
              "backup_id",
              "full_universes",
              "synchronization",
              "host_name"),
          ControllerTable::rows);

  private ControllerTable() {}

  private static List<Object[]> rows(Parts parts) {
    List<Object[]> rows = new ArrayList<>();
    for (Parts.Placed<Controller> at : parts.controllers()) {
      Controller controller = at.part();
      ControllerSettings settings = controller.settings();
      rows.add(
          Table.row(
              controller.id(),
              at.place(),
              controller.tag(),
              controller.name(),
              controller.model(),
              settings.mode(),
              settings.protocol(),
              settings.transport(),
              settings.address().map(address -> address.text()),
              settings.firstUniverse(),
              settings.universeSize(),
              settings.packing().map(Enum::name),
              settings.portStart().map(Enum::name),
              settings.reserveUniverses(),
              settings.reserveChannels(),
              settings.brightness(),
              settings.source(),
              settings.zone(),
              settings.enclosure(),
              settings.note(),
              controller.inputs().isPresent(),
              controller.sending().fromStorage(),
              controller.sending().backup(),
              controller.sending().fullUniverses(),
              controller.sending().synchronization(),
              controller.sending().hostName()));
    }
    return rows;
  }

  /** What belongs to controllers, by their ids. */
  record Belongings(
      Map<String, List<InputRange>> inputs,
      Map<String, List<Adapter>> adapters,
      Map<String, List<BankCable>> cables,
      Map<String, List<PoweredInput>> powered,
      Map<String, List<Run>> runs) {}

  static Controller read(Row row, Belongings parts) throws SQLException {
    String controllerId = row.string("id");
    return new Controller(
        controllerId,
        row.string("tag"),
        row.string("name"),
        row.string("model"),
        new ControllerSettings(
            row.text("mode"),
            Protocol.valueOf(row.string("protocol")),
            Transport.valueOf(row.string("transport")),
            row.text("address").map(IpAddress::new),
            row.number("first_universe"),
            row.integer("universe_size"),
            row.text("packing").map(Packing::valueOf),
            row.text("port_start").map(PortStart::valueOf),
            row.integer("reserve_universes"),
            row.integer("reserve_channels"),
            row.number("brightness"),
            row.text("source_id"),
            row.text("zone_id"),
            row.text("enclosure_id"),
            row.string("note")),
        row.bool("inputs_by_hand")
            ? Optional.of(parts.inputs().getOrDefault(controllerId, List.of()))
            : Optional.empty(),
        new Sending(
            row.bool("from_storage"),
            row.text("backup_id"),
            row.bool("full_universes"),
            row.number("synchronization"),
            row.string("host_name")),
        parts.adapters().getOrDefault(controllerId, List.of()),
        parts.cables().getOrDefault(controllerId, List.of()),
        parts.powered().getOrDefault(controllerId, List.of()),
        parts.runs().getOrDefault(controllerId, List.of()));
  }
}
