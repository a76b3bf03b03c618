package hamper.edit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import hamper.address.Protocol;
import hamper.display.Display;
import hamper.display.Feed;
import hamper.display.Hold;
import hamper.display.Leg;
import hamper.display.PixelString;
import hamper.display.Plan;
import hamper.display.Prop;
import hamper.display.Run;
import hamper.display.Section;
import hamper.display.SitePower;
import hamper.display.Supply;
import hamper.sample.Samples;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** One string becomes two, and until somebody moves the second nothing has another address. */
class CutStringTest {
  private static final Section FIRST = Section.of(30);
  private static final Section SECOND = Section.of(40).withNullPixels(2).withBackward(true);

  private static PixelString string(String id, String name, Section... sections) {
    return new PixelString(
        id, name, "rgb", List.of(sections), "stern", "xc3", 1.5, Optional.empty());
  }

  private static Plan plan(Run run, PixelString... strings) {
    Prop rail = new Prop("p", "Rail", Optional.empty(), Optional.empty(), List.of(strings));
    return Samples.plan(
        List.of(rail, Samples.string("z", 10)), Samples.controller("k", Protocol.E131, run));
  }

  private static Plan plan(Section... sections) {
    return plan(Samples.run(1, "a", "z"), string("a", "1", sections));
  }

  private static PixelString of(Plan plan, String id) {
    return (PixelString) plan.existingPiece(id).piece();
  }

  private static List<String> hung(Plan plan) {
    return plan.runs().flatMap(run -> run.run().legs().stream()).map(Leg::piece).toList();
  }

  @Test
  void theRestIsTheNextStringOfThePropAndHangsRightBehindIt() {
    Plan before = plan(FIRST, SECOND);
    CutString cut = new CutString("a", 30, "b");
    Plan after = cut.applyTo(before).plan();
    assertThat(of(after, "a")).isEqualTo(string("a", "1", FIRST));
    assertThat(of(after, "b"))
        .as("its plug is of the same kind; where data enters it nobody knows")
        .isEqualTo(
            new PixelString("b", "2", "rgb", List.of(SECOND), "", "xc3", 0, Optional.empty()));
    assertThat(after.existingPiece("b").prop().name()).isEqualTo("Rail");
    assertThat(hung(after)).containsExactly("a", "b", "z");
    assertThat(Samples.starts(after)).isEqualTo(Samples.starts(before)).containsExactly(1, 91, 211);
    assertThat(cut.label(before)).isEqualTo("Cut Rail after 30 pixels");
  }

  @Test
  void aSectionThatIsCutThroughBecomesTwoAndKeepsWhereItIsHeld() {
    Section held = SECOND.withBackward(false).withHold(Optional.of(Hold.atChannel(500)));
    Plan before = plan(FIRST, held);
    Plan after = new CutString("a", 45, "b").applyTo(before).plan();
    assertThat(of(after, "a").sections()).containsExactly(FIRST, held.withPixels(15));
    assertThat(of(after, "b").sections())
        .containsExactly(
            held.withPixels(25).withNullPixels(0).withHold(Optional.of(Hold.atChannel(545))));
    assertThat(Samples.starts(after)).containsExactly(1, 500, 545, 91);
    assertThat(Samples.starts(before)).containsExactly(1, 500, 91);
  }

  @Test
  void whatHangsNowhereIsTwoThingsThatHangNowhere() {
    Plan before = plan(Samples.run(1, "z"), string("a", "1", FIRST), string("x", "2", FIRST));
    Plan after = new CutString("a", 10, "b").applyTo(before).plan();
    assertThat(hung(after)).containsExactly("z");
    assertThat(after.props().existing("p").pieces())
        .extracting(piece -> piece.id() + " " + piece.name())
        .as("beside each other, with a name that is free")
        .containsExactly("a 1", "b 3", "x 2");
  }

