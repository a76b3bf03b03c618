package hamper.evenings;

import static org.assertj.core.api.Assertions.assertThat;

import hamper.address.Packing;
import hamper.address.UniverseChannel;
import hamper.catalog.AddressStyle;
import hamper.catalog.Dialect;
import hamper.catalog.PortKind;
import hamper.catalog.SectionOption;
import hamper.catalog.Told;
import hamper.config.Configuration;
import hamper.config.Output;
import hamper.config.OutputSection;
import hamper.config.Untold;
import hamper.display.Brightness;
import hamper.display.Controller;
import hamper.display.PieceAt;
import hamper.display.Plan;
import hamper.display.PortRef;
import hamper.display.Run;
import hamper.display.Section;
import hamper.facts.Facts;
import hamper.files.CatalogueFiles;
import hamper.files.DisplayFile;
import hamper.resolve.Placement;
import hamper.samples.RandomEdits;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;

/**
 * A device that is told its configuration does what was planned, wherever nothing is said that it
 * cannot be told. Devices are played here address by address, from what they are told alone.
 */
class ToldIsPlannedTest {
  private static final Path DEMO =
      Path.of("../server/src/main/resources/hamper/demo/saltmarsh-quay.hamper.json");

  /** Sections looked at, by the way in which their device writes addresses. */
  private final Map<AddressStyle, Integer> looked = new EnumMap<>(AddressStyle.class);

  @Test
  void overEveningsOfRandomEdits() throws IOException {
    for (long seed = 31; seed <= 36; seed++) {
      RandomEdits edits = new RandomEdits(seed);
      Plan plan = DisplayFile.read(Files.readAllBytes(DEMO), CatalogueFiles.shipped());
      for (int i = 0; i < 80; i++) {
        plan = edits.next(plan).applyTo(plan).plan();
        if (i % 8 == 0) {
          look(Facts.of(withSettings(plan, edits)));
        }
      }
    }
    // a device for DMX alone drives no pixels
    for (AddressStyle style : EnumSet.complementOf(EnumSet.of(AddressStyle.DMX_SLOT))) {
      assertThat(looked.getOrDefault(style, 0)).as("%s of %s", style, looked).isGreaterThan(30);
    }
  }

  /** With some sections set differently, each by one setting as a rule. */
  private static Plan withSettings(Plan plan, RandomEdits edits) {
    Plan set = plan;
    for (int i = 0; i < 30; i++) {
      set = edits.nextOfSection(set).applyTo(set).plan();
    }
    return set;
  }

  private void look(Facts facts) {
    for (Configuration told : facts.configurations()) {
      Controller controller = facts.plan().existingController(told.controller());
      Set<PortRef> left = told.untold().stream().map(Untold::port).collect(Collectors.toSet());
      // a device that lays port after port goes wrong everywhere once it goes wrong
      boolean follows = facts.plan().modelOf(controller).dialect().portsFollow();
      if (!follows || left.isEmpty()) {
        new Device(facts, controller, told).look(left);
      }
    }
  }

  /** One device, reading what it is told. */
  private final class Device {
    private final Plan plan;
    private final Controller controller;
    private final Configuration told;
    private final Dialect dialect;
    private final List<Placement> placements;
    private final boolean universes;
    private final int size;

    /** Where the next address goes, in the device's own block, from 0. */
    private int next;

    Device(Facts facts, Controller controller, Configuration told) {
      this.plan = facts.plan();
      this.controller = controller;
      this.told = told;
      this.dialect = plan.modelOf(controller).dialect();
      this.placements = facts.resolution().byController().get(plan.indexOf(controller.id()));
      this.universes = controller.protocol().usesUniverses();
      this.size = universes ? controller.settings().universeSize() : Integer.MAX_VALUE;
    }

    void look(Set<PortRef> left) {
      for (Output output : told.outputs()) {
        PortRef port = new PortRef(controller.id(), output.kind(), output.port());
        List<Placement> planned = placements.stream().filter(at -> at.port().equals(port)).toList();
        assertThat(output.used()).isEqualTo(!planned.isEmpty());
        if (output.kind() == PortKind.PIXEL && !planned.isEmpty() && !left.contains(port)) {
          starts(output, planned);
          settings(output, controller.run(port.kind(), port.port()).orElseThrow(), planned);
        }
      }
    }

