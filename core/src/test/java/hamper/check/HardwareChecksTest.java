package hamper.check;

import static org.assertj.core.api.Assertions.assertThat;

import hamper.address.Protocol;
import hamper.catalog.Banks;
import hamper.catalog.Catalog;
import hamper.catalog.DeviceModel;
import hamper.catalog.PixelLimit;
import hamper.catalog.PortGroup;
import hamper.catalog.PortKind;
import hamper.catalog.PortMode;
import hamper.display.BankCable;
import hamper.display.Controller;
import hamper.display.ControllerSettings;
import hamper.display.Display;
import hamper.display.DisplaySettings;
import hamper.display.Leg;
import hamper.display.Plan;
import hamper.display.Prop;
import hamper.display.Run;
import hamper.display.Sending;
import hamper.display.SerialDimmer;
import hamper.facts.Facts;
import hamper.sample.Samples;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** A box that is not there and two packs with one number are found before the ladder goes up. */
class HardwareChecksTest {
  private static final DeviceModel BANKED =
      new DeviceModel(
          "banked",
          "Sample",
          "Banked",
          "1",
          "",
          List.of(
              new PortGroup(
                  PortKind.PIXEL,
                  List.of(new PortMode("all", 8, List.of(new PixelLimit(3, 100)))),
                  Optional.empty(),
                  Optional.of(new Banks(4, 2, 30)),
                  Optional.empty(),
                  Optional.empty(),
                  List.of()),
              new PortGroup(
                  PortKind.SERIAL,
                  List.of(new PortMode("lines", 2, List.of())),
                  Optional.empty(),
                  List.of())),
          Samples.model().protocols(),
          Samples.model().dialect(),
          Map.of(),
          false);

  private static List<String> messages(
      String code, List<Prop> props, List<BankCable> cables, Run... runs) {
    Controller controller =
        new Controller(
            "k",
            "K1",
            "K",
            "banked",
            ControllerSettings.of(Protocol.DDP),
            Optional.empty(),
            Sending.live(),
            List.of(),
            cables,
            List.of(),
            List.of(runs));
    Display display =
        new Display(
            "Boxes",
            DisplaySettings.standard(),
            List.of(),
            List.of(),
            List.of(),
            props,
            List.of(controller));
    Plan plan = new Plan(display, Catalog.of(List.of(BANKED), List.of(Samples.RGB)));
    return Checks.run(Facts.of(plan)).stream()
        .filter(finding -> finding.code().equals(code))
        .map(Finding::message)
        .toList();
  }

  private static Leg onBox(String piece, int box) {
    return Leg.of(piece).withBox(Optional.of(box));
  }

  @Test
  void aThirdBoxOnAChainOfTwoIsNotThere() {
    List<Prop> props = List.of(Samples.string("a", 10), Samples.string("b", 10));
    assertThat(
            messages(
                "remote-box",
                props,
                List.of(),
                Run.of(PortKind.PIXEL, 5, List.of(onBox("a", 2), onBox("b", 3)))))
        .containsExactly("b hangs on box 3 of K1-5; a chain has 2 boxes at most");
  }

  @Test
  void theCableOfAChainAddsUp() {
    List<BankCable> tooMuch = List.of(new BankCable(2, 1, 20), new BankCable(2, 2, 10.5));
    assertThat(messages("remote-box", List.of(), tooMuch))
        .containsExactly("Bank 2 of K1 has 30.5 m of cable; 30 m is the most");
    List<BankCable> justEnough =
        List.of(new BankCable(1, 1, 30), new BankCable(2, 1, 20), new BankCable(2, 2, 10));
    assertThat(messages("remote-box", List.of(), justEnough)).isEmpty();
  }

  @Test
  void theBoxesOfAChainShareTheLimitOfTheirPort() {
    List<Prop> props = List.of(Samples.string("a", 60), Samples.string("b", 50));
    assertThat(
            messages(
                "port-limit",
                props,
                List.of(),
                Run.of(PortKind.PIXEL, 1, List.of(onBox("a", 1), onBox("b", 2)))))
        .containsExactly("K1-1 carries 110 pixels, 10 too many: the model drives 100");
  }

  private static Prop pack(String id, int unit) {
    return new Prop(
        id, id, Optional.empty(), Optional.empty(), List.of(new SerialDimmer(id, id, unit, 16)));
  }

  @Test
  void oneUnitNumberTwiceOnALineIsFoundAndOnTwoLinesIsRight() {
    List<Prop> props = List.of(pack("west", 4), pack("east", 4));
    assertThat(
            messages(
                "unit-number",
                props,
                List.of(),
                Run.of(PortKind.SERIAL, 1, List.of(Leg.of("west"), Leg.of("east")))))
        .containsExactly("west and east on K1-S1 are both unit 4");
    assertThat(
            messages(
                "unit-number",
                props,
                List.of(),
                Run.of(PortKind.SERIAL, 1, List.of(Leg.of("west"))),
                Run.of(PortKind.SERIAL, 2, List.of(Leg.of("east")))))
        .isEmpty();
  }

  @Test
  void aUnitNumberThatTheLineCannotCallIsFound() {
    assertThat(
            messages(
                "unit-number",
                List.of(pack("far", 121)),
                List.of(),
                Run.of(PortKind.SERIAL, 1, List.of(Leg.of("far")))))
        .containsExactly("far on K1-S1 is unit 121");
  }
}
