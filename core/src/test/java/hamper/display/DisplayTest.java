package hamper.display;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import hamper.address.Protocol;
import hamper.catalog.PortKind;
import hamper.sample.Samples;
import hamper.value.RefusedException;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/**
 * What cannot be stated is refused at once, with its place; nobody plans on a display that lies.
 */
class DisplayTest {
  private static final List<Prop> TWO = List.of(Samples.string("a", 10), Samples.string("b", 10));

  private static void refused(Runnable work, String place, String words) {
    assertThatThrownBy(work::run)
        .isInstanceOfSatisfying(RefusedException.class, e -> assertThat(e.place()).isEqualTo(place))
        .hasMessageContaining(words);
  }

  private static Plan on(Run... runs) {
    return Samples.plan(TWO, Samples.controller("k", Protocol.E131, runs));
  }

  @Test
  void aPieceHangsOnce() {
    refused(
        () -> on(Samples.run(1, "a"), Samples.run(2, "b", "a")),
        "controllers[0].runs[1].legs[1].piece",
        "hangs at controllers[0].runs[0].legs[0]");
  }

  @Test
  void aLegLeadsToAPieceThatExists() {
    refused(
        () -> on(Samples.run(1, "nobody")),
        "controllers[0].runs[0].legs[0].piece",
        "no piece of this display has this id; there are 2");
  }

  @Test
  void aPortThatTheModelHasInNoModeIsRefused() {
    refused(() -> on(Samples.run(49, "a")), "controllers[0].runs[0].port", "ports 1 to 48");
  }

  @Test
  void aStringDoesNotHangOnADmxPort() {
    refused(
        () -> on(Run.of(PortKind.DMX, 1, List.of(Leg.of("a")))),
        "controllers[0].runs[0].legs[0].piece",
        "hangs on a PIXEL port");
  }

  @Test
  void aMirrorOfAMirrorIsRefused() {
    Leg mirrorsB = new Leg("a", 0, 0, Optional.of("b"));
    Leg mirrorsA = new Leg("b", 0, 0, Optional.of("a"));
    refused(
        () -> on(Run.of(PortKind.PIXEL, 1, List.of(mirrorsB, mirrorsA))),
        "controllers[0].runs[0].legs[0].mirrorOf",
        "not itself a mirror");
  }

  @Test
  void aModelSpeaksItsProtocolsOnly() {
    refused(
        () -> Samples.plan(List.of(), Samples.controller("k", Protocol.NONE)),
        "controllers[0].settings.protocol",
        "takes E131, ARTNET, DDP");
  }

  @Test
  void aColourOrderFitsTheChannelsOfThePixels() {
    Section section =
        new Section(
            10,
            0,
            1,
            Optional.empty(),
            false,
            Optional.of(new hamper.address.ColourOrder("GRBW")),
            Optional.empty(),
            Optional.empty());
    refused(
        () -> Samples.plan(List.of(Samples.string("a", "rgb", section))),
        "props[0].pieces[0].sections[0].colourOrder",
        "have 3 channels");
  }

  @Test
  void tagsAreUnique() {
    Controller one = Samples.controller("k", Protocol.E131);
    Controller two =
        new Controller("k2", "k", "other", "any", one.settings(), Optional.empty(), List.of());
    refused(() -> Samples.plan(List.of(), one, two), "controllers[1].tag", "used already");
  }

  @Test
  void runsAreKeptByPortHoweverTheyWereWritten() {
    Controller controller =
        Samples.controller("k", Protocol.E131, Samples.run(2, "b"), Samples.run(1, "a"));
    assertThat(controller.runs()).extracting(Run::port).containsExactly(1, 2);
  }

  @Test
  void theNearestBrightnessCountsAndTheyDoNotMultiply() {
    Controller controller = Samples.controller("k", Protocol.E131);
    Section plain = Section.of(1);
    Prop prop = Samples.string("a", 1);
    Run run = Samples.run(1, "a");
    assertThat(Brightness.percent(plain, prop, run, controller)).isEqualTo(30);
    Run dimmed = new Run(PortKind.PIXEL, 1, List.of(), Optional.empty(), Optional.of(50));
    assertThat(Brightness.percent(plain, prop, dimmed, controller)).isEqualTo(50);
    Prop bright = new Prop("a", "a", Optional.empty(), Optional.of(80), prop.pieces());
    assertThat(Brightness.percent(plain, bright, dimmed, controller)).isEqualTo(80);
  }
}
