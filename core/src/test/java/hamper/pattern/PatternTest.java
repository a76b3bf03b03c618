package hamper.pattern;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import hamper.address.ColourOrder;
import hamper.display.GridOrder;
import hamper.display.Section;
import hamper.display.Wall;
import hamper.resolve.PixelMap;
import hamper.value.RefusedException;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

/** What each pattern puts on pixels, address by address, over time. */
class PatternTest {
  private static Strand strand(int port, int leg, int before, int total, Section section) {
    PixelMap map = PixelMap.of(section, ColourOrder.natural(3));
    return Strand.of(port, leg, before, total, section, map);
  }

  private static Strand twelve() {
    return strand(12, 0, 0, 12, Section.of(12));
  }

  /** Address by address: a letter each. */
  private static String told(Pattern pattern, Strand strand, long millis) {
    return IntStream.range(0, strand.addresses())
        .mapToObj(address -> letter(pattern.at(strand, address, millis)))
        .collect(Collectors.joining());
  }

  private static String letter(Colour colour) {
    return colour == Colour.DARK ? "." : colour.name().substring(0, 1);
  }

  private static String told(PatternKind kind) {
    return told(Pattern.of(kind), twelve(), 0);
  }

  @Test
  void onAPlainString() {
    assertThat(told(PatternKind.ENDS)).isEqualTo("GB.........R");
    assertThat(told(PatternKind.WHITE)).isEqualTo("WWWWWWWWWWWW");
    assertThat(told(PatternKind.SOAK)).isEqualTo("WWWWWWWWWWWW");
    assertThat(told(Pattern.of(Colour.BLUE), twelve(), 0)).isEqualTo("BBBBBBBBBBBB");
    assertThat(told(PatternKind.NUMBER)).as("port 12").isEqualTo("RGG.........");
    assertThat(told(PatternKind.TENTHS)).isEqualTo("GGGGGGGGGRGG");
    assertThat(told(Pattern.count(5), twelve(), 0)).isEqualTo("....W.......");
    assertThat(told(new Pattern(PatternKind.PART, Colour.RED, 4, 6), twelve(), 0))
        .isEqualTo("...RRR......");
    assertThat(told(PatternKind.LEGS)).isEqualTo("GGGGGGGGGGGG");
    Strand second = strand(12, 1, 0, 3, Section.of(3));
    assertThat(told(Pattern.of(PatternKind.LEGS), second, 0)).isEqualTo("BBB");
  }

  @Test
  void overTime() {
    Pattern turns = Pattern.of(PatternKind.TURNS);
    assertThat(
            IntStream.range(0, 5)
                .mapToObj(i -> letter(turns.at(twelve(), 0, i * 2_000L)))
                .collect(Collectors.joining()))
        .isEqualTo("RGBWR");
    Pattern columns = Pattern.of(PatternKind.COLUMNS);
    assertThat(told(columns, twelve(), 0)).isEqualTo("W...........");
    assertThat(told(columns, twelve(), 13 * 250)).isEqualTo(".W..........");
    assertThat(PatternKind.TURNS.moves()).isTrue();
    assertThat(PatternKind.WHITE.moves()).isFalse();
  }

  /** Places count along the wire; addresses run against it, fold, and act in groups. */
  @Test
  void whereAddressesDoNotFollowTheWire() {
    Section backward = Section.of(6).withBackward(true);
    assertThat(told(Pattern.of(PatternKind.ENDS), strand(1, 0, 0, 6, backward), 0))
        .as("the first pixel at the plug has the last address")
        .isEqualTo("R...BG");
    Section groups =
        new Section(
            7, 2, 3, Optional.empty(), false, Optional.empty(), Optional.empty(), Optional.empty());
    assertThat(told(Pattern.count(4), strand(1, 0, 0, 7, groups), 0)).isEqualTo(".W.");
    Strand secondOfTwo = strand(1, 0, 10, 14, Section.of(4));
    assertThat(told(Pattern.of(PatternKind.ENDS), secondOfTwo, 0)).isEqualTo("...R");
    assertThat(told(Pattern.count(12), secondOfTwo, 0)).isEqualTo(".W..");
    assertThat(secondOfTwo.shows(3, 0)).isFalse();
  }

  @Test
  void onAWall() {
    Wall wall =
        new Wall(
            "w",
            "W",
            new GridOrder(GridOrder.Corner.BOTTOM_RIGHT, GridOrder.Lines.ROWS, false),
            Optional.empty(),
            Optional.of(new Wall.Resolution(5, 4)),
            Optional.empty(),
            Optional.empty(),
            Optional.empty());
    Strand strand = Strand.of(1, wall);
    assertThat(picture(PatternKind.CORNERS, strand, 0)).isEqualTo("R...G\n.....\n.....\nB...W\n");
    assertThat(picture(PatternKind.ARROW, strand, 0)).isEqualTo("..W..\n.WWW.\nW.W.W\n..W..\n");
    assertThat(picture(PatternKind.ROWS, strand, 250)).isEqualTo(".....\nWWWWW\n.....\n.....\n");
    assertThat(picture(PatternKind.COLUMNS, strand, 500)).isEqualTo("..W..\n..W..\n..W..\n..W..\n");
    assertThat(strand.firstOf(0)).as("the order begins at the bottom right").isEqualTo(20);
  }

  private static String picture(PatternKind kind, Strand strand, long millis) {
    StringBuilder picture = new StringBuilder();
    for (int cell = 1; cell <= strand.total(); cell++) {
      for (int address = 0; address < strand.addresses(); address++) {
        if (strand.shows(cell, address)) {
          picture.append(letter(Pattern.of(kind).at(strand, address, millis)));
        }
      }
      picture.append(cell % strand.columns() == 0 ? "\n" : "");
    }
    return picture.toString();
  }

  @Test
  void coloursAreChannels() {
    assertThat(lit(Colour.WHITE, 4)).isEqualTo("1111");
    assertThat(lit(Colour.FOURTH, 4)).isEqualTo("0001");
    assertThat(lit(Colour.BLUE, 3)).isEqualTo("001");
    assertThat(lit(Colour.RED, 1)).as("it lights or does not").isEqualTo("1");
    assertThat(lit(Colour.DARK, 1)).isEqualTo("0");
  }

  private static String lit(Colour colour, int width) {
    return IntStream.range(0, width)
        .mapToObj(channel -> colour.lights(channel, width) ? "1" : "0")
        .collect(Collectors.joining());
  }

  @Test
  void aPartHasItsEndsInOrder() {
    assertThatThrownBy(() -> new Pattern(PatternKind.PART, Colour.RED, 4, 3))
        .isInstanceOf(RefusedException.class)
        .hasMessageContaining("to");
    assertThat(Pattern.count(2).flashesAfter(Pattern.count(1))).isFalse();
    assertThat(Pattern.WHITE.flashesAfter(Pattern.count(1))).isTrue();
  }
}
