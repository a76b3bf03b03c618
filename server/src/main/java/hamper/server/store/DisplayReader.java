package hamper.server.store;

import hamper.address.ColourOrder;
import hamper.address.IpAddress;
import hamper.address.Packing;
import hamper.address.PortStart;
import hamper.address.Protocol;
import hamper.address.Transport;
import hamper.catalog.DeviceModel;
import hamper.catalog.Gauge;
import hamper.catalog.PixelType;
import hamper.catalog.PortKind;
import hamper.display.Accepted;
import hamper.display.Adapter;
import hamper.display.BankCable;
import hamper.display.Conductor;
import hamper.display.Controller;
import hamper.display.ControllerSettings;
import hamper.display.Display;
import hamper.display.DisplaySettings;
import hamper.display.Feed;
import hamper.display.Hold;
import hamper.display.InputRange;
import hamper.display.Leg;
import hamper.display.MainsCircuit;
import hamper.display.Piece;
import hamper.display.PixelString;
import hamper.display.PoweredInput;
import hamper.display.Prop;
import hamper.display.Run;
import hamper.display.Section;
import hamper.display.Sending;
import hamper.display.SitePower;
import hamper.display.Subnet;
import hamper.display.Supply;
import hamper.display.Wiring;
import hamper.display.Zone;
import hamper.files.Json;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;

/** Reads a display back from its tables: children first, grouped by what they belong to. */
final class DisplayReader {
  private interface Mapper<T> {
    T map(ResultSet row) throws SQLException;
  }

  private final JdbcClient db;
  private final String id;

  private DisplayReader(JdbcClient db, String id) {
    this.db = db;
    this.id = id;
  }

  static Display read(JdbcClient db, String id) {
    return new DisplayReader(db, id).read();
  }

  private Display read() {
    Map<String, List<Section>> sections =
        grouped("section", "piece_id, place", row -> row.getString("piece_id"), this::section);
    Map<String, List<Piece>> pieces =
        grouped(
            "piece",
            "prop_id, place",
            row -> row.getString("prop_id"),
            row -> piece(row, sections));
    Map<String, List<Feed>> feeds =
        grouped("feed", "piece_id, place", row -> row.getString("piece_id"), this::feed);
    Map<String, List<Leg>> legs =
        grouped("leg", "controller_id, kind, port, place", this::laneOf, row -> leg(row, feeds));
    Map<String, List<Run>> runs =
        grouped(
            "run",
            "controller_id, kind, port",
            row -> row.getString("controller_id"),
            row -> run(row, legs));
    Map<String, List<InputRange>> inputs =
        grouped(
            "controller_input",
            "controller_id, place",
            row -> row.getString("controller_id"),
            row ->
                new InputRange(
                    row.getInt("first_universe"), row.getInt("universes"), row.getInt("size")));
    List<DeviceModel> models = list("own_model", row -> content(row, DeviceModel.class));
    List<PixelType> types = list("own_pixel_type", row -> content(row, PixelType.class));
    Map<String, List<Adapter>> adapters =
        grouped(
            "adapter",
            "controller_id, place",
            row -> row.getString("controller_id"),
            row -> new Adapter(row.getString("name"), new IpAddress(row.getString("address"))));
    Map<String, List<BankCable>> cables =
        grouped(
            "bank_cable",
            "controller_id, place",
            row -> row.getString("controller_id"),
            row -> new BankCable(row.getInt("bank"), row.getInt("box"), row.getDouble("metres")));
    Map<String, List<PoweredInput>> powered =
        grouped(
            "powered_input",
            "controller_id, bank, input",
            row -> row.getString("controller_id"),
            row ->
                new PoweredInput(
                    Optional.of(row.getInt("bank")).filter(bank -> bank > 0),
                    row.getInt("input"),
                    row.getString("supply_id")));
    SitePower power =
        new SitePower(list("supply", this::supply), list("mains_circuit", this::mains));
    List<Subnet> subnets = list("subnet", this::subnet);
    List<Zone> zones = list("zone", this::zone);
    List<Prop> props = list("prop", row -> prop(row, pieces));
    List<Accepted> accepted =
        list(
            "accepted",
            row ->
                new Accepted(
                    text(row, "identity"),
                    row.getString("code"),
                    row.getString("message"),
                    row.getString("reason")));
    List<Controller> controllers =
        list(
            "controller",
            row -> controller(row, new Parts(inputs, adapters, cables, powered, runs)));
    return db.sql("select * from display where id = :id")
        .param("id", id)
        .query(
            (row, n) ->
                new Display(
                    row.getString("name"),
                    new DisplaySettings(
                        row.getInt("first_universe"),
                        row.getInt("universe_stride"),
                        row.getInt("frames_per_second")),
                    models,
                    types,
                    subnets,
                    zones,
                    props,
                    controllers,
                    power,
                    accepted))
        .single();
  }