  @Test
  void aNameWithoutRoomForANumberLosesItsEnd() {
    Plan plan = plan(Samples.run(1), string("a", "\uD83D\uDCA1".repeat(40), FIRST));
    Plan after = new CutString("a", 10, "b").applyTo(plan).plan();
    assertThat(of(after, "b").name()).isEqualTo("\uD83D\uDCA1".repeat(39) + "2");
  }

  @Test
  void feedsStayWhereTheyAreSoldered() {
    Plan bare = plan(FIRST, SECOND);
    Display display = bare.display();
    Supply supply =
        new Supply("s", "s", Optional.empty(), 12, 30, Optional.empty(), Optional.empty());
    Plan powered =
        bare.with(display.withPower(new SitePower(List.of(supply), display.power().mains())));
    List<Feed> feeds = List.of(feed(30), feed(31), feed(72), feed(90));
    Plan before = new AddFeeds("a", feeds).applyTo(powered).plan();
    Plan after = new CutString("a", 30, "b").applyTo(before).plan();
    assertThat(after.leg("a").orElseThrow().leg().feeds()).containsExactly(feed(30));
    assertThat(after.leg("b").orElseThrow().leg().feeds())
        .as("places count null pixels; what lies beyond the end stays beyond it")
        .containsExactly(feed(1), feed(42), feed(60));
  }

  private static Feed feed(int position) {
    return new Feed("s", position, Optional.empty(), Optional.empty(), Optional.empty());
  }

  @Test
  void whatCannotBeCutIsToldWhy() {
    Plan plan = plan(Section.of(1));
    refused(plan, 1, "a string of one pixel cannot be cut in two");
    refused(plan(FIRST, SECOND), 70, "allowed is 1 to 69");
    Section grouped = new Section(60, 0, 4, none(), false, none(), none(), none());
    refused(plan(FIRST, grouped), 40, "grouped by 4");
    assertThatThrownBy(() -> new CutString("a", 10, "z").applyTo(plan(FIRST)))
        .hasMessageContaining("\"z\"");
  }

  @Test
  void aMirrorAndItsOriginalStayWhole() {
    Plan both = plan(Samples.run(1, "a", "x"), string("a", "1", FIRST), string("x", "2", FIRST));
    Plan mirrored = SetLegs.mirror("x", Optional.of("a")).applyTo(both).plan();
    refused(mirrored, 10, "Rail 2 mirrors Rail 1; end the mirror first");
    assertThatThrownBy(() -> new CutString("x", 10, "b").applyTo(mirrored))
        .hasMessageContaining("Rail 2 mirrors Rail 1; end the mirror first");
  }

  private static void refused(Plan plan, int after, String told) {
    assertThatThrownBy(() -> new CutString("a", after, "b").applyTo(plan))
        .hasMessageContaining(told);
  }

  private static <T> Optional<T> none() {
    return Optional.empty();
  }

  @Test
  void cutsAreAsFewAsTheRoomAllowsAndTearNoGroup() {
    assertThat(after(40, 40, Section.of(90))).containsExactly(40, 40);
    assertThat(after(10, 100, Section.of(90))).containsExactly(10);
    assertThat(after(90, 1, Section.of(90))).as("it has room as it is").isEmpty();
    Section grouped = new Section(60, 0, 7, none(), false, none(), none(), none());
    assertThat(after(40, 40, grouped)).containsExactly(35);
    assertThat(after(5, 40, grouped)).as("less than a group has room").isEmpty();
    assertThat(after(31, 60, FIRST, SECOND)).as("null pixels need room").containsExactly(30);
    assertThat(after(1, 1, Section.of(9000))).as("that is no cutting").isEmpty();
  }

  private static List<Integer> after(int first, int others, Section... sections) {
    Plan plan = plan(Samples.run(1, "a"), string("a", "1", sections));
    return Cuts.of(plan, of(plan, "a"), first, others).stream().map(CutString::after).toList();
  }
}
