package hamper.files;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.tuple;

import hamper.display.Circuit;
import hamper.display.Display;
import hamper.display.Fixture;
import hamper.display.Piece;
import hamper.display.PixelString;
import hamper.display.Plan;
import hamper.display.Prop;
import hamper.display.Section;
import hamper.display.SerialDimmer;
import hamper.display.StripDecoder;
import hamper.display.Wall;
import hamper.display.Zone;
import hamper.files.PropRows.Header;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

/** Rows of a spreadsheet become props, or every bad row says why and nothing is taken. */
class PropRowsTest {
  private static final Plan EMPTY = plan(List.of());

  private static Plan plan(List<Prop> props) {
    Zone quay = new Zone("quay", "Quay", Optional.empty(), Optional.empty());
    Display display = Display.empty("Test").withZones(List.of(quay)).withProps(props);
    return new Plan(display, CatalogueFiles.shipped());
  }

  private static PropRows read(String text, Header header) {
    return PropRows.read(text.getBytes(StandardCharsets.UTF_8), EMPTY, "node-12v", header);
  }

  private static PropRows file(String... lines) {
    return read(String.join("\n", lines), Header.NEEDED);
  }

  private static List<String> told(PropRows rows) {
    return rows.allReasons().stream().map(r -> r.place() + ": " + r.message()).toList();
  }

  private static Piece only(String what) {
    PropRows rows = read("One, " + what, Header.OPTIONAL);
    assertThat(told(rows)).isEmpty();
    return rows.props().get(0).pieces().get(0);
  }

  @Test
  void theShortCellNamesEveryKindOfThing() {
    assertThat(((PixelString) only("85 + 60")).sections())
        .containsExactly(Section.of(85), Section.of(60));
    assertThat(only("relay")).isInstanceOf(Circuit.class);
    assertThat(only("12 slots at 45")).isEqualTo(new Fixture("one-1", "fixture", 45, 12));
    assertThat(only("30 rgbw @ 101")).isEqualTo(new StripDecoder("one-1", "decoder", 101, 30, 1));
    assertThat(only("16 dimmed unit 3")).isEqualTo(new SerialDimmer("one-1", "dimmer", 3, 16));
    Wall wall = (Wall) only("wall 64×32");
    assertThat(wall.pixels()).isEqualTo(64 * 32);
    assertThat(((PixelString) only("14+12g2")).sections())
        .extracting(Section::pixels, Section::group)
        .containsExactly(tuple(14, 1), tuple(12, 2));
    Wall screen = (Wall) only("tv 58x33cm/5mm");
    assertThat(List.of(screen.width(), screen.height())).containsExactly(116, 66);
    assertThat(((Wall) only("screen 1.2 x 0.6 m @ 6")).width()).isEqualTo(200);
  }

  @Test
  void aPixelTypeIsMeantByAWordThatOnlyOneHas() {
    PropRows rows =
        read("One, 20, , RGBW\nTwo, 20, , APA102\nThree, 20, , WS2811", Header.OPTIONAL);
    assertThat(told(rows))
        .as("three have a WS2811")
        .singleElement()
        .asString()
        .startsWith("row 3, type:")
        .contains("node-12v-slow");
    PropRows good = read("One, 20, , RGBW\nTwo, 20, , APA102", Header.OPTIONAL);
    assertThat(good.props())
        .extracting(prop -> ((PixelString) prop.pieces().get(0)).pixelType())
        .containsExactly("rgbw-5v", "clocked-5v");
  }

  @Test
  void countsMakePiecesAndNumberedNamesMakeProps() {
    Prop big = read("Mast, 4x200", Header.OPTIONAL).props().get(0);
    assertThat(big.pieces())
        .extracting(Piece::name)
        .containsExactly("string 1", "string 2", "string 3", "string 4");
    PropRows bollards = read("Bollard 08…11 west, 50, Quay", Header.OPTIONAL);
    assertThat(bollards.props())
        .extracting(Prop::name)
        .containsExactly(
            "Bollard 08 west", "Bollard 09 west", "Bollard 10 west", "Bollard 11 west");
    assertThat(bollards.props()).allMatch(prop -> prop.zone().equals(Optional.of("quay")));
    assertThat(bollards.entries().get(0).pixels()).isEqualTo(200);
    PropRows floods = read("Flood 1..3, 8 slots at 100", Header.OPTIONAL);
    assertThat(floods.props())
        .extracting(prop -> ((Fixture) prop.pieces().get(0)).slot())
        .containsExactly(100, 108, 116);
  }

