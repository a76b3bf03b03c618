package hamper.edit;

import hamper.display.Display;
import hamper.display.PixelString;
import hamper.display.Plan;
import hamper.display.Section;
import hamper.value.Require;
import java.util.ArrayList;
import java.util.List;

/**
 * Moves the boundary between a section and the next along the wire: what one gets the other loses.
 *
 * @param index of the section before the boundary, from 0
 * @param by pixels; negative: the section before it gets shorter
 */
public record MoveBoundary(String piece, int index, int by) implements Edit {
  @Override
  public Display change(Plan plan) {
    PixelString string = Pieces.string(plan, piece);
    Require.inRange("index", index, 0, string.sections().size() - 2);
    Section first = string.sections().get(index);
    Section second = string.sections().get(index + 1);
    int both = first.pixels() + second.pixels();
    int pixels = first.pixels() + by;
    Require.inRange("pixels", pixels, 1, both - 1);
    List<Section> sections = new ArrayList<>(string.sections());
    sections.set(index, first.withPixels(pixels));
    sections.set(index + 1, second.withPixels(both - pixels));
    return Pieces.replace(plan, string.withSections(sections));
  }

  @Override
  public boolean relative() {
    return true;
  }

  @Override
  public String label(Plan plan) {
    return "Move a boundary of " + plan.existingPiece(piece).title();
  }
}
