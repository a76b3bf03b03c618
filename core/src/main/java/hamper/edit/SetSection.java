package hamper.edit;

import hamper.display.Display;
import hamper.display.PixelString;
import hamper.display.Plan;
import hamper.display.Section;

/**
 * Puts a section in the place of another: pixels, group, fold, direction, colour order, brightness,
 * null pixels, hold.
 *
 * @param index of the section in its string, from 0
 */
public record SetSection(String piece, int index, Section section) implements Edit {
  @Override
  public Display change(Plan plan) {
    PixelString string = Pieces.string(plan, piece);
    Pieces.section(string, index);
    return Pieces.replace(plan, string.withSection(index, section));
  }

  @Override
  public String label(Plan plan) {
    PixelString string = Pieces.string(plan, piece);
    String title = plan.existingPiece(piece).title();
    Section before = string.sections().get(Math.min(index, string.sections().size() - 1));
    String of = string.sections().size() == 1 ? title : "%s section %d".formatted(title, index + 1);
    if (!before.hold().equals(section.hold())) {
      return section.hold().map(hold -> "Hold %s at %s".formatted(of, hold)).orElse("Let go " + of);
    }
    return "Set " + changed(before, section) + " of " + of;
  }

  private static String changed(Section before, Section after) {
    if (before.pixels() != after.pixels()) {
      return "pixels";
    } else if (before.nullPixels() != after.nullPixels()) {
      return "null pixels";
    } else if (before.group() != after.group()) {
      return "group";
    } else if (!before.fold().equals(after.fold())) {
      return "fold";
    } else if (before.backward() != after.backward()) {
      return "direction";
    } else if (!before.colourOrder().equals(after.colourOrder())) {
      return "colour order";
    }
    return "brightness";
  }
}