  @Test
  void aHeaderPutsColumnsInAnyOrderAndRowsOfOneNameMakeOneProp() {
    PropRows rows =
        file(
            "zone;pixels;name;piece;type;lead m;group;fold;direction;null pixels;colour order;"
                + "brightness;plug;data in",
            "Tower;20;Star;rim;rgbw-5v;1,5;2;10;backward;1;grbw;40;JST;left",
            "Tower;circuit;Star;motor");
    assertThat(told(rows)).isEmpty();
    assertThat(rows.newZones()).extracting(Zone::name).containsExactly("Tower");
    Prop star = rows.props().get(0);
    assertThat(star.pieces()).extracting(Piece::name).containsExactly("rim", "motor");
    assertThat(star.brightness()).contains(40);
    PixelString rim = (PixelString) star.pieces().get(0);
    assertThat(rim.leadMetres()).isEqualTo(1.5);
    assertThat(rim.connector()).isEqualTo("JST");
    assertThat(rim.dataIn()).isEqualTo("left");
    Section section = rim.sections().get(0);
    assertThat(section.group()).isEqualTo(2);
    assertThat(section.fold()).contains(10);
    assertThat(section.backward()).isTrue();
    assertThat(section.nullPixels()).isEqualTo(1);
    assertThat(section.colourOrder().orElseThrow().letters()).isEqualTo("GRBW");
  }

  @Test
  void windowsLineEndsMarksQuotesAndEmptyRowsDoNoHarm() {
    PropRows rows = file("\uFEFFprop,what\r", "\"Bow, rail\",50\r", ",\r", "Stern,\"20\"\r", "");
    assertThat(told(rows)).isEmpty();
    assertThat(rows.props()).extracting(Prop::name).containsExactly("Bow, rail", "Stern");
    assertThat(rows.entries()).extracting(PropRows.Entry::row).containsExactly(2, 4);
    assertThat(read("A\t50\tQuay\r\nB\t60", Header.OPTIONAL).props()).hasSize(2);
  }

  @Test
  void everyBadRowSaysItsPlaceTheValueAndWhatIsAllowed() {
    PropRows rows =
        file(
            "prop,what,zone,type,group,direction,colour order,lead",
            "Star,many",
            "Star,0",
            ",50",
            "Star,50,,laser",
            "Star,50,,,two",
            "Star,50,,,0",
            "Star,50,,,,sideways",
            "Star,50,,,,,RGBW",
            "Star,50,,,,,,long",
            "Star,50",
            "star,60",
            "=1+1,50",
            "Star 2,=A1",
            "@cmd,50",
            "Star 3,600 slots at 1",
            "Star 4,50,,,,,,,surplus",
            "Star 9…1,50",
            "Star 5,");
    List<String> told = told(rows);
    assertThat(rows.bad()).isEqualTo(17);
    assertThat(told)
        .hasSize(17)
        .anySatisfy(t -> assertThat(t).startsWith("row 2, what: \"many\": write pixels such as 50"))
        .anySatisfy(t -> assertThat(t).isEqualTo("row 3, pixels: 0: allowed is 1 to 100000"))
        .anySatisfy(t -> assertThat(t).startsWith("row 4, prop: \"\": a name has 1 to 80"))
        .anySatisfy(t -> assertThat(t).startsWith("row 5, type: \"laser\": no pixel type"))
        .anySatisfy(
            t -> assertThat(t).isEqualTo("row 6, group: \"two\": a whole number stands here"))
        .anySatisfy(t -> assertThat(t).isEqualTo("row 7, group: 0: allowed is 1 to 100000"))
        .anySatisfy(t -> assertThat(t).startsWith("row 8, direction: \"sideways\""))
        .anySatisfy(t -> assertThat(t).contains("row 9, colour order: RGBW: pixels of type"))
        .anySatisfy(t -> assertThat(t).startsWith("row 10, lead: \"long\": a length in metres"))
        .anySatisfy(t -> assertThat(t).startsWith("row 12, prop: \"star\": it stands in row 11"))
        .anySatisfy(t -> assertThat(t).startsWith("row 13, prop: \"=1+1\": it begins like a form"))
        .anySatisfy(t -> assertThat(t).startsWith("row 14, what: \"=A1\": it begins like"))
        .anySatisfy(t -> assertThat(t).startsWith("row 15, prop: \"@cmd\""))
        .anySatisfy(t -> assertThat(t).contains("row 16, channels: 600: allowed is 1 to 512"))
        .anySatisfy(t -> assertThat(t).startsWith("row 17, cell 9: \"surplus\": there is no"))
        .anySatisfy(t -> assertThat(t).startsWith("row 18, prop: 1: allowed is 9 to 1008"))
        .anySatisfy(t -> assertThat(t).startsWith("row 19, what: nothing: write pixels"));
    assertThatThrownBy(rows::edit)
        .isInstanceOfSatisfying(BadFileException.class, e -> assertThat(e.reasons()).hasSize(17));
  }

