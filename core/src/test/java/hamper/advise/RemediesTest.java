package hamper.advise;

import static org.assertj.core.api.Assertions.assertThat;

import hamper.address.IpAddress;
import hamper.address.Protocol;
import hamper.check.Checks;
import hamper.check.Finding;
import hamper.display.Controller;
import hamper.display.Hold;
import hamper.display.Plan;
import hamper.display.Prop;
import hamper.display.Section;
import hamper.edit.Edit;
import hamper.facts.Facts;
import hamper.sample.Samples;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/** What is offered, in which order, and what is not. */
class RemediesTest {
  private static Controller addressed(Controller controller, String address) {
    return controller.withSettings(
        controller.settings().withAddress(Optional.of(new IpAddress(address))));
  }

  private static Prop held(String id, int pixels, int channel) {
    return Samples.string(
        id, "rgb", Section.of(pixels).withHold(Optional.of(Hold.atChannel(channel))));
  }

  private static List<String> offered(Plan plan, String code) {
    Facts facts = Facts.of(plan);
    Finding finding =
        Checks.all(facts).stream().filter(one -> one.code().equals(code)).findFirst().orElseThrow();
    return Remedies.of(facts, finding).stream().map(edit -> edit.label(plan)).toList();
  }

  @Test
  void twoThatCollideFlowOneAfterTheOther() {
    Plan plan =
        Samples.plan(
            List.of(held("a", 20, 1), held("b", 30, 31)),
            addressed(
                Samples.controller("k", Protocol.E131, Samples.run(1, "a"), Samples.run(2, "b")),
                "198.51.100.11"));
    assertThat(offered(plan, "overlap")).containsExactly("Let go b", "Let go a");
  }

  @Test
  void twoOfOneLengthMayMirrorInstead() {
    Plan plan =
        Samples.plan(
            List.of(held("a", 20, 1), held("b", 20, 1)),
            addressed(
                Samples.controller("k", Protocol.E131, Samples.run(1, "a"), Samples.run(2, "b")),
                "198.51.100.11"));
    // a mirror that is held as well would bring a fault of its own, so it is not offered
    assertThat(offered(plan, "overlap")).contains("Let go b").noneMatch(l -> l.contains("irror"));
  }

  @Test
  void asFewLegsAsItTakesMoveFromTheEnd() {
    Plan plan =
        Samples.plan(
            List.of(
                Samples.string("a", 300),
                Samples.string("b", 300),
                Samples.string("c", 300),
                Samples.string("d", 100)),
            addressed(
                Samples.controller("k", Protocol.E131, Samples.run(1, "a", "b", "c", "d")),
                "198.51.100.11"));
    assertThat(offered(plan, "port-limit"))
        .containsExactly("Move 2 pieces to the nearest port with room");
  }

  @Test
  void aStringForWhichNoPortIsLongEnoughIsCut() {
    Plan plan = onOne(Samples.string("a", 1500), Samples.string("b", 20));
    assertThat(offered(plan, "port-limit"))
        .containsExactly("Cut a after pixel 800 and hang the rest on k-2");
  }

  @Test
  void whatNobodyKnowsARemedyForIsLeftToThePlanner() {
    Section whole =
        new Section(
            900,
            0,
            900,
            Optional.empty(),
            false,
            Optional.empty(),
            Optional.empty(),
            Optional.empty());
    assertThat(offered(onOne(Samples.string("a", "rgb", whole)), "port-limit"))
        .as("no port is long enough, and one group is not torn")
        .isEmpty();
  }

  private static Plan onOne(Prop... props) {
    String[] pieces = Stream.of(props).map(Prop::id).toArray(String[]::new);
    return Samples.plan(
        List.of(props),
        addressed(Samples.controller("k", Protocol.E131, Samples.run(1, pieces)), "198.51.100.11"));
  }

  @Test
  void whatHelpsIsUndoneAsOneStep() {
    Plan plan =
        Samples.plan(List.of(Samples.string("a", 50)), Samples.controller("k", Protocol.DDP));
    Facts facts = Facts.of(plan);
    Finding loose = Checks.all(facts).get(0);
    assertThat(loose.code()).isEqualTo("not-patched");
    Edit remedy = Remedies.of(facts, loose).get(0);
    Edit.Applied done = remedy.applyTo(plan);
    assertThat(done.plan().leg("a")).isPresent();
    assertThat(done.inverse().applyTo(done.plan()).plan().display()).isEqualTo(plan.display());
  }
}
