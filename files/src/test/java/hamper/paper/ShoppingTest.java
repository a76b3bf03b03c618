package hamper.paper;

import static org.assertj.core.api.Assertions.assertThat;

import hamper.check.Checks;
import hamper.display.Plan;
import hamper.edit.Change;
import hamper.edit.FeedChange;
import hamper.edit.SetFeed;
import hamper.edit.SetStock;
import hamper.edit.SetWorkshop;
import hamper.facts.Facts;
import hamper.files.CatalogueFiles;
import hamper.files.DisplayFile;
import hamper.paper.Shopping.Group;
import hamper.paper.Shopping.Line;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** The list of the demo, beside one that was counted by hand from its file. */
class ShoppingTest {
  private static final Path DEMO =
      Path.of("../server/src/main/resources/hamper/demo/saltmarsh-quay.hamper.json");

  private static Plan demo() throws IOException {
    return DisplayFile.read(Files.readAllBytes(DEMO), CatalogueFiles.shipped());
  }

  private static List<String> told(List<Line> lines, Group group) {
    return lines.stream()
        .filter(line -> line.group() == group)
        .map(line -> "%s: %d + %d".formatted(line.article(), line.needed(), line.extra()))
        .toList();
  }

  @Test
  void theDemosListIsTheOneCountedByHand() throws IOException {
    List<Line> lines = Shopping.of(demo());
    assertThat(told(lines, Group.STRINGS))
        .hasSize(43)
        .startsWith("5 V four-channel, 96 pixels: 1 + 0")
        .contains(
            "12 V node, long reset, 24 pixels: 2 + 0",
            "12 V node, long reset, 48 pixels: 4 + 0",
            "12 V node, long reset, 300 pixels: 8 + 0",
            "12 V node, long reset, 430 pixels: 1 + 0",
            "12 V strip, three LEDs a pixel, 52 pixels: 6 + 0",
            "12 V strip, three LEDs a pixel, 236 pixels: 2 + 0");
    assertThat(lines.stream().filter(line -> line.group() == Group.STRINGS))
        .extracting(Line::needed)
        .satisfies(all -> assertThat(all.stream().mapToInt(Integer::intValue).sum()).isEqualTo(72));
    // 9,795, 784, 84 and 96 pixels; 5 % of each, rounded up
    assertThat(told(lines, Group.SPARE_PIXELS))
        .containsExactly(
            "5 V four-channel: 0 + 5",
            "12 V four-channel, settings prefix: 0 + 5",
            "12 V node, long reset: 0 + 490",
            "12 V strip, three LEDs a pixel: 0 + 40");
    assertThat(told(lines, Group.FIXTURES))
        .containsExactly(
            "Dimmer pack, 16 circuits: 2 + 1",
            "DMX fixture, 2 slots: 1 + 1",
            "DMX fixture, 8 slots: 4 + 1",
            "DMX fixture, 16 slots: 1 + 1",
            "Panel, 64 × 32 pixels: 4 + 1",
            "Strip decoder, 24 pixels: 1 + 1");
    // K6 has seven boxes: one a bank, three on bank 3
    assertThat(told(lines, Group.CONTROLLERS))
        .hasSize(11)
        .contains("Ostrand Twelve: 2 + 0", "Remote box for Velmo Reach 32: 7 + 0");
    assertThat(told(lines, Group.SUPPLIES))
        .containsExactly(
            "Supply, 5 V, 10 A: 1 + 0",
            "Supply, 12 V, 10 A: 1 + 0",
            "Supply, 12 V, 15 A: 2 + 0",
            "Supply, 12 V, 20 A: 2 + 0",
            "Supply, 12 V, 30 A: 1 + 0",
            "Supply, 12 V, 40 A: 2 + 0");
    // sockets of 5 A that are in use: 11 + 7 of the Twelves, 2 of the Hat, 2 + 5 of the Wren R, 17
    // of the Reach; and 23 feeds
    assertThat(told(lines, Group.FUSES))
        .containsExactly(
            "Fuse, 3 A: 3 + 1",
            "Fuse, 4 A: 11 + 1",
            "Fuse, 5 A: 67 + 4",
            "Fuse, 6 A: 2 + 1",
            "Fuse, 7.5 A: 20 + 1");
    assertThat(told(lines, Group.PLUGS))
        .containsExactly(
            "Plug and socket, 3-pin, 13.5 mm: 1 + 1", "Plug and socket, kind not said: 71 + 4");
    // the searchlight stands 124.6 m away, and a fifth more of cable leads there
    assertThat(told(lines, Group.CABLE))
        .containsExactly(
            "Cable of a bank: 109 + 11",
            "DMX cable, 120 Ω: 150 + 15",
            "Network cable, copper: 195 + 20",
            "Network cable, fibre: 120 + 12",
            "Pixel cable, AWG 18: 29 + 3",
            "Power lead, AWG 16: 5 + 1",
            "Power lead, AWG 18: 110 + 11");
  }

  @Test
  void whatIsInStockIsNotBought() throws IOException {
    Plan plan = new SetStock("Fuse, 5 A", 60).applyTo(demo()).plan();
    plan = new SetWorkshop(Change.to(10), Change.to(0)).applyTo(plan).plan();
    List<Line> lines = Shopping.of(plan);
    assertThat(lines)
        .contains(
            new Line(Group.FUSES, "Fuse, 5 A", "", 67, 7, 60),
            new Line(Group.CABLE, "Network cable, copper", "m", 195, 0, 0));
    assertThat(lines.stream().filter(line -> line.article().equals("Fuse, 5 A")))
        .singleElement()
        .matches(line -> line.toBuy() == 14);
    Plan plenty = new SetStock("Fuse, 5 A", 500).applyTo(plan).plan();
    assertThat(Shopping.of(plenty))
        .filteredOn(line -> line.article().equals("Fuse, 5 A"))
        .singleElement()
        .matches(line -> line.toBuy() == 0);
  }

  @Test
  void aFuseIsBoughtAsItIsSoldAndReadTheSameEverywhere() throws IOException {
    Plan before = demo();
    FeedChange fuse =
        new FeedChange(
            Change.stays(),
            Change.stays(),
            Change.stays(),
            Change.stays(),
            Change.to(1.25),
            Change.stays());
    Plan plan = new SetFeed("wall-coping-west-1", 0, fuse).applyTo(before).plan();
    assertThat(told(Shopping.of(plan), Group.FUSES)).contains("Fuse, 1.25 A: 1 + 1");
    Facts facts = Facts.of(plan);
    assertThat(Checks.all(facts))
        .filteredOn(one -> one.code().equals("fuse-load"))
        .anySatisfy(one -> assertThat(one.message()).contains("its fuse is 1.25 A"));
    assertThat(new CrewSheet.FeedRow(9, "Wall", "AWG 18", Optional.of(1.25), "").told())
        .endsWith("fuse 1.25 A");
  }
}
