package hamper.decoder;

import hamper.address.Packing;
import hamper.address.UniverseChannel;
import hamper.display.Controller;
import hamper.display.GridOrder;
import hamper.display.HungLeg;
import hamper.display.HungRun;
import hamper.display.PixelString;
import hamper.display.Plan;
import hamper.display.Section;
import hamper.display.Wall;
import hamper.facts.RunFacts;
import hamper.resolve.PixelMap;
import hamper.resolve.Placement;
import hamper.resolve.WallMap;
import java.util.ArrayList;
import java.util.List;

/** What every byte of a port is planned to show, in the words of {@link PlayedDevice}. */
final class PlannedBytes {
  private final Plan plan;
  private final Controller controller;
  private final RunFacts run;
  private final List<String> bytes = new ArrayList<>();

  private PlannedBytes(Plan plan, Controller controller, RunFacts run) {
    this.plan = plan;
    this.controller = controller;
    this.run = run;
  }

  static List<String> of(Plan plan, Controller controller, RunFacts run) {
    PlannedBytes planned = new PlannedBytes(plan, controller, run);
    planned.tell();
    return planned.bytes;
  }

  private void tell() {
    HungRun hung = run.run();
    int lastLeg = -1;
    for (Placement at : run.placements()) {
      HungLeg leg = hung.legs().get(at.leg());
      if (leg.at().piece() instanceof PixelString string) {
        int gap = at.leg() == lastLeg ? 0 : leg.leg().nullPixels();
        pixels(at, leg, string.sections().get(at.section()), gap);
      } else if (leg.at().piece() instanceof Wall wall) {
        wall(at, wall);
      } else {
        String[][] slots = slots(at, at.channels(), 1);
        for (String[] slot : slots) {
          bytes.add(slot[0]);
        }
      }
      lastLeg = at.leg();
    }
  }

  private void pixels(Placement at, HungLeg leg, Section section, int gap) {
    int width = leg.at().pixels().channels();
    for (int i = 0; i < gap * width; i++) {
      bytes.add("-");
    }
    PixelMap map = PixelMap.of(section, leg.at().pixels().colourOrder());
    String[][] slots = slots(at, at.addresses(), width);
    for (int place = 0; place < map.places(); place++) {
      int[] channels = map.channelsAt(place);
      if (channels.length == 0) {
        for (int b = 0; b < width; b++) {
          bytes.add("-");
        }
      }
      for (int channel : channels) {
        bytes.add(slots[channel / width][channel % width]);
      }
    }
  }

  private void wall(Placement at, Wall wall) {
    String[][] slots = slots(at, at.pixels(), 3);
    for (int y = 0; y < wall.height(); y++) {
      for (int x = 0; x < wall.width(); x++) {
        int address = WallMap.of(wall).addressAt(new GridOrder.Cell(x, y));
        bytes.add(String.join(" ", slots[address]));
      }
    }
  }

  /** The slots of every address: one after another, or each pixel whole. */
  private String[][] slots(Placement at, int addresses, int width) {
    String[][] slots = new String[addresses][width];
    if (!controller.protocol().usesUniverses()) {
      int first = at.controllerChannels().orElseThrow().start() - 1;
      for (int i = 0; i < addresses * width; i++) {
        slots[i / width][i % width] = "byte " + (first + i);
      }
      return slots;
    }
    boolean line = !at.kind().flows();
    int size = line ? 512 : controller.settings().universeSize();
    boolean whole = plan.inForce(controller).packing() == Packing.WHOLE_PIXEL && !line;
    UniverseChannel start = at.start().orElseThrow();
    int universe = start.universe();
    int channel = start.channel();
    for (int a = 0; a < addresses; a++) {
      if (whole && size - channel + 1 < width) {
        universe++;
        channel = 1;
      }
      for (int c = 0; c < width; c++) {
        if (channel > size) {
          universe++;
          channel = 1;
        }
        slots[a][c] = universe + ":" + channel++;
      }
    }
    return slots;
  }
}
