package hamper.arrange;

import static org.assertj.core.api.Assertions.assertThat;

import hamper.address.IpAddress;
import hamper.address.Protocol;
import hamper.display.Controller;
import hamper.display.ControllerSettings;
import hamper.display.Display;
import hamper.display.DisplaySettings;
import hamper.display.Leg;
import hamper.display.PixelString;
import hamper.display.Plan;
import hamper.display.PortRef;
import hamper.display.Prop;
import hamper.display.Section;
import hamper.display.Zone;
import hamper.facts.Facts;
import hamper.files.CatalogueFiles;
import hamper.samples.Trial;
import java.io.IOException;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/**
 * A proposal brings nothing that is wrong, moves nothing that hangs, and is the same every time.
 */
@Tag("trial")
class ArrangeTest {
  @ParameterizedTest
  @EnumSource(Aim.class)
  void noProposalBringsAFaultOrARiskOrMovesWhatHangs(Aim aim) {
    int loose = 0;
    int hung = 0;
    for (int seed = 0; seed < Yards.COUNT; seed++) {
      Plan plan = Yards.yard(seed);
      Set<String> wanted = Arrange.loose(plan);
      Facts facts = Facts.of(plan);
      Proposal proposal = Arrange.of(facts, Asked.of(wanted, aim));
      Plan after = Yards.taken(plan, proposal);
      assertThat(Yards.fresh(plan, after)).as("yard %d", seed).isEmpty();
      Map<PortRef, List<Leg>> now = Yards.legs(after);
      Yards.legs(plan)
          .forEach((port, was) -> assertThat(now.get(port).subList(0, was.size())).isEqualTo(was));
      assertThat(proposal.hung().size() + proposal.left().size()).isEqualTo(wanted.size());
      proposal.left().forEach(one -> assertThat(one.because()).as(one.title()).isNotBlank());
      proposal.hung().forEach(one -> assertThat(one.because()).as(one.title()).isNotBlank());
      assertThat(Arrange.of(facts, Asked.of(wanted, aim)))
          .as("yard %d again", seed)
          .isEqualTo(proposal);
      loose += wanted.size();
      hung += proposal.hung().size();
    }
    assertThat(hung).as("of %d", loose).isGreaterThan(loose / 2);
  }

  @Test
  void eachAimIsGoodAtWhatItIsFor() {
    double easyMetres = 0;
    double nearMetres = 0;
    int easyMore = 0;
    int fewMore = 0;
    for (int seed = 0; seed < Trial.size(6, 12); seed++) {
      Plan plan = Yards.measured(seed);
      Facts facts = Facts.of(plan);
      Set<String> wanted = Arrange.loose(plan);
      Proposal easy = Arrange.of(facts, Asked.of(wanted, Aim.EASIEST));
      Proposal few = Arrange.of(facts, Asked.of(wanted, Aim.FEWEST));
      Proposal near = Arrange.of(facts, Asked.of(wanted, Aim.SHORTEST));
      assertThat(near.hung().size()).isGreaterThan(wanted.size() / 2);
      assertThat(few.cost().another()).isLessThanOrEqualTo(easy.cost().another());
      easyMetres += easy.cost().metres();
      nearMetres += near.cost().metres();
      easyMore += easy.cost().outlets();
      fewMore += few.cost().outlets();
    }
    assertThat(nearMetres).isLessThanOrEqualTo(easyMetres);
    assertThat(fewMore).isLessThanOrEqualTo(easyMore);
  }

  @Test
  void onePropMoreMovesNothingElse() {
    for (int seed = 0; seed < Yards.COUNT; seed++) {
      Plan plan = Yards.yard(seed);
      Plan first =
          Yards.taken(plan, Arrange.of(Facts.of(plan), Asked.of(Arrange.loose(plan), Aim.EASIEST)));
      Plan again =
          Yards.taken(
              first, Arrange.of(Facts.of(first), Asked.of(Arrange.loose(first), Aim.EASIEST)));
      Map<PortRef, List<Leg>> now = Yards.legs(again);
      Yards.legs(first)
          .forEach((port, was) -> assertThat(now.get(port).subList(0, was.size())).isEqualTo(was));
    }
  }

  @Test
  void theDemosLoosePiecesFindPlacesAndTheRestIsToldWhyNot() throws IOException {
    Plan plan = Yards.demo();
    Proposal proposal = Arrange.of(Facts.of(plan), Asked.of(Arrange.loose(plan), Aim.EASIEST));
    assertThat(proposal.hung())
        .extracting(one -> one.title() + " on " + one.written())
        .contains("Lamp posts on K4-8", "Red dinghy on K7-3", "Buoys on K6-20");
    assertThat(proposal.left()).hasSize(5);
    assertThat(proposal.left())
        .filteredOn(one -> one.title().equals("Cargo net"))
        .extracting(Proposal.Left::because)
        .first()
        .asString()
        .contains("Cargo net on ", " asks for a fold: the device has no such setting");
    assertThat(proposal.hung().size() + proposal.left().size()).isEqualTo(10);
    assertThat(proposal.cost().another()).isZero();
  }

  @Test
  void whatFitsNowhereIsToldOfTheNearestPort() {
    Display display =
        new Display(
            "Two boxes",
            new DisplaySettings(1, 1, 40),
            List.of(),
            List.of(),
            List.of(zone("far", 90), zone("middle", 40), zone("near", 5)),
            List.of(
                new Prop(
                    "p",
                    "Endless",
                    Optional.of("near"),
                    Optional.empty(),
                    List.of(
                        new PixelString(
                            "p-1",
                            "string",
                            CatalogueFiles.shipped().pixelTypes().get(0).id(),
                            List.of(Section.of(20_000)))))),
            List.of(box(1, "far"), box(2, "middle"), box(3, "far")));
    Plan plan = new Plan(display, CatalogueFiles.shipped());
    Proposal proposal = Arrange.of(Facts.of(plan), Asked.of(Set.of("p-1"), Aim.SHORTEST));
    assertThat(proposal.left()).hasSize(1);
    assertThat(proposal.left().get(0).because()).startsWith("K2-1: ");
  }

  private static Zone zone(String id, double x) {
    return new Zone(id, id, Optional.of(x), Optional.of(0.0));
  }

  private static Controller box(int number, String zone) {
    ControllerSettings settings =
        ControllerSettings.of(Protocol.DDP)
            .withAddress(Optional.of(new IpAddress("10.0.0." + number)))
            .withZone(Optional.of(zone));
    return new Controller(
        "k" + number,
        "K" + number,
        "Box " + number,
        "quillby-wren",
        settings,
        Optional.empty(),
        List.of());
  }
}
