package hamper.resolve;

import static org.assertj.core.api.Assertions.assertThat;

import hamper.address.Protocol;
import hamper.address.Transport;
import hamper.catalog.PortKind;
import hamper.display.Controller;
import hamper.display.ControllerSettings;
import hamper.display.Leg;
import hamper.display.Plan;
import hamper.display.Prop;
import hamper.display.Run;
import hamper.sample.Samples;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** Two things that should show the same picture do, and where they cannot the planner is told. */
class MirrorTest {
  private static final List<Prop> PROPS =
      List.of(Samples.string("a", 50), Samples.string("b", 50), Samples.string("c", 10));

  private static Controller sentBy(Transport transport, Controller controller) {
    ControllerSettings plain = controller.settings();
    return controller.withSettings(
        new ControllerSettings(
            plain.mode(),
            plain.protocol(),
            transport,
            plain.address(),
            plain.firstUniverse(),
            plain.universeSize(),
            plain.packing(),
            plain.portStart(),
            plain.reserveUniverses(),
            plain.reserveChannels(),
            plain.brightness(),
            plain.source(),
            plain.zone()));
  }

  private static Run mirror(int port, String piece, String of) {
    return Run.of(PortKind.PIXEL, port, List.of(new Leg(piece, 0, 0, Optional.of(of))));
  }

  private static Resolution twoControllers(Transport transport, Protocol protocol) {
    Plan plan =
        Samples.plan(
            PROPS,
            sentBy(transport, Samples.controller("k", protocol, Samples.run(1, "c", "a"))),
            sentBy(transport, Samples.controller("l", protocol, mirror(1, "b", "a"))));
    return Resolver.resolve(plan);
  }

  @Test
  void aMirrorOnAnotherControllerKeepsTheWireAddressesUnderMulticast() {
    Resolution resolution = twoControllers(Transport.MULTICAST, Protocol.E131);
    Placement mirror = resolution.byController().get(1).get(0);
    assertThat(mirror.start()).hasToString("Optional[1:31]");
    assertThat(mirror.end()).hasToString("Optional[1:180]");
    assertThat(mirror.controllerChannels()).isEmpty();
    assertThat(mirror.displayStart()).isZero();
    assertThat(resolution.blocks().get(1).channels()).isZero();
    assertThat(resolution.overlaps().pairs()).isEmpty();
    assertThat(resolution.problems()).isEmpty();
  }

  @Test
  void underUnicastThePacketsDoNotReachIt() {
    Resolution resolution = twoControllers(Transport.UNICAST, Protocol.E131);
    assertThat(resolution.byController().get(1).get(0).start()).isEmpty();
    assertThat(resolution.problems())
        .containsExactly(new LayoutProblem(LayoutProblem.Kind.MIRROR_OUT_OF_REACH, "b", 0));
  }

  @Test
  void ofSomethingThatHangsNowhereItIsToldSo() {
    Plan plan = Samples.plan(PROPS, Samples.controller("k", Protocol.E131, mirror(1, "b", "a")));
    assertThat(Resolver.resolve(plan).problems())
        .containsExactly(new LayoutProblem(LayoutProblem.Kind.MIRROR_WITHOUT_ORIGINAL, "b", 0));
  }

  @Test
  void onDdpAnotherControllerCannotBeMirrored() {
    assertThat(twoControllers(Transport.UNICAST, Protocol.DDP).problems())
        .extracting(LayoutProblem::kind)
        .containsExactly(LayoutProblem.Kind.MIRROR_OUT_OF_REACH);
  }
}
