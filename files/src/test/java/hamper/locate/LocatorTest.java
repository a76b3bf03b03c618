package hamper.locate;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import hamper.address.Packing;
import hamper.address.UniverseChannel;
import hamper.catalog.Catalog;
import hamper.display.Controller;
import hamper.display.HungLeg;
import hamper.display.HungRun;
import hamper.display.PixelString;
import hamper.display.Plan;
import hamper.display.PortRef;
import hamper.display.Section;
import hamper.facts.Facts;
import hamper.files.CatalogueFiles;
import hamper.files.DisplayFile;
import hamper.resolve.PixelMap;
import hamper.resolve.Placement;
import hamper.samples.RandomEdits;
import hamper.samples.RandomYards;
import hamper.samples.Trial;
import hamper.value.RefusedException;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

/**
 * Any slot names its pixel, and any pixel its addresses: against a walk along the wire, one channel
 * after another, that knows nothing of arithmetic.
 */
@Tag("trial")
class LocatorTest {
  /** Rows of each grid of which every slot is asked. */
  private static final int ROWS = Trial.size(2, 20);

  private static final Catalog CATALOG = CatalogueFiles.shipped();
  private static final int SPOTS = 3_000;

  private final Random random = new Random(17);
  private int pixels;
  private int bytes;
  private int straddling;

  @Test
  void anySlotNamesItsPixelAndAnyPixelItsAddresses() throws IOException {
    List<Facts> displays = new ArrayList<>();
    for (int seed = 1; seed <= SPOTS / 15; seed++) {
      displays.add(Facts.of(RandomYards.of(CATALOG, seed)));
    }
    Plan plan = DisplayFile.read(Files.readAllBytes(DEMO), CATALOG);
    RandomEdits edits = new RandomEdits(5);
    for (int i = 0; i < 100; i++) {
      displays.add(Facts.of(plan));
      plan = edits.next(plan).applyTo(plan).plan();
    }
    for (int i = 0; i < SPOTS; i++) {
      any(displays.get(random.nextInt(displays.size())));
    }
    System.out.printf(
        "[locate] %d pixels of %d, %d on DDP, %d whose channels lie in two universes%n",
        pixels, SPOTS, bytes, straddling);
    assertThat(pixels).isGreaterThan(SPOTS / 3);
    assertThat(bytes).isPositive();
    assertThat(straddling).isPositive();
  }

  private static final Path DEMO =
      Path.of("../server/src/main/resources/hamper/demo/saltmarsh-quay.hamper.json");

  private void any(Facts facts) {
    List<Placement> all =
        facts
            .resolution()
            .placements()
            .filter(at -> at.start().isPresent() || at.controllerChannels().isPresent())
            .toList();
    if (!all.isEmpty()) {
      check(facts, all.get(random.nextInt(all.size())));
    }
  }

  private void check(Facts facts, Placement at) {
    HungRun run = facts.plan().run(at.port()).orElseThrow();
    HungLeg leg = run.legs().get(at.leg());
    if (!(leg.at().piece() instanceof PixelString string)) {
      slot(facts, at);
      return;
    }
    Section section = string.sections().get(at.section());
    PixelMap map = PixelMap.of(section, leg.at().pixels().colourOrder());
    int place = section.nullPixels() + random.nextInt(section.pixels());
    int[] sent = map.channelsAt(place);
    List<UniverseChannel> walked = walk(facts.plan(), at, leg.at().pixels().channels());
    int before = leg.start();
    for (int i = 0; i < at.section(); i++) {
      before += string.sections().get(i).pixels() + string.sections().get(i).nullPixels();
    }
    int position = before + place + 1;
    boolean universes = at.start().isPresent();
    List<String> addresses = new ArrayList<>();
    for (int channel : sent) {
      UniverseChannel slot = walked.get(channel);
      addresses.add(universes ? slot.toString() : "byte %,d".formatted(slot.channel() - 1));
    }
    Locator locator = new Locator(facts);
    Spot found = locator.atPosition(at.port(), position).get(0);
    assertThat(found.channels().stream().map(Spot.Channel::address)).isEqualTo(addresses);
    assertThat(found.piece()).isEqualTo(at.piece());
    assertThat(found.position()).contains(position);
    for (int i = 0; i < sent.length; i++) {
      UniverseChannel slot = walked.get(sent[i]);
      String controller = at.port().controller();
      List<Spot> back =
          universes ? locator.atSlot(slot) : locator.atByte(controller, slot.channel() - 1);
      int asked = i;
      assertThat(back)
          .as("%s %s", at, slot)
          .anySatisfy(
              spot -> {
                assertThat(spot.piece()).isEqualTo(at.piece());
                assertThat(spot.section()).isEqualTo(at.section() + 1);
                assertThat(spot.channels()).isEqualTo(found.channels());
                assertThat(spot.asked()).contains(asked);
              });
      found
          .channels()
          .get(i)
          .displayChannel()
          .ifPresent(
              channel ->
                  assertThat(locator.atDisplayChannel(channel))
                      .extracting(Spot::piece)
                      .contains(at.piece()));
    }
    pixels++;
    bytes += universes ? 0 : 1;
    straddling +=
        addresses.stream().map(one -> one.split(":")[0]).distinct().count() > 1 && universes
            ? 1
            : 0;
  }

