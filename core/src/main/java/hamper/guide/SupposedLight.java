package hamper.guide;

import hamper.address.ColourOrder;
import hamper.config.DeviceStart;
import hamper.config.Output;
import hamper.display.HungLeg;
import hamper.display.Section;
import hamper.pattern.Pattern;
import hamper.resolve.PixelMap;
import hamper.resolve.Placement;
import hamper.send.FrameLayout;
import hamper.send.FrameLayouts;
import hamper.send.Light;
import hamper.send.Lights;
import hamper.send.MeantPort;
import hamper.send.Ramp;
import hamper.send.Target;
import hamper.send.Targets;
import java.util.Arrays;
import java.util.Map;
import java.util.Optional;

/**
 * What a string shows where its device was told something else than planned: the bytes that the
 * device clocks out, taken pixel by pixel by those that really hang there.
 */
final class SupposedLight {
  private static final int WHOLE = 100;

  private final SupposedString at;
  private final FrameLayout layout;
  private final Light light;
  private final boolean ownChannels;
  private final boolean startEach;

  SupposedLight(SupposedString at) {
    this.at = at;
    layout = FrameLayouts.of(at.facts()).get(at.controller().id());
    light = Light.of(at.facts(), at.own(), layout);
    Output told = at.told();
    DeviceStart first = told.start().says() ? told.start() : told.sections().get(0).start();
    startEach = told.sections().stream().allMatch(section -> section.start().says());
    ownChannels = first.universe().isEmpty();
  }

  /** Bytes one after another. */
  private static final class Bytes {
    private byte[] bytes = new byte[256];
    private int count;

    void add(int level) {
      if (count == bytes.length) {
        bytes = Arrays.copyOf(bytes, 2 * count);
      }
      bytes[count++] = (byte) level;
    }

    void dark(int more) {
      for (int i = 0; i < more; i++) {
        add(0);
      }
    }

    byte[] all() {
      return Arrays.copyOf(bytes, count);
    }
  }

  /** What is seen of it while a pattern is on it, full, and all else is dark. */
  Sight sight(Supposition supposed, Pattern pattern) {
    byte[] frame = new byte[layout.length()];
    light.dark(frame);
    Targets what = Targets.of(new Target.OfPiece(at.string().id()));
    Lights.Hold hold = new Lights.Hold("", what, pattern, 0, Ramp.steady(WHOLE), Map.of(), WHOLE);
    for (Light.Spot spot : light.spots()) {
      if (spot.piece().equals(at.string().id())) {
        light.light(frame, spot, hold, WHOLE, false, 0);
      }
    }
    return at.seen(clocked(supposed, frame));
  }

  /** The bytes of the whole run as its device clocks them out. */
  private byte[] clocked(Supposition supposed, byte[] frame) {
    Bytes out = new Bytes();
    SupposedSlots slots =
        new SupposedSlots(at.facts().plan(), at.own(), layout, supposed, ownChannels, frame);
    int lastLeg = -1;
    for (Placement placed : at.run().placements()) {
      HungLeg here = at.run().run().legs().get(placed.leg());
      // all else on the run is as planned
      Supposition told = placed.leg() == at.leg().index() ? supposed : Supposition.AS_PLANNED;
      boolean begins = placed.leg() != lastLeg;
      if (begins && lastLeg < 0 || startEach) {
        slots.startAt(placed);
      }
      Section section = here.at().string().sections().get(placed.section());
      int nulls = section.nullPixels() + (begins ? here.leg().nullPixels() : 0);
      int width = told.channels().orElse(here.at().pixels().channels());
      out.dark((begins ? told.nulls().orElse(nulls) : nulls) * width);
      pixels(here, section, told, width, slots, out);
      lastLeg = placed.leg();
    }
    return out.all();
  }

  /** The pixels of a section, without its null pixels. */
  private void pixels(
      HungLeg here,
      Section planned,
      Supposition supposed,
      int width,
      SupposedSlots slots,
      Bytes out) {
    ColourOrder order = supposed.order().orElse(here.at().orderOf(planned));
    ColourOrder sent = order.channels() == width ? order : ColourOrder.natural(width);
    Section told = told(planned, supposed);
    PixelMap map = PixelMap.of(told, ColourOrder.natural(width));
    int bright = supposed.undimmed() ? WHOLE : at.brightness(here, planned);
    int[][] levels = slots.take(told.addresses(), width);
    for (int w = 0; w < told.pixels(); w++) {
      int address = map.addressAt(w).orElseThrow();
      for (int b = 0; b < width; b++) {
        out.add(MeantPort.scaled(levels[address][sent.channelOf(b)], bright));
      }
    }
  }

  private Section told(Section section, Supposition supposed) {
    boolean forgotten = at.string().sections().stream().noneMatch(Section::backward);
    return new Section(
        section.pixels(),
        0,
        supposed.ungrouped() ? 1 : section.group(),
        supposed.unfolded() ? Optional.empty() : section.fold(),
        supposed.turned() ? forgotten : section.backward(),
        Optional.empty(),
        Optional.empty(),
        Optional.empty());
  }
}
