package hamper.display;

import static org.assertj.core.api.Assertions.assertThatCode;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import hamper.address.Protocol;
import hamper.catalog.PortKind;
import hamper.resolve.Resolver;
import hamper.sample.Samples;
import hamper.value.RefusedException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** Absurd sizes are refused with their place, and never by an overflow. */
class DisplaySizeTest {
  private static Plan strings(int controllers, int pieces) {
    List<Prop> props = new ArrayList<>();
    Controller[] all = new Controller[controllers];
    for (int c = 0; c < controllers; c++) {
      List<Leg> legs = new ArrayList<>();
      for (int p = 0; p < pieces; p++) {
        Section[] sections = new Section[500];
        Arrays.fill(sections, Section.of(Section.MOST_PIXELS));
        String id = "p" + c + "-" + p;
        props.add(Samples.string(id, "rgb", sections));
        legs.add(Leg.of(id));
      }
      all[c] = Samples.controller("k" + c, Protocol.DDP).withRun(Run.of(PortKind.PIXEL, 1, legs));
    }
    return Samples.plan(props, all);
  }

  @Test
  void whatCanBeCountedIsTaken() {
    assertThatCode(() -> Resolver.resolve(strings(2, 2))).doesNotThrowAnyException();
  }

  @Test
  void whatCannotIsRefusedAtTheControllerThatIsTooMuch() {
    assertThatThrownBy(() -> strings(9, 2))
        .isInstanceOf(RefusedException.class)
        .hasMessageContaining("controllers[3]")
        .hasMessageContaining("at most 2,147,483,647");
  }

  @Test
  void reserveCountsToo() {
    Controller[] all = new Controller[100];
    for (int c = 0; c < all.length; c++) {
      Controller plain = Samples.controller("k" + c, Protocol.DDP);
      all[c] =
          plain.withSettings(plain.settings().withBlock(Optional.empty(), 0, Hold.MOST_CHANNELS));
    }
    assertThatThrownBy(() -> Samples.plan(List.of(), all))
        .isInstanceOf(RefusedException.class)
        .hasMessageContaining("reserve less");
  }
}