  private static void slot(Facts facts, Placement at) {
    Locator locator = new Locator(facts);
    List<Spot> found =
        at.start().isPresent()
            ? locator.atSlot(at.start().get())
            : locator.atByte(
                at.port().controller(), at.controllerChannels().orElseThrow().start() - 1);
    assertThat(found).extracting(Spot::piece).contains(at.piece());
  }

  /** The slot of every channel, by walking: on DDP universe 0 and the byte, from 1. */
  private static List<UniverseChannel> walk(Plan plan, Placement at, int width) {
    Controller controller = plan.display().controllers().get(at.controller());
    boolean universes = controller.protocol().usesUniverses();
    int size = universes ? controller.settings().universeSize() : Integer.MAX_VALUE;
    boolean whole = universes && plan.inForce(controller).packing() == Packing.WHOLE_PIXEL;
    UniverseChannel start =
        universes
            ? at.start().orElseThrow()
            : new UniverseChannel(0, at.controllerChannels().orElseThrow().start());
    int universe = start.universe();
    int channel = start.channel();
    List<UniverseChannel> walked = new ArrayList<>();
    for (int address = 0; address < at.addresses(); address++) {
      if (whole && size - channel + 1 < width) {
        universe++;
        channel = 1;
      }
      for (int i = 0; i < width; i++) {
        if (channel > size) {
          universe++;
          channel = 1;
        }
        walked.add(new UniverseChannel(universe, channel++));
      }
    }
    return walked;
  }

  /** The grid has every placement, slot by slot as the locator tells them. */
  @Test
  void theGridHasEverythingAndEachOfItsSlotsIsThePixel() throws IOException {
    List<Facts> displays = new ArrayList<>();
    for (int seed = 1; seed <= 60; seed++) {
      displays.add(Facts.of(RandomYards.of(CATALOG, seed)));
    }
    displays.add(Facts.of(DisplayFile.read(Files.readAllBytes(DEMO), CATALOG)));
    int asked = 0;
    for (Facts facts : displays) {
      AddressGrid grid = AddressGrid.of(facts);
      long stretches =
          grid.rows().stream()
              .flatMap(row -> row.stretches().stream())
              .map(AddressGrid.Stretch::at)
              .distinct()
              .count();
      assertThat(stretches)
          .isEqualTo(
              facts
                  .resolution()
                  .placements()
                  .filter(at -> at.start().isPresent() || at.controllerChannels().isPresent())
                  .distinct()
                  .count());
      Locator locator = new Locator(facts);
      for (int i = 0; i < ROWS && !grid.rows().isEmpty(); i++) {
        AddressGrid.Row row = grid.rows().get(random.nextInt(grid.rows().size()));
        for (Locator.Slot slot : locator.slotsOf(row)) {
          boolean universes =
              facts.plan().display().controllers().get(row.controller()).protocol().usesUniverses();
          List<Spot> told =
              universes
                  ? locator.atSlot(new UniverseChannel(row.number(), slot.slot()))
                  : locator.atByte(
                      facts.plan().display().controllers().get(row.controller()).id(),
                      row.firstByte() + slot.slot() - 1);
          String own = facts.plan().display().controllers().get(row.controller()).id();
          // two devices at one address hear the same bytes, and each is asked of its own
          assertThat(told)
              .containsAll(
                  slot.spots().stream()
                      .filter(spot -> universes || spot.port().controller().equals(own))
                      .toList());
          asked++;
        }
      }
    }
    System.out.printf("[locate] %,d slots of rows of the grid%n", asked);
    assertThat(asked).isGreaterThan(1_000);
  }

  @Test
  void whatIsNotThereIsSaid() {
    Facts facts = Facts.of(RandomYards.of(CATALOG, 3));
    Locator locator = new Locator(facts);
    assertThat(locator.atDisplayChannel(Integer.MAX_VALUE)).isEmpty();
    assertThat(locator.atSlot(new UniverseChannel(63_999, 1))).isEmpty();
    PortRef port = facts.loads().get(0).port();
    assertThatThrownBy(() -> locator.atPosition(port, 1_000_000))
        .isInstanceOf(RefusedException.class)
        .hasMessageContaining("has 1 to");
  }
}
