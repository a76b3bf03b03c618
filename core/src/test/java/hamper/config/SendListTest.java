package hamper.config;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.tuple;

import hamper.address.IpAddress;
import hamper.address.Protocol;
import hamper.address.Transport;
import hamper.catalog.PortKind;
import hamper.display.Controller;
import hamper.display.ControllerSettings;
import hamper.display.Fixture;
import hamper.display.Leg;
import hamper.display.Plan;
import hamper.display.Prop;
import hamper.display.Run;
import hamper.display.Sending;
import hamper.resolve.Resolver;
import hamper.sample.Samples;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/**
 * The sender is told which universe goes to which address, and nothing that does not go anywhere.
 */
class SendListTest {
  private static final List<Prop> PROPS =
      List.of(
          Samples.string("a", 200),
          new Prop(
              "f", "f", Optional.empty(), Optional.empty(), List.of(new Fixture("f", "f", 10, 4))));
  private static final Run DMX = Run.of(PortKind.DMX, 2, List.of(Leg.of("f")));

  private static List<SendLine> lines(Controller controller) {
    Controller host =
        new Controller(
            "h",
            "H1",
            "Host",
            "host",
            ControllerSettings.of(Protocol.NONE),
            Optional.empty(),
            List.of());
    Controller second =
        new Controller(
            "h2",
            "H2",
            "Second",
            "host",
            ControllerSettings.of(Protocol.NONE),
            Optional.empty(),
            List.of());
    Plan plan = Samples.plan(PROPS, host, second, controller);
    return SendList.of(plan, Resolver.resolve(plan));
  }

  private static Controller controller(
      Protocol protocol, Transport transport, Optional<String> address, Sending sending) {
    ControllerSettings settings =
        new ControllerSettings(
            Optional.empty(),
            protocol,
            transport,
            address.map(IpAddress::new),
            Optional.of(7),
            510,
            Optional.empty(),
            Optional.empty(),
            0,
            0,
            Optional.empty(),
            Optional.of("h"),
            Optional.empty());
    return new Controller(
        "k",
        "K1",
        "K",
        "any",
        settings,
        Optional.empty(),
        sending,
        List.of(),
        List.of(),
        List.of(),
        List.of(Samples.run(1, "a"), DMX));
  }

  @Test
  void flowingUniversesComeBeforeDmxOnesWithTheirOwnSize() {
    List<SendLine> lines =
        lines(
            controller(
                Protocol.E131, Transport.UNICAST, Optional.of("198.51.100.9"), Sending.live()));
    assertThat(lines)
        .extracting(SendLine::firstUniverse, SendLine::universes, SendLine::size)
        .containsExactly(tuple(Optional.of(7), 2, 510), tuple(Optional.of(9), 1, 512));
    assertThat(lines).extracting(SendLine::displayStart).containsExactly(1, 1021);
    assertThat(lines).extracting(SendLine::destination).containsOnly("198.51.100.9");
    assertThat(lines).extracting(SendLine::source).containsOnly(Optional.of("H1"));
    assertThat(lines).extracting(SendLine::priority).containsOnly(Optional.of(100));
  }

  @Test
  void multicastNamesTheGroupAndBroadcastNobody() {
    assertThat(
            lines(controller(Protocol.E131, Transport.MULTICAST, Optional.empty(), Sending.live())))
        .extracting(SendLine::destination)
        .containsExactly("239.255.0.7", "239.255.0.9");
    assertThat(
            lines(
                controller(Protocol.ARTNET, Transport.BROADCAST, Optional.empty(), Sending.live())))
        .extracting(SendLine::destination)
        .containsOnly("broadcast");
  }

  @Test
  void aControllerIsFoundByNameWhereItHasNoAddress() {
    Sending named = new Sending(false, Optional.empty(), true, Optional.of(33), "boats.quay");
    List<SendLine> lines =
        lines(controller(Protocol.E131, Transport.UNICAST, Optional.empty(), named));
    assertThat(lines).extracting(SendLine::destination).containsOnly("boats.quay");
    assertThat(lines).extracting(SendLine::fullUniverses).containsOnly(true);
    assertThat(lines).extracting(SendLine::synchronization).containsOnly(Optional.of(33));
    assertThat(
            lines(controller(Protocol.E131, Transport.UNICAST, Optional.empty(), Sending.live())))
        .extracting(SendLine::destination, SendLine::destinationKind)
        .containsOnly(tuple("no address", SendLine.Kind.NONE));
    assertThat(lines).extracting(SendLine::destinationKind).containsOnly(SendLine.Kind.NAME);
  }

  @Test
  void aBackupSendsTheSameAtLowerPriorityOnE131Only() {
    Sending backed = new Sending(false, Optional.of("h2"), false, Optional.empty(), "");
    assertThat(lines(controller(Protocol.E131, Transport.UNICAST, Optional.empty(), backed)))
        .extracting(SendLine::sourceId, SendLine::source, SendLine::priority)
        .contains(
            tuple(Optional.of("h"), Optional.of("H1"), Optional.of(100)),
            tuple(Optional.of("h2"), Optional.of("H2"), Optional.of(50)));
    assertThat(lines(controller(Protocol.ARTNET, Transport.UNICAST, Optional.empty(), backed)))
        .extracting(SendLine::source)
        .containsOnly(Optional.of("H1"));
  }

  @Test
  void aDeviceThatPlaysItsOwnStorageIsSentNothing() {
    Sending stored = new Sending(true, Optional.empty(), false, Optional.empty(), "");
    assertThat(lines(controller(Protocol.E131, Transport.UNICAST, Optional.empty(), stored)))
        .isEmpty();
  }

  @Test
  void onDdpEverythingIsOneStretchOfBytes() {
    SendLine line =
        lines(controller(Protocol.DDP, Transport.UNICAST, Optional.empty(), Sending.live())).get(0);
    assertThat(line.offset()).contains(0);
    assertThat(line.size()).isEqualTo(600 + 512);
    assertThat(line.firstUniverse()).isEmpty();
    assertThat(line.priority()).isEmpty();
  }
}
