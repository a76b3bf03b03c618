package hamper.network;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import hamper.address.IpAddress;
import hamper.address.Protocol;
import hamper.address.Transport;
import hamper.display.Adapter;
import hamper.display.Controller;
import hamper.display.ControllerSettings;
import hamper.display.Display;
import hamper.display.Plan;
import hamper.display.Run;
import hamper.display.Sending;
import hamper.display.Subnet;
import hamper.resolve.Resolver;
import hamper.sample.Samples;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** Who has which address, who sends to whom, and how much. */
class NetworkTest {
  private static final Subnet SHOW =
      new Subnet(
          "show", "Show", ip("198.51.100.0"), 28, some("198.51.100.4"), some("198.51.100.6"));
  private static final Subnet AIR =
      new Subnet("air", "Air", ip("203.0.113.0"), 30, Optional.empty(), Optional.empty());

  private static IpAddress ip(String text) {
    return new IpAddress(text);
  }

  private static Optional<IpAddress> some(String text) {
    return Optional.of(ip(text));
  }

  private static Controller controller(String id, String address, Adapter... adapters) {
    return controller(id, address, Sending.live(), List.of(adapters), List.of());
  }

  private static Controller controller(
      String id, String address, Sending sending, List<Adapter> adapters, List<Run> runs) {
    ControllerSettings plain = ControllerSettings.of(Protocol.E131);
    ControllerSettings settings =
        new ControllerSettings(
            plain.mode(),
            Protocol.E131,
            Transport.UNICAST,
            Optional.ofNullable(address).map(IpAddress::new),
            plain.firstUniverse(),
            510,
            plain.packing(),
            plain.portStart(),
            0,
            0,
            Optional.empty(),
            Optional.of("h"),
            Optional.empty());
    return new Controller(
        id,
        id,
        id,
        "any",
        settings,
        Optional.empty(),
        sending,
        adapters,
        List.of(),
        List.of(),
        runs);
  }

  private static Display display(Controller... controllers) {
    return Samples.plan(List.of(Samples.string("a", 1000)))
        .display()
        .withSubnets(List.of(SHOW, AIR))
        .withControllers(List.of(controllers));
  }

  @Test
  void anAddressLineHasItsDevicesInOrderItsClashesAndItsNextFreePlace() {
    Controller host =
        controller(
            "h",
            "198.51.100.2",
            new Adapter("show", ip("198.51.100.2")),
            new Adapter("office", ip("192.0.2.9")));
    Display display =
        display(
            host,
            controller("k", "198.51.100.7"),
            controller("l", "198.51.100.3"),
            controller("m", "198.51.100.7"),
            controller("n", null));
    AddressLine line = AddressLine.of(display).get(0);
    assertThat(line.first()).isEqualTo(ip("198.51.100.1"));
    assertThat(line.last()).isEqualTo(ip("198.51.100.14"));
    assertThat(line.occupants())
        .extracting(Occupant::controller)
        .containsExactly("h", "l", "k", "m");
    assertThat(line.clashes()).containsExactly(ip("198.51.100.7"));
    assertThat(line.free())
        .as("after two, three, DHCP and seven")
        .hasSize(7)
        .startsWith(ip("198.51.100.8"))
        .endsWith(ip("198.51.100.14"));
    assertThat(AddressLine.outside(display))
        .singleElement()
        .isEqualTo(new Occupant("h", Optional.of(1), "h", "h h, office", ip("192.0.2.9")));
  }

  @Test
  void aFullSubnetHasNoNextFreePlace() {
    AddressLine air = AddressLine.of(display(controller("h", "203.0.113.2"))).get(1);
    assertThat(air.free()).as("the first is left to a router").isEmpty();
    assertThat(AddressLine.of(display()).get(1).free()).containsExactly(ip("203.0.113.2"));
  }

  @Test
  void packetsLeaveFromTheAdapterInTheControllersSubnet() {
    Controller host =
        controller(
            "h",
            "203.0.113.1",
            new Adapter("air", ip("203.0.113.1")),
            new Adapter("show", ip("198.51.100.2")));
    Sending backed = new Sending(false, Optional.of("m"), false, Optional.empty(), "");
    Controller lit =
        controller("k", "198.51.100.7", backed, List.of(), List.of(Samples.run(1, "a")));
    Controller started =
        controller(
            "l",
            "192.0.2.7",
            new Sending(true, Optional.empty(), false, Optional.empty(), ""),
            List.of(),
            List.of());
    Plan base = Samples.plan(List.of(Samples.string("a", 1000)));
    Plan plan = base.with(display(host, lit, started, controller("m", "198.51.100.3")));
    List<Flow> flows = Flows.of(plan, Resolver.resolve(plan));
    assertThat(flows).extracting(Flow::controller).containsExactly("h", "k", "k", "l", "m");
    Flow live = flows.get(1);
    assertThat(live.adapter()).contains("198.51.100.2");
    assertThat(live.traffic().packetsPerSecond()).isEqualTo(240);
    assertThat(live.traffic().megabitsPerSecond()).isEqualTo(1.32864, within(1e-9));
    assertThat(flows.get(2).backup()).isTrue();
    assertThat(flows.get(2).adapter()).as("its only address").contains("198.51.100.3");
    assertThat(flows.get(3).started()).isTrue();
    assertThat(flows.get(3).traffic().packetsPerSecond()).isZero();
    assertThat(flows.get(3).adapter()).as("no adapter there, and two to choose from").isEmpty();
  }
}
