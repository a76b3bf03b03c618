package hamper.edit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import hamper.address.Protocol;
import hamper.display.Hold;
import hamper.display.PixelString;
import hamper.display.Plan;
import hamper.display.Prop;
import hamper.display.Section;
import hamper.sample.Samples;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** Sections are split, joined and shifted along the wire, and pixels that hang keep their place. */
class SectionEditsTest {
  private static Plan plan(Section... sections) {
    PixelString string = new PixelString("a", "a", "rgb", List.of(sections));
    Prop prop = new Prop("a", "Rail", Optional.empty(), Optional.empty(), List.of(string));
    return Samples.plan(List.of(prop), Samples.controller("k", Protocol.E131, Samples.run(1, "a")));
  }

  private static List<Section> sections(Plan plan) {
    return ((PixelString) plan.existingPiece("a").piece()).sections();
  }

  @Test
  void aSplitKeepsTheSettingsAndTheNullPixelsStayInFront() {
    Section whole =
        new Section(60, 2, 3, Optional.of(30), true, Optional.empty(), Optional.of(40), none());
    Plan after = new SplitSection("a", 0, 24).applyTo(plan(whole)).plan();
    assertThat(sections(after))
        .containsExactly(whole.withPixels(24), whole.withPixels(36).withNullPixels(0));
    assertThat(new SplitSection("a", 0, 24).label(plan(whole)))
        .isEqualTo("Split Rail after 24 pixels");
  }

  @Test
  void aSplitFallsBetweenTwoGroupsAndLeavesBothPartsSomething() {
    Section grouped =
        new Section(60, 0, 4, none(), false, none(), Optional.empty(), Optional.empty());
    assertThatThrownBy(() -> new SplitSection("a", 0, 10).applyTo(plan(grouped)))
        .hasMessageContaining("grouped by 4");
    assertThatThrownBy(() -> new SplitSection("a", 0, 60).applyTo(plan(grouped)))
        .hasMessageContaining("allowed is 1 to 59");
    assertThatThrownBy(() -> new SplitSection("a", 1, 8).applyTo(plan(grouped)))
        .hasMessageContaining("index");
  }

  @Test
  void whatIsHeldStaysWhereItWasOnBothSidesOfASplit() {
    Plan held = plan(Section.of(200).withHold(Optional.of(Hold.atChannel(500))));
    Plan after = new SplitSection("a", 0, 150).applyTo(held).plan();
    assertThat(Samples.starts(after)).containsExactly(500, 950);
    Plan inUniverse = plan(Section.of(200).withHold(Optional.of(new Hold(Optional.of(3), 500))));
    Plan split = new SplitSection("a", 0, 150).applyTo(inUniverse).plan();
    assertThat(sections(split).get(1).hold()).contains(new Hold(Optional.of(4), 438));
  }

  @Test
  void joiningIsTheOtherWayRoundAndRefusesNullPixelsBetween() {
    Plan before = plan(Section.of(30), Section.of(20), Section.of(10).withNullPixels(1));
    Plan after = new JoinSections("a", 0).applyTo(before).plan();
    assertThat(sections(after)).containsExactly(Section.of(50), Section.of(10).withNullPixels(1));
    assertThatThrownBy(() -> new JoinSections("a", 1).applyTo(before))
        .hasMessageContaining("set them to 0 first");
    assertThatThrownBy(() -> new JoinSections("a", 2).applyTo(before))
        .hasMessageContaining("allowed is 0 to 1");
  }

  @Test
  void aBoundaryMovesPixelsFromOneSectionToItsNeighbour() {
    Plan before = plan(Section.of(30), Section.of(20));
    Plan after = new MoveBoundary("a", 0, 15).applyTo(before).plan();
    assertThat(sections(after)).containsExactly(Section.of(45), Section.of(5));
    assertThatThrownBy(() -> new MoveBoundary("a", 0, 20).applyTo(before))
        .hasMessageContaining("allowed is 1 to 49");
  }

  private static <T> Optional<T> none() {
    return Optional.empty();
  }
}
