package hamper.arrange;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import hamper.arrange.Proposal.Hung;
import hamper.arrange.Proposal.Left;
import hamper.display.LegAt;
import hamper.display.Plan;
import hamper.edit.UnpatchPieces;
import hamper.facts.Facts;
import hamper.files.CatalogueFiles;
import hamper.samples.LargeDisplays;
import hamper.samples.Trial;
import hamper.value.RefusedException;
import java.io.IOException;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

/**
 * What hangs may move where somebody says so; what is held, set at hardware or given never does.
 */
@Tag("trial")
class MovingTest {
  private static final int YARDS = Trial.size(6, 500);

  private static Optional<LegAt> leg(Plan plan, String piece) {
    return plan.leg(piece);
  }

  @Test
  void moreThanMayMoveAtOnceIsToldAndNotLeftWithoutAWord() {
    Plan plan = LargeDisplays.of(CatalogueFiles.shipped(), 600, 24_000, 3, 1);
    Facts facts = Facts.of(plan);
    Asked all = new Asked(Arrange.all(plan), Aim.EASIEST, false, true, Set.of());
    assertThatThrownBy(() -> Arrange.of(facts, all))
        .isInstanceOf(RefusedException.class)
        .hasMessageContaining("at most 10000 may move at once; choose a zone");
  }

  @Test
  void nothingIsWrongAfterItNothingIsTakenDownAndWhatIsFixedStays() {
    int moved = 0;
    int fewerLeft = 0;
    for (int seed = 0; seed < YARDS; seed++) {
      Plan plan = Yards.yard(seed);
      Facts facts = Facts.of(plan);
      Aim aim = Aim.values()[seed % 3];
      Set<String> given = Set.of(plan.display().controllers().get(0).id());
      Set<String> movable = Movable.of(plan, Arrange.all(plan), given);
      Proposal kept = Arrange.of(facts, Asked.of(Arrange.loose(plan), aim));
      Proposal proposal = Arrange.of(facts, new Asked(Arrange.all(plan), aim, false, true, given));
      Plan after = Yards.taken(plan, proposal);
      assertThat(Yards.fresh(plan, after)).as("yard %d", seed).isEmpty();
      for (String piece : Arrange.all(plan)) {
        if (leg(plan, piece).isPresent()) {
          assertThat(leg(after, piece)).as(piece).isPresent();
        }
        if (leg(plan, piece).isPresent() && !movable.contains(piece)) {
          assertThat(leg(after, piece).get().port()).isEqualTo(leg(plan, piece).get().port());
          assertThat(leg(after, piece).get().leg()).isEqualTo(leg(plan, piece).get().leg());
        }
      }
      assertThat(proposal.left()).as("yard %d", seed).hasSizeLessThanOrEqualTo(kept.left().size());
      fewerLeft += kept.left().size() - proposal.left().size();
      List<Hung> moves = proposal.hung().stream().filter(one -> one.from().isPresent()).toList();
      for (Hung one : moves) {
        assertThat(one.from().get()).isEqualTo(plan.written(plan.leg(one.piece()).get().port()));
        assertThat(leg(after, one.piece()).get().leg().feeds())
            .isEqualTo(leg(plan, one.piece()).get().leg().feeds());
      }
      moved += moves.size();
    }
    assertThat(moved).as("pieces that move").isPositive();
    assertThat(fewerLeft).as("pieces that have a place only since others move").isPositive();
  }

  @Test
  void whatHangsStartsOnTheRemoteBoxOnWhichItHangs() throws IOException {
    Plan plan = Yards.demo();
    Facts facts = Facts.of(plan);
    Set<String> movable = Movable.of(plan, Arrange.all(plan), Set.of());
    Plan bare = plan.with(new UnpatchPieces(movable.stream().sorted().toList()).change(plan));
    Ground ground = new Ground(facts, facts.with(bare), movable);
    Layout layout = ground.replayed(plan, movable, Aim.EASIEST.weights());
    Set<Integer> boxes = new HashSet<>();
    for (Placed one : layout.placed()) {
      int box = leg(plan, one.piece()).orElseThrow().leg().box().orElse(1);
      assertThat(one.spot().box()).as(one.piece()).isEqualTo(box);
      boxes.add(box);
    }
    assertThat(boxes).contains(1, 2, 3);
    assertThat(new Telling(plan, layout, ground.measured(), new Lessons()).hung())
        .as("nothing would move")
        .isEmpty();
  }

  @Test
  void aPatchThatIsWellDoneStays() throws IOException {
    Plan plan = Yards.demo();
    Proposal proposal =
        Arrange.of(
            Facts.of(plan), new Asked(Arrange.all(plan), Aim.EASIEST, false, true, Set.of()));
    assertThat(proposal.hung()).allMatch(one -> one.from().isEmpty());
    assertThat(proposal.hung()).hasSize(5);
  }

  @Test
  @Tag("whole")
  void aPatchThatIsWellDoneStaysWhereStringsMaySpread() throws IOException {
    Plan plan = Yards.demo();
    Proposal spread =
        Arrange.of(Facts.of(plan), new Asked(Arrange.all(plan), Aim.EASIEST, true, true, Set.of()));
    assertThat(spread.hung()).allMatch(one -> one.from().isEmpty()).hasSize(5);
  }

  /**
   * All of the demo that may move, hung anew from nothing: how far that is from the patch that
   * somebody made in an evening.
   */
  @Test
  void fromNothingMostOfTheDemoHangsAsWellAsByHand() throws IOException {
    Plan plan = Yards.demo();
    Facts facts = Facts.of(plan);
    Set<String> movable = Movable.of(plan, Arrange.all(plan), Set.of());
    Cost hand = Arrange.asItHangs(facts, movable, Aim.EASIEST);
    Plan bare = plan.with(new UnpatchPieces(movable.stream().sorted().toList()).change(plan));
    for (Aim aim : Aim.values()) {
      Ground ground = Ground.anew(facts, facts.with(bare), movable);
      Proposal proposal =
          new Search(
                  ground,
                  Asked.of(movable, aim),
                  aim.weights(),
                  Ground.Order.BY_SIZE,
                  Progress.NONE)
              .found()
              .proposal();
      System.out.printf(
          "[arrange] demo from nothing, %s: %d of %d hung; %s; by hand %s; left %s%n",
          aim,
          movable.size() - proposal.left().size(),
          movable.size(),
          proposal.cost(),
          hand,
          proposal.left().stream().map(Left::title).toList());
      assertThat(proposal.left()).hasSizeLessThan(movable.size() / 6);
      assertThat(proposal.cost().splitProps()).isZero();
      assertThat(proposal.cost().twinsApart()).isLessThanOrEqualTo(hand.twinsApart());
      assertThat(proposal.cost().metres()).isLessThan(100);
    }
  }
}
