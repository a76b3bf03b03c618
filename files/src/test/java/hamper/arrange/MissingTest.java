package hamper.arrange;

import static org.assertj.core.api.Assertions.assertThat;

import hamper.address.IpAddress;
import hamper.catalog.Catalog;
import hamper.display.Display;
import hamper.display.DisplaySettings;
import hamper.display.Piece;
import hamper.display.PixelString;
import hamper.display.Plan;
import hamper.display.Prop;
import hamper.display.Section;
import hamper.display.SitePower;
import hamper.display.Subnet;
import hamper.display.Workshop;
import hamper.display.Zone;
import hamper.edit.AddControllers;
import hamper.facts.Facts;
import hamper.files.CatalogueFiles;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

/** Where nothing fits it is said what to change or add, and that fits then. */
class MissingTest {
  private static final Catalog CATALOG = CatalogueFiles.shipped();

  private static Plan plan(int strings, int pixels) {
    List<Piece> pieces =
        IntStream.rangeClosed(1, strings)
            .mapToObj(
                n ->
                    (Piece)
                        new PixelString(
                            "s" + n, "string " + n, "node-12v", List.of(Section.of(pixels))))
            .toList();
    Zone quay = new Zone("quay", "Quay", Optional.of(0.0), Optional.of(0.0));
    Prop rail = new Prop("rail", "Rail", Optional.of("quay"), Optional.empty(), pieces);
    Subnet show =
        new Subnet(
            "show",
            "Show network",
            new IpAddress("10.0.0.0"),
            24,
            Optional.empty(),
            Optional.empty(),
            Optional.empty());
    return new Plan(
        new Display(
            "Bare",
            new DisplaySettings(1, 1, 40),
            List.of(),
            List.of(),
            List.of(show),
            List.of(quay),
            List.of(rail),
            List.of(),
            new SitePower(List.of(), List.of()),
            List.of(),
            List.of(),
            List.of(),
            Workshop.NONE),
        CATALOG);
  }

  private static Plan made(Plan plan, Missing.Addition addition) {
    return addition.edit().applyTo(plan).plan();
  }

  @Test
  void withNothingThereOneMoreControllerIsNamedAndThenAllFits() {
    Plan plan = plan(2, 30);
    assertThat(Arrange.of(Facts.of(plan), Asked.of(Arrange.loose(plan), Aim.EASIEST)).left())
        .hasSize(2);
    List<Missing.Addition> additions = Missing.of(Facts.of(plan), Arrange.loose(plan), Aim.EASIEST);
    assertThat(additions).isNotEmpty();
    for (Missing.Addition one : additions) {
      assertThat(one.told()).startsWith("one more ").endsWith(" at Quay");
      assertThat(one.left()).isZero();
      Plan after = made(plan, one);
      Proposal then = Arrange.of(Facts.of(after), Asked.of(Arrange.loose(after), Aim.EASIEST));
      assertThat(then.left()).as(one.told()).isEmpty();
    }
  }

  @Test
  void aModeWithMorePortsComesBeforeADeviceThatHasToBeBought() {
    Plan bare = plan(14, 100);
    Plan plan = new AddControllers("ostrand-twelve", List.of("k1")).applyTo(bare).plan();
    Proposal now = Arrange.of(Facts.of(plan), Asked.of(Arrange.loose(plan), Aim.EASIEST));
    assertThat(now.left()).isNotEmpty();
    List<Missing.Addition> additions = Missing.of(Facts.of(plan), Arrange.loose(plan), Aim.EASIEST);
    assertThat(additions.get(0).told()).startsWith("mode ").endsWith(" on K1");
    Plan after = made(plan, additions.get(0));
    Proposal then = Arrange.of(Facts.of(after), Asked.of(Arrange.loose(after), Aim.EASIEST));
    assertThat(then.left()).hasSize(additions.get(0).left());
    assertThat(additions.get(0).fit()).isEqualTo(now.left().size() - then.left().size());
  }

  @Test
  void aStringThatFitsOnNoPortIsCutIntoAsFewAsItTakes() {
    Plan twice = withTwelve(plan(1, 200));
    assertThat(allFit(twice, Arrange.loose(twice))).first().isEqualTo("cut Rail after pixel 100");
    Plan longer = withTwelve(plan(1, 400));
    assertThat(allFit(longer, Arrange.loose(longer)))
        .as("in two or three parts the fuses of ports would carry too much")
        .first()
        .isEqualTo("cut Rail into 4 strings of at most 100 pixels");
  }

  @Test
  void withNothingThereAControllerIsNamedTogetherWithWhereToCut() {
    Plan plan = plan(1, 400);
    assertThat(allFit(plan, Arrange.loose(plan)))
        .isNotEmpty()
        .allMatch(told -> told.matches("one more .* at Quay; cut Rail into .* pixels"));
  }

  @Test
  void whatACutMadeIsHungAndWhatNobodyAskedForIsNot() {
    Plan plan = withTwelve(plan(2, 400));
    List<Missing.Addition> additions = Missing.of(Facts.of(plan), Set.of("s1"), Aim.EASIEST);
    assertThat(additions).isNotEmpty().allMatch(one -> one.fit() == 1 && one.left() == 0);
  }

  private static Plan withTwelve(Plan bare) {
    return new AddControllers("ostrand-twelve", List.of("k1")).applyTo(bare).plan();
  }

  /** What is told, where each leaves nothing over, as it says. */
  private static List<String> allFit(Plan plan, Set<String> wanted) {
    List<Missing.Addition> additions = Missing.of(Facts.of(plan), wanted, Aim.EASIEST);
    for (Missing.Addition one : additions) {
      assertThat(one.left()).isZero();
      Plan after = made(plan, one);
      Proposal then = Arrange.of(Facts.of(after), Asked.of(Arrange.loose(after), Aim.EASIEST));
      assertThat(then.left()).as(one.told()).isEmpty();
    }
    return additions.stream().map(Missing.Addition::told).toList();
  }

  @Test
  void whatFitsMissesNothing() {
    Plan plan = new AddControllers("ostrand-twelve", List.of("k1")).applyTo(plan(3, 20)).plan();
    assertThat(Missing.of(Facts.of(plan), Arrange.loose(plan), Aim.EASIEST)).isEmpty();
  }
}