  private <T> List<T> list(String table, Mapper<T> mapper) {
    return db.sql("select * from " + table + " where display_id = :id order by place")
        .param("id", id)
        .query((row, n) -> mapper.map(row))
        .list();
  }

  private <T> Map<String, List<T>> grouped(
      String table, String order, Mapper<String> key, Mapper<T> mapper) {
    Map<String, List<T>> groups = new HashMap<>();
    db.sql("select * from " + table + " where display_id = :id order by " + order)
        .param("id", id)
        .query(
            row -> {
              groups.computeIfAbsent(key.map(row), group -> new ArrayList<>()).add(mapper.map(row));
            });
    return groups;
  }

  private String laneOf(ResultSet row) throws SQLException {
    return "%s %s %d"
        .formatted(row.getString("controller_id"), row.getString("kind"), row.getInt("port"));
  }

  private Section section(ResultSet row) throws SQLException {
    return new Section(
        row.getInt("pixels"),
        row.getInt("null_pixels"),
        row.getInt("group_size"),
        number(row, "fold"),
        row.getBoolean("backward"),
        text(row, "colour_order").map(ColourOrder::new),
        number(row, "brightness"),
        hold(row));
  }

  private Piece piece(ResultSet row, Map<String, List<Section>> sections) throws SQLException {
    if (!row.getString("kind").equals("string")) {
      return Json.MAPPER.readValue(row.getString("detail"), Piece.class);
    }
    return new PixelString(
        row.getString("id"),
        row.getString("name"),
        row.getString("pixel_type"),
        sections.get(row.getString("id")),
        row.getString("data_in"),
        row.getString("connector"),
        row.getDouble("lead_metres"),
        Optional.of(
            new Wiring(
                text(row, "gauge").map(Gauge::new),
                decimal(row, "spacing_metres"),
                row.getBoolean("data_only"),
                decimal(row, "connector_amps"))));
  }

  private Feed feed(ResultSet row) throws SQLException {
    return new Feed(
        row.getString("supply_id"),
        row.getInt("position"),
        decimal(row, "lead_metres"),
        text(row, "gauge").map(Gauge::new),
        decimal(row, "fuse_amps"));
  }

  private Supply supply(ResultSet row) throws SQLException {
    return new Supply(
        row.getString("id"),
        row.getString("name"),
        text(row, "zone_id"),
        row.getDouble("volts"),
        row.getDouble("amps"),
        text(row, "mains_id"),
        number(row, "efficiency_percent"));
  }

  private MainsCircuit mains(ResultSet row) throws SQLException {
    return new MainsCircuit(
        row.getString("id"),
        row.getString("name"),
        row.getDouble("volts"),
        row.getDouble("amps"),
        row.getDouble("other_watts"));
  }

  private static List<Conductor> cut(String names) {
    return names.isEmpty()
        ? List.of()
        : Arrays.stream(names.split(" ")).map(Conductor::valueOf).toList();
  }