  @Test
  void aPropThatTheDisplayHasAlreadyIsRefused() {
    Prop star = new Prop("star", "Star", Optional.empty(), Optional.empty(), List.of(only("50")));
    PropRows rows =
        PropRows.read(
            "STAR, 50\nStar!, 60".getBytes(StandardCharsets.UTF_8),
            plan(List.of(star)),
            "node-12v",
            Header.OPTIONAL);
    assertThat(told(rows))
        .containsExactly(
            "row 1, prop: \"STAR\": the display has a prop of this name already; choose another");
    assertThat(rows.props()).extracting(Prop::id).containsExactly("star-2");
  }

  @Test
  void aWrongHeaderOrAMissingColumnIsOneReasonNotAThousand() {
    assertThat(told(file("thing,count", "Star,50")))
        .singleElement()
        .asString()
        .startsWith("row 1: it names no column that is known; the columns are prop, what, zone");
    assertThat(told(file("prop,zone", "Star,Quay")))
        .containsExactly("row 1: the column \"what\" is missing");
    assertThat(told(file("prop,what,watts,prop", "Star,50,3,x")))
        .hasSize(2)
        .anySatisfy(t -> assertThat(t).contains("the column \"watts\" is not known"))
        .anySatisfy(t -> assertThat(t).contains("the column \"prop\" stands twice"));
    assertThat(told(file("prop,what")))
        .containsExactly("row 2: there is a header and no row below it");
    assertThat(told(file(""))).singleElement().asString().startsWith("row 1: there are no rows");
  }

  @Test
  void aHundredThousandRowsAreCountedAndRefused() {
    String text =
        "prop,what\n"
            + IntStream.range(0, 100_000)
                .mapToObj(i -> "Prop " + i + ",50")
                .collect(Collectors.joining("\n"));
    assertThat(told(read(text, Header.NEEDED)))
        .containsExactly("file: 100,000 rows; allowed are 5,000. Split it in several files");
  }

  @Test
  void whatIsNotATableIsRefused() {
    assertThat(told(file("prop,what", "\"Star,50", "x,5")))
        .singleElement()
        .asString()
        .contains("a quotation mark is not closed");
    byte[] latin = "prop,what\nBr\u00fccke,50".getBytes(StandardCharsets.ISO_8859_1);
    assertThatThrownBy(PropRows.read(latin, EMPTY, "node-12v", Header.NEEDED)::edit)
        .hasMessageContaining("save it as CSV in UTF-8");
  }

  @Test
  void goodRowsAreOneStepWithTheirNewZones() {
    PropRows rows = file("prop,what,zone", "Star,50,Tower", "Moon,60,Quay");
    Plan after = rows.edit().applyTo(EMPTY).plan();
    assertThat(rows.edit().label(EMPTY)).isEqualTo("Add 2 props");
    assertThat(after.display().zones()).extracting(Zone::name).containsExactly("Quay", "Tower");
    assertThat(after.display().props()).extracting(Prop::name).containsExactly("Star", "Moon");
  }
}