    private void starts(Output output, List<Placement> planned) {
      assertThat(output.sections()).hasSameSizeAs(planned);
      Optional<Integer> base = base(planned);
      for (int i = 0; i < planned.size(); i++) {
        Placement at = planned.get(i);
        OutputSection section = output.sections().get(i);
        looked.merge(dialect.style(), 1, Integer::sum);
        switch (dialect.style()) {
          case UNIVERSE_CHANNEL_PER_SECTION -> assertStart(at, section.start());
          case ABSOLUTE_CHANNEL ->
              assertThat(section.start().channel().orElseThrow())
                  .isEqualTo(at.controllerChannels().orElseThrow().start());
          case PIXEL_INDEX ->
              assertThat(section.start().pixelIndex().orElseThrow() * width(at) + 1)
                  .isEqualTo(at.controllerChannels().orElseThrow().start());
          case UNIVERSE_CHANNEL_PER_PORT, UNIVERSE_PER_PORT, DMX_SLOT -> {
            if (i == 0) {
              begin(output, at, base);
            }
            assertLaid(at);
          }
          case PIXEL_COUNTS -> assertLaid(at);
        }
      }
    }

    /** Where the block begins on the wire: the universe that holds its channel 1. */
    private Optional<Integer> base(List<Placement> planned) {
      Placement first = planned.get(0);
      return first
          .start()
          .filter(start -> first.controllerChannels().isPresent())
          .map(start -> start.universe() - (first.controllerChannels().get().start() - 1) / size);
    }

    private void begin(Output output, Placement first, Optional<Integer> base) {
      if (universes) {
        int universe = wire(output.start().universe().orElseThrow());
        int channel = output.start().channel().orElse(1);
        assertThat(first.start()).contains(new UniverseChannel(universe, channel));
        // a mirror of another controller stands outside this block: count from its universe
        next = (universe - base.orElse(universe)) * size + channel - 1;
      } else {
        next = output.start().channel().orElseThrow() - 1;
      }
    }

    /** Goes address by address; a pixel that does not fit into its universe may move on. */
    private void assertLaid(Placement at) {
      boolean whole =
          universes && controller.packing().orElse(dialect.packing()) == Packing.WHOLE_PIXEL;
      int first = -1;
      for (int address = 0; address < at.addresses(); address++) {
        int room = universes ? size - next % size : Integer.MAX_VALUE;
        if (whole && room < width(at)) {
          next += room;
        }
        first = first < 0 ? next : first;
        next += width(at);
      }
      if (at.controllerChannels().isPresent()) {
        assertThat(first + 1).isEqualTo(at.controllerChannels().get().start());
        assertThat(next).isEqualTo(at.controllerChannels().get().last());
      }
    }

    private void assertStart(Placement at, hamper.config.DeviceStart start) {
      if (universes) {
        assertThat(at.start())
            .contains(
                new UniverseChannel(
                    wire(start.universe().orElseThrow()), start.channel().orElseThrow()));
      } else {
        assertThat(start.channel().orElseThrow())
            .isEqualTo(at.controllerChannels().orElseThrow().start());
      }
    }

    private void settings(Output output, Run run, List<Placement> planned) {
      for (int i = 0; i < planned.size(); i++) {
        Placement at = planned.get(i);
        PieceAt piece = plan.existingPiece(at.piece());
        Section section = piece.string().sections().get(at.section());
        OutputSection says = output.sections().get(i);
        boolean opens = i == 0 || planned.get(i - 1).leg() != at.leg();
        int gap = opens ? run.legs().get(at.leg()).nullPixels() : 0;
        assertThat(says.pixels()).isEqualTo(section.pixels());
        assertThat(says.nullPixels().orElse(0)).isEqualTo(section.nullPixels() + gap);
        assertThat(says.group().orElse(1)).isEqualTo(section.group());
        assertThat(says.fold()).isEqualTo(section.fold());
        assertThat(says.backward().orElse(false)).isEqualTo(section.backward());
        var usual = plan.modelOf(controller).usualOrder(piece.pixels().channels());
        assertThat(says.colourOrder().or(output::colourOrder).orElse(usual))
            .isEqualTo(piece.orderOf(section));
        if (plan.modelOf(controller).told(SectionOption.BRIGHTNESS) != Told.NOT) {
          assertThat(says.brightness().or(output::brightness).orElseThrow())
              .isEqualTo(Brightness.percent(section, piece.prop(), run, controller));
        }
      }
    }

    private int wire(int written) {
      return written - dialect.written(controller.protocol(), 0);
    }

    private static int width(Placement at) {
      return at.channels() / at.addresses();
    }
  }
}