  private Leg leg(ResultSet row, Map<String, List<Feed>> feeds) throws SQLException {
    return new Leg(
        row.getString("piece_id"),
        row.getInt("null_pixels"),
        decimal(row, "cable_metres"),
        number(row, "box"),
        text(row, "mirror_of"),
        text(row, "cable_gauge").map(Gauge::new),
        cut(row.getString("cut")),
        feeds.getOrDefault(row.getString("piece_id"), List.of()));
  }

  private Run run(ResultSet row, Map<String, List<Leg>> legs) throws SQLException {
    return new Run(
        PortKind.valueOf(row.getString("kind")),
        row.getInt("port"),
        legs.getOrDefault(laneOf(row), List.of()),
        number(row, "universe"),
        number(row, "brightness"));
  }

  private Zone zone(ResultSet row) throws SQLException {
    return new Zone(
        row.getString("id"),
        row.getString("name"),
        Optional.ofNullable(row.getObject("east_metres", Double.class)),
        Optional.ofNullable(row.getObject("north_metres", Double.class)));
  }

  private Prop prop(ResultSet row, Map<String, List<Piece>> pieces) throws SQLException {
    return new Prop(
        row.getString("id"),
        row.getString("name"),
        text(row, "zone_id"),
        number(row, "brightness"),
        pieces.get(row.getString("id")));
  }

  private Subnet subnet(ResultSet row) throws SQLException {
    return new Subnet(
        row.getString("id"),
        row.getString("name"),
        new IpAddress(row.getString("network")),
        row.getInt("prefix"),
        text(row, "dhcp_first").map(IpAddress::new),
        text(row, "dhcp_last").map(IpAddress::new));
  }

  /** What belongs to controllers, by their ids. */
  private record Parts(
      Map<String, List<InputRange>> inputs,
      Map<String, List<Adapter>> adapters,
      Map<String, List<BankCable>> cables,
      Map<String, List<PoweredInput>> powered,
      Map<String, List<Run>> runs) {}

  private Controller controller(ResultSet row, Parts parts) throws SQLException {
    String controllerId = row.getString("id");
    return new Controller(
        controllerId,
        row.getString("tag"),
        row.getString("name"),
        row.getString("model"),
        new ControllerSettings(
            text(row, "mode"),
            Protocol.valueOf(row.getString("protocol")),
            Transport.valueOf(row.getString("transport")),
            text(row, "address").map(IpAddress::new),
            number(row, "first_universe"),
            row.getInt("universe_size"),
            text(row, "packing").map(Packing::valueOf),
            text(row, "port_start").map(PortStart::valueOf),
            row.getInt("reserve_universes"),
            row.getInt("reserve_channels"),
            number(row, "brightness"),
            text(row, "source_id"),
            text(row, "zone_id"),
            row.getString("note")),
        row.getBoolean("inputs_by_hand")
            ? Optional.of(parts.inputs().getOrDefault(controllerId, List.of()))
            : Optional.empty(),
        new Sending(
            row.getBoolean("from_storage"),
            text(row, "backup_id"),
            row.getBoolean("full_universes"),
            number(row, "synchronization"),
            row.getString("host_name")),
        parts.adapters().getOrDefault(controllerId, List.of()),
        parts.cables().getOrDefault(controllerId, List.of()),
        parts.powered().getOrDefault(controllerId, List.of()),
        parts.runs().getOrDefault(controllerId, List.of()));
  }

  private static Optional<Hold> hold(ResultSet row) throws SQLException {
    Optional<Integer> universe = number(row, "hold_universe");
    return number(row, "hold_channel").map(channel -> new Hold(universe, channel));
  }

  private static Optional<Double> decimal(ResultSet row, String column) throws SQLException {
    return Optional.ofNullable(row.getObject(column, Double.class));
  }

  private static Optional<Integer> number(ResultSet row, String column) throws SQLException {
    return Optional.ofNullable(row.getObject(column, Integer.class));
  }

  private static Optional<String> text(ResultSet row, String column) throws SQLException {
    return Optional.ofNullable(row.getString(column));
  }

  private static <T> T content(ResultSet row, Class<T> type) throws SQLException {
    return Json.MAPPER.readValue(row.getString("content"), type);
  }
}
