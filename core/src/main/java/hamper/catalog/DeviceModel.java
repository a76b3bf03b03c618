package hamper.catalog;

import hamper.address.ColourOrder;
import hamper.address.Protocol;
import hamper.value.Identified;
import hamper.value.Require;
import java.util.Collections;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * What a maker sells: its ports, limits and dialect.
 *
 * @param note what is special, in a sentence; may be empty
 * @param ports at most one group of each kind
 * @param protocols those it listens to; none for a host
 * @param options what it can be told about a section; what is not named it cannot be told
 * @param colourOrder in which it sends the bytes of a pixel where nobody tells it otherwise
 * @param wifi whether it hangs on the air instead of a cable
 * @param storage whether it can play from storage of its own
 * @param synchronizes whether it can hold frames back until all have arrived
 * @param atStart what it does from power-on until it is sent to, where the maker says so
 * @param lostSource what it does when packets stop, where the maker says so
 * @param packetsPerSecond most it takes, where the maker says so (1/s)
 * @param powerInputs each with its rating
 * @param handover how it is handed its configuration, best first
 */
public record DeviceModel(
    String id,
    String maker,
    String name,
    String revision,
    String note,
    List<PortGroup> ports,
    List<ProtocolSupport> protocols,
    Dialect dialect,
    Map<SectionOption, Told> options,
    Optional<ColourOrder> colourOrder,
    boolean wifi,
    boolean storage,
    boolean synchronizes,
    Optional<Behaviour> atStart,
    Optional<Behaviour> lostSource,
    Optional<Integer> packetsPerSecond,
    List<Power> powerInputs,
    List<HandoverWay> handover)
    implements Identified {
  public DeviceModel {
    Require.id("id", id);
    Require.name("maker", maker);
    Require.name("name", name);
    Require.text("revision", revision, 40);
    Require.text("note", note, 400);
    ports = List.copyOf(ports);
    protocols = List.copyOf(protocols);
    Map<SectionOption, Told> told = new EnumMap<>(SectionOption.class);
    told.putAll(options);
    options = Collections.unmodifiableMap(told);
    powerInputs = List.copyOf(powerInputs);
    handover = List.copyOf(handover);
    Require.inRange("packetsPerSecond", packetsPerSecond, 1, 1_000_000);
    Set<PortKind> kinds = EnumSet.noneOf(PortKind.class);
    for (PortGroup group : ports) {
      Require.that(kinds.add(group.kind()), "ports", group.kind(), "one group of each kind");
    }
    Set<Protocol> spoken = new HashSet<>();
    for (ProtocolSupport support : protocols) {
      Require.that(
          spoken.add(support.protocol()), "protocols", support.protocol(), "each protocol once");
    }
  }

  /** A wired device without storage, told by hand or over the network. */
  public DeviceModel(
      String id,
      String maker,
      String name,
      String revision,
      String note,
      List<PortGroup> ports,
      List<ProtocolSupport> protocols,
      Dialect dialect,
      Map<SectionOption, Told> options,
      boolean wifi) {
    this(
        id,
        maker,
        name,
        revision,
        note,
        ports,
        protocols,
        dialect,
        options,
        Optional.empty(),
        wifi,
        false,
        false,
        Optional.empty(),
        Optional.empty(),
        Optional.empty(),
        List.of(),
        List.of());
  }

  /** Maker and name, as people say it. */
  public String title() {
    return maker + " " + name;
  }

  public Optional<PortGroup> portsOf(PortKind kind) {
    for (PortGroup group : ports) {
      if (group.kind() == kind) {
        return Optional.of(group);
      }
    }
    return Optional.empty();
  }

  public Optional<ProtocolSupport> support(Protocol protocol) {
    return protocols.stream().filter(support -> support.protocol() == protocol).findFirst();
  }

  public Told told(SectionOption option) {
    return options.getOrDefault(option, Told.NOT);
  }

  /** The order in which it sends pixels of so many channels by default. */
  public ColourOrder usualOrder(int channels) {
    return colourOrder
        .filter(order -> order.channels() == channels)
        .orElseGet(() -> ColourOrder.natural(channels));
  }

  /** Whether this device is a host: it sends, and drives no light of its own. */
  public boolean hostOnly() {
    return protocols.isEmpty();
  }
}
