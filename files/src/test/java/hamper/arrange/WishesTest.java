package hamper.arrange;

import static org.assertj.core.api.Assertions.assertThat;

import hamper.address.IpAddress;
import hamper.address.Protocol;
import hamper.catalog.Banks;
import hamper.catalog.PortKind;
import hamper.display.Controller;
import hamper.display.ControllerSettings;
import hamper.display.Display;
import hamper.display.DisplaySettings;
import hamper.display.LegAt;
import hamper.display.Piece;
import hamper.display.PixelString;
import hamper.display.Plan;
import hamper.display.PortRef;
import hamper.display.Prop;
import hamper.display.Section;
import hamper.display.Zone;
import hamper.edit.HangPieces;
import hamper.facts.Facts;
import hamper.files.CatalogueFiles;
import hamper.samples.Trial;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

/**
 * What is wished of a patch beside what must hold: each wish by itself, on plans of a few props.
 */
@Tag("trial")
class WishesTest {

  /** Moments of one search at which it is stopped, at least. */
  private static final int STOPS = Trial.size(6, 1_000);

  private static final String SMALL = "ostrand-twelve";
  private static final String BANKS = "velmo-reach-32";

  private static Prop prop(String id, String name, String zone, int strings) {
    return new Prop(
        id,
        name,
        Optional.of(zone),
        Optional.empty(),
        IntStream.rangeClosed(1, strings)
            .mapToObj(
                n ->
                    (Piece)
                        new PixelString(
                            id + "-" + n, "string " + n, "node-12v", List.of(Section.of(20))))
            .toList());
  }

  /** Two zones, 54 m of cable apart, and a controller of a model in each that is named. */
  private static Plan plan(List<Prop> props, Map<String, String> modelByTagAndZone) {
    Display display =
        new Display(
            "Wishes",
            new DisplaySettings(1, 1, 40),
            List.of(),
            List.of(),
            List.of(
                new Zone("quay", "Quay", Optional.of(0.0), Optional.of(0.0)),
                new Zone("pier", "Pier", Optional.of(45.0), Optional.of(0.0))),
            props,
            controllers(modelByTagAndZone));
    return new Plan(display, CatalogueFiles.shipped());
  }

  private static List<Controller> controllers(Map<String, String> modelByTagAndZone) {
    List<Controller> all = new ArrayList<>();
    for (Map.Entry<String, String> one : modelByTagAndZone.entrySet()) {
      String id = one.getKey().split(" ")[0];
      String zone = one.getKey().split(" ")[1];
      ControllerSettings settings =
          ControllerSettings.of(Protocol.E131)
              .withAddress(Optional.of(new IpAddress("10.0.0." + (11 + all.size()))))
              .withZone(Optional.of(zone));
      all.add(
          new Controller(
              id, id, "Box " + id, one.getValue(), settings, Optional.empty(), List.of()));
    }
    return all;
  }

  private static Map<String, String> models(String... pairs) {
    Map<String, String> all = new LinkedHashMap<>();
    for (int i = 0; i < pairs.length; i += 2) {
      all.put(pairs[i], pairs[i + 1]);
    }
    return all;
  }

  private static Plan arranged(Plan plan, boolean spread) {
    Asked asked = new Asked(Arrange.loose(plan), Aim.EASIEST, spread, false, Set.of());
    Proposal proposal = Arrange.of(Facts.of(plan), asked);
    assertThat(proposal.left()).isEmpty();
    return proposal.edit().orElseThrow().applyTo(plan).plan();
  }

  private static PortRef port(Plan plan, String piece) {
    return plan.leg(piece).map(LegAt::port).orElseThrow();
  }

  @Test
  void namesTellTwins() {
    Twins twins =
        new Twins(
            List.of(
                prop("r", "Right gable", "pier", 2),
                prop("m", "Gable, middle", "quay", 2),
                prop("l", "Gable left", "quay", 2),
                prop("o", "Gable upper", "quay", 3),
                prop("a12", "Arch 12", "quay", 1),
                prop("a2", "Arch 2", "quay", 1),
                prop("a3", "Arch 3", "pier", 1),
                prop("x", "Left", "quay", 1)));
    assertThat(twins.after("l")).contains("m");
    assertThat(twins.after("m")).contains("r");
    assertThat(twins.before("r")).contains("m");
    assertThat(twins.before("o")).as("not as many strings").isEmpty();
    assertThat(twins.after("a2")).as("by number, in the same zone").contains("a12");
    assertThat(twins.after("a3")).isEmpty();
    assertThat(twins.after("x")).isEmpty();
  }

  @Test
  void twinsHangOnRisingPortsOfOneControllerOrOnTheSameOfTwo() {
    Plan one =
        arranged(
            plan(
                List.of(prop("b", "Sail right", "quay", 1), prop("a", "Sail left", "quay", 1)),
                models("k1 quay", SMALL)),
            false);
    assertThat(port(one, "a-1").port()).isLessThan(port(one, "b-1").port());
    // something hangs on the first port of the one, so that first empty ports do not match
    Plan two =
        plan(
            List.of(
                prop("c", "Crate", "pier", 1),
                prop("b", "Sail right", "pier", 1),
                prop("a", "Sail left", "quay", 1)),
            models("k1 quay", SMALL, "k2 pier", SMALL));
    HangPieces crate =
        new HangPieces(
            List.of(new HangPieces.OnOutlet(new PortRef("k2", PortKind.PIXEL, 1), List.of("c-1"))));
    Plan hung = arranged(crate.applyTo(two).plan(), false);
    assertThat(port(hung, "a-1").controller()).isEqualTo("k1");
    assertThat(port(hung, "b-1").controller()).isEqualTo("k2");
    assertThat(port(hung, "a-1").port()).isEqualTo(port(hung, "b-1").port());
  }

