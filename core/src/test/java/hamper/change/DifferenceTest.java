package hamper.change;

import static org.assertj.core.api.Assertions.assertThat;

import hamper.address.Protocol;
import hamper.display.Display;
import hamper.display.Plan;
import hamper.display.Prop;
import hamper.display.Section;
import hamper.sample.Samples;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** What differs between two displays, as paths that people and programs can read. */
class DifferenceTest {
  private static final Plan PLAN =
      Samples.plan(
          List.of(Samples.string("a", 10), Samples.string("b", 20), Samples.string("c", 30)),
          Samples.controller("k", Protocol.E131, Samples.run(1, "a", "b")),
          Samples.controller("l", Protocol.E131));
  private static final Display DISPLAY = PLAN.display();

  private static List<String> paths(Display after) {
    List<String> paths = Difference.between(DISPLAY, after).paths();
    assertThat(Difference.between(after, DISPLAY).paths()).as("the way back").isEqualTo(paths);
    return paths;
  }

  private static Display props(Prop... props) {
    return DISPLAY.withProps(List.of(props));
  }

  private static Prop prop(int index) {
    return DISPLAY.props().get(index);
  }

  @Test
  void nothingDiffersFromItself() {
    assertThat(paths(DISPLAY)).isEmpty();
    assertThat(paths(DISPLAY.withProps(new ArrayList<>(DISPLAY.props())))).isEmpty();
  }

  @Test
  void aFieldIsNamedByThingAndPlace() {
    Prop renamed = new Prop("b", "Bell", Optional.empty(), Optional.empty(), prop(1).pieces());
    assertThat(paths(props(prop(0), renamed, prop(2)))).containsExactly("props/b/name");
    Display longer = props(prop(0), Samples.string("b", 21), prop(2));
    assertThat(paths(longer)).containsExactly("props/b/pieces/b/sections/0/pixels");
  }

  @Test
  void aListOfAnotherLengthDiffersAsAWholeWherePositionsMatter() {
    Display split =
        props(prop(0), Samples.string("b", "rgb", Section.of(10), Section.of(10)), prop(2));
    assertThat(paths(split)).containsExactly("props/b/pieces/b/sections");
    Display hung =
        DISPLAY.withControllers(
            List.of(
                Samples.controller("k", Protocol.E131, Samples.run(1, "a", "c", "b")),
                DISPLAY.controllers().get(1)));
    assertThat(paths(hung)).containsExactly("controllers/k/runs/PIXEL-1/legs");
  }

  @Test
  void whatCameOrWentIsNamedAsAWholeAndOrderOnItsOwn() {
    assertThat(paths(props(prop(0), prop(1)))).containsExactly("props/c");
    List<Prop> turned = new ArrayList<>(DISPLAY.props());
    Collections.reverse(turned);
    assertThat(paths(DISPLAY.withProps(turned))).containsExactly("props/order");
  }

  @Test
  void twoOverlapWhereOneLiesWithinTheOther() {
    Difference field = new Difference(List.of("controllers/k/settings/brightness"));
    assertThat(field.overlap(new Difference(List.of("controllers/k"))))
        .containsExactly("controllers/k/settings/brightness");
    assertThat(field.overlap(new Difference(List.of("controllers/k/settings/note")))).isEmpty();
    assertThat(field.overlap(new Difference(List.of("controllers/kk")))).isEmpty();
    assertThat(field.overlap(new Difference(List.of(Difference.ALL)))).isNotEmpty();
    assertThat(field.overlap(new Difference(List.of()))).isEmpty();
  }

  @Test
  void aPathIsSaidInWords() {
    assertThat(Difference.words("controllers/k/settings/universeSize", DISPLAY))
        .isEqualTo("universe size of k");
    assertThat(Difference.words("props/b/pieces/b/sections/0", DISPLAY)).isEqualTo("sections of b");
    assertThat(Difference.words("controllers/k", DISPLAY)).isEqualTo("k");
    assertThat(Difference.words("controllers/order", DISPLAY)).isEqualTo("order of controllers");
    assertThat(Difference.words("name", DISPLAY)).isEqualTo("name of the display");
  }
}
