package hamper.edit;

import hamper.address.ChannelSpan;
import hamper.address.Packing;
import hamper.address.UniverseChannel;
import hamper.address.UniverseGrid;
import hamper.display.Controller;
import hamper.display.Display;
import hamper.display.Hold;
import hamper.display.LegAt;
import hamper.display.PixelString;
import hamper.display.Plan;
import hamper.display.Section;
import hamper.value.RefusedException;
import hamper.value.Require;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * Makes two sections of one, along the wire; both keep its settings. Built-in null pixels stay
 * before the first. Where it is held, the second is held where the first now ends.
 *
 * @param index of the section in its string, from 0
 * @param pixels of the first part; the rest is the second
 */
public record SplitSection(String piece, int index, int pixels) implements Edit {
  @Override
  public Display change(Plan plan) {
    PixelString string = Pieces.string(plan, piece);
    Section whole = Pieces.section(string, index);
    List<Section> sections = new ArrayList<>(string.sections());
    sections.remove(index);
    sections.addAll(index, parts(plan, string, whole, pixels));
    return Pieces.replace(plan, string.withSections(sections));
  }

  /**
   * The two that a section of a string becomes.
   *
   * @throws RefusedException where nothing would be left of one, or a group would be torn
   */
  static List<Section> parts(Plan plan, PixelString string, Section whole, int pixels) {
    Require.inRange("pixels", pixels, 1, whole.pixels() - 1);
    Require.that(
        pixels % whole.group() == 0,
        "pixels",
        pixels,
        "the section is grouped by %d; split it between two groups".formatted(whole.group()));
    Section first = whole.withPixels(pixels);
    Section second =
        whole
            .withPixels(whole.pixels() - pixels)
            .withNullPixels(0)
            .withHold(whole.hold().map(hold -> after(plan, string, first, hold)));
    return List.of(first, second);
  }

  /** Where the next address after a held part is, as its controller packs pixels. */
  private static Hold after(Plan plan, PixelString string, Section part, Hold hold) {
    Optional<Controller> controller =
        plan.leg(string.id()).map(LegAt::port).flatMap(at -> plan.controller(at.controller()));
    int size = controller.map(c -> c.settings().universeSize()).orElse(512);
    Packing packing =
        controller
            .map(c -> c.packing().orElse(plan.modelOf(c).dialect().packing()))
            .orElse(Packing.CONTIGUOUS);
    int width = plan.typeOf(string).channels();
    ChannelSpan span = packing.lay(size, hold.channel(), part.addresses(), width);
    int next = packing.lay(size, span.end(), 1, width).start();
    if (hold.universe().isEmpty()) {
      return Hold.atChannel(next);
    }
    UniverseChannel at = new UniverseGrid(hold.universe().get(), size).at(next);
    return new Hold(Optional.of(at.universe()), at.channel());
  }

  @Override
  public String label(Plan plan) {
    return "Split %s after %d pixels".formatted(plan.existingPiece(piece).title(), pixels);
  }
}