  @Test
  void aZoneStaysTogetherOrIsSpreadOnPurpose() {
    List<Prop> props = new ArrayList<>();
    for (String name : List.of("Crab", "Gull", "Net", "Oar")) {
      props.add(prop(name.toLowerCase(java.util.Locale.ROOT), name, "quay", 1));
    }
    Plan plan = plan(props, models("k1 quay", SMALL, "k2 quay", SMALL));
    Set<String> together = new HashSet<>();
    Set<String> spread = new HashSet<>();
    for (Prop prop : props) {
      String piece = prop.pieces().get(0).id();
      together.add(port(arranged(plan, false), piece).controller());
      spread.add(port(arranged(plan, true), piece).controller());
    }
    assertThat(together).containsExactly("k1");
    assertThat(spread).containsExactlyInAnyOrder("k1", "k2");
  }

  @Test
  void wiresStandInTheOrderInWhichACrewGoesAlong() {
    // large ones are looked for first, and yet hang as the display lists them
    Plan plan =
        arranged(
            plan(
                List.of(
                    prop("a", "Anchor", "quay", 1),
                    prop("b", "Boat", "quay", 3),
                    prop("c", "Crane", "quay", 2)),
                models("k1 quay", SMALL)),
            false);
    assertThat(
            plan.runs()
                .sorted(Comparator.comparingInt(run -> run.port().port()))
                .map(run -> run.legs().get(0).leg().piece()))
        .containsExactly("a-1", "b-1", "b-2", "b-3", "c-1", "c-2");
  }

  @Test
  void aRemoteBoxStandsWhereItsFirstPieceIsAndTheNextElsewhere() {
    Plan plan = plan(List.of(prop("a", "Anchor", "quay", 1)), models("k1 quay", BANKS));
    Optional<String> quay = Optional.of("quay");
    Optional<String> pier = Optional.of("pier");
    Chain chain =
        new Chain(new Yardstick(plan), plan.existingController("k1"), quay, new Banks(4, 3, 60), 1);
    assertThat(chain.spot(1, quay)).contains(new Chain.Spot(1, Optional.of(0.0), true));
    chain.hang(1, quay);
    assertThat(chain.spot(1, quay)).contains(new Chain.Spot(1, Optional.of(0.0), false));
    assertThat(chain.spot(1, pier)).contains(new Chain.Spot(2, Optional.of(54.0), true));
    chain.hang(2, pier);
    assertThat(chain.spot(1, pier)).contains(new Chain.Spot(2, Optional.of(0.0), false));
    assertThat(chain.spot(2, quay)).as("a wire goes on, never back; 108 m are too many").isEmpty();
    chain.takeOff(2, pier);
    chain.takeOff(1, quay);
    assertThat(chain.spot(1, pier)).contains(new Chain.Spot(1, Optional.of(54.0), true));
  }

  @Test
  void aProposalNamesTheBoxAndItsEditHangsOnIt() {
    // four wires of one bank go on from box A at the quay to box B at the pier
    Plan plan =
        plan(
            List.of(prop("a", "Anchor", "quay", 32), prop("b", "Boat", "pier", 1)),
            models("k1 quay", BANKS));
    List<HangPieces.OnOutlet> full = new ArrayList<>();
    for (int port = 1; port <= 32; port++) {
      full.add(
          new HangPieces.OnOutlet(new PortRef("k1", PortKind.PIXEL, port), List.of("a-" + port)));
    }
    Plan after = arranged(new HangPieces(full).applyTo(plan).plan(), false);
    assertThat(after.leg("b-1").orElseThrow().leg().box()).contains(2);
  }

  @Test
  void aStopGivesWhatThereIsByThenAndSaysSo() {
    Plan plan = Yards.measured(3);
    Set<String> wanted = Arrange.loose(plan);
    int[] asked = {0};
    Proposal whole =
        Arrange.of(
            Facts.of(plan),
            Asked.of(wanted, Aim.EASIEST),
            (phase, done, of) -> {
              asked[0]++;
              return true;
            });
    assertThat(asked[0]).isGreaterThan(3);
    assertThat(whole.stopped()).isFalse();
    for (int stop = 0; stop < asked[0]; stop += Math.max(1, asked[0] / STOPS)) {
      int last = stop;
      int[] steps = {0};
      Proposal stopped =
          Arrange.of(
              Facts.of(plan),
              Asked.of(wanted, Aim.EASIEST),
              (phase, done, of) -> steps[0]++ < last);
      assertThat(stopped.stopped()).as("stop after %d", stop).isTrue();
      assertThat(stopped.hung().size() + stopped.left().size()).isEqualTo(wanted.size());
      assertThat(Yards.fresh(plan, Yards.taken(plan, stopped))).isEmpty();
    }
  }
}
