package hamper.change;

import static org.assertj.core.api.Assertions.assertThat;

import hamper.address.Protocol;
import hamper.catalog.PortKind;
import hamper.display.Plan;
import hamper.display.PortRef;
import hamper.display.Section;
import hamper.edit.Edit;
import hamper.edit.PatchPieces;
import hamper.edit.Say;
import hamper.resolve.Resolver;
import hamper.sample.Samples;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** After an edit the crew is told what else moved, and nothing that did not. */
class MovesTest {
  private final Plan plan =
      Samples.plan(
          List.of(Samples.string("a", 10), Samples.string("b", 20), Samples.string("c", 30)),
          Samples.controller("k", Protocol.E131, Samples.run(1, "a", "b"), Samples.run(2, "c")));

  private String told(Edit edit) {
    Plan after = edit.applyTo(plan).plan();
    return Moves.between(Resolver.resolve(plan), Resolver.resolve(after)).told(after);
  }

  @Test
  void tenMorePixelsPushWhatFollowsByThirtyChannels() {
    assertThat(told(Say.section("a", 0, Section.of(10), Section.of(20))))
        .isEqualTo("2 legs moved 30 channels on k");
  }

  @Test
  void aChangeAtTheEndMovesNobody() {
    assertThat(told(Say.section("c", 0, Section.of(10), Section.of(99)))).isEmpty();
  }

  @Test
  void aLegThatWasHungElsewhereIsNotToldTwice() {
    Edit toTheEnd =
        new PatchPieces(List.of("b"), new PortRef("k", PortKind.PIXEL, 3), Optional.empty());
    assertThat(told(toTheEnd)).isEqualTo("1 leg moved 60 channels on k");
  }
}
