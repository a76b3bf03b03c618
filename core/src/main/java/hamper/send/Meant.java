package hamper.send;

import hamper.catalog.SectionOption;
import hamper.catalog.Told;
import hamper.display.Circuit;
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
import java.util.Arrays;

/** Works out from the plan, by the pixel map, what every byte of a port is meant to show. */
public final class Meant {
  private static final int WHOLE = 100;

  private final Plan plan;
  private final Controller controller;
  private final RunFacts run;
  private final FrameLayout layout;
  private int[] places = new int[64];
  private byte[] percent = new byte[64];
  private byte[] component = new byte[64];
  private int count;
  private final int[] ends;

  private Meant(Plan plan, Controller controller, RunFacts run, FrameLayout layout) {
    this.plan = plan;
    this.controller = controller;
    this.run = run;
    this.layout = layout;
    ends = new int[run.placements().size()];
  }

  public static MeantPort of(Plan plan, Controller controller, RunFacts run, FrameLayout layout) {
    Meant meant = new Meant(plan, controller, run, layout);
    meant.tell();
    return new MeantPort(
        run.port(),
        meant.width(),
        Arrays.copyOf(meant.places, meant.count),
        Arrays.copyOf(meant.component, meant.count),
        Arrays.copyOf(meant.percent, meant.count),
        meant.thresholds(),
        meant.ends);
  }

  private int width() {
    return switch (run.port().kind()) {
      case PIXEL -> run.run().legs().get(0).at().pixels().channels();
      case PANEL -> 3;
      default -> 1;
    };
  }

  private int[] thresholds() {
    return run.placements().stream()
        .map(at -> run.run().legs().get(at.leg()).at().piece())
        .filter(Circuit.class::isInstance)
        .mapToInt(piece -> ((Circuit) piece).threshold())
        .toArray();
  }

  private void add(int place, int channel, int bright) {
    if (count == places.length) {
      places = Arrays.copyOf(places, 2 * count);
      percent = Arrays.copyOf(percent, 2 * count);
      component = Arrays.copyOf(component, 2 * count);
    }
    places[count] = place;
    component[count] = (byte) channel;
    percent[count++] = (byte) bright;
  }

  private void tell() {
    HungRun hung = run.run();
    int lastLeg = -1;
    for (int p = 0; p < ends.length; p++) {
      Placement at = run.placements().get(p);
      HungLeg leg = hung.legs().get(at.leg());
      if (leg.at().piece() instanceof PixelString string) {
        int gap = at.leg() == lastLeg ? 0 : leg.leg().nullPixels();
        pixels(at, leg, string.sections().get(at.section()), gap);
      } else if (leg.at().piece() instanceof Wall wall) {
        wall(at, wall);
      } else {
        for (int[] slot : slots(at, at.channels(), 1)) {
          add(slot[0], 0, WHOLE);
        }
      }
      lastLeg = at.leg();
      ends[p] = count;
    }
  }

  private void pixels(Placement at, HungLeg leg, Section section, int gap) {
    int width = leg.at().pixels().channels();
    dark(gap, width);
    PixelMap map = PixelMap.of(section, leg.at().pixels().colourOrder());
    int bright = brightness(at, section);
    int[][] slots = slots(at, at.addresses(), width);
    for (int place = 0; place < map.places(); place++) {
      int[] channels = map.channelsAt(place);
      if (channels.length == 0) {
        dark(1, width);
      }
      for (int channel : channels) {
        add(slots[channel / width][channel % width], channel % width, bright);
      }
    }
  }

  private void dark(int pixels, int width) {
    for (int i = 0; i < pixels * width; i++) {
      add(MeantPort.DARK, i % width, WHOLE);
    }
  }

  /** What the device takes off itself: nothing where it cannot be told to. */
  private int brightness(Placement at, Section section) {
    Told told = plan.modelOf(controller).told(SectionOption.BRIGHTNESS);
    HungRun hung = run.run();
    return switch (told) {
      case PER_SECTION -> hung.brightness(hung.legs().get(at.leg()).at(), section);
      case PER_PORT -> {
        Placement first = run.placements().get(0);
        HungLeg leg = hung.legs().get(first.leg());
        PixelString string = (PixelString) leg.at().piece();
        yield hung.brightness(leg.at(), string.sections().get(first.section()));
      }
      default -> WHOLE;
    };
  }

  private void wall(Placement at, Wall wall) {
    int[][] slots = slots(at, at.pixels(), 3);
    WallMap map = WallMap.of(wall);
    for (int y = 0; y < wall.height(); y++) {
      for (int x = 0; x < wall.width(); x++) {
        int[] places = slots[map.addressAt(new GridOrder.Cell(x, y))];
        for (int c = 0; c < places.length; c++) {
          add(places[c], c, WHOLE);
        }
      }
    }
  }

  private int[][] slots(Placement at, int addresses, int width) {
    return SentSlots.of(plan, controller, layout, at, addresses, width);
  }
}
