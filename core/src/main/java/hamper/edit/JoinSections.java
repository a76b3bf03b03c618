package hamper.edit;

import hamper.display.Display;
import hamper.display.PixelString;
import hamper.display.Plan;
import hamper.display.Section;
import hamper.value.Require;
import java.util.ArrayList;
import java.util.List;

/**
 * Makes one section of a section and the next along the wire. It has the settings of the first;
 * null pixels between the two would have addresses then, so they must not be there.
 *
 * @param index of the first of the two, from 0
 */
public record JoinSections(String piece, int index) implements Edit {
  @Override
  public Display change(Plan plan) {
    PixelString string = Pieces.string(plan, piece);
    Require.inRange("index", index, 0, string.sections().size() - 2);
    Section first = string.sections().get(index);
    Section second = string.sections().get(index + 1);
    Require.that(
        second.nullPixels() == 0,
        "nullPixels",
        second.nullPixels(),
        "null pixels lie between the two sections; set them to 0 first");
    List<Section> sections = new ArrayList<>(string.sections());
    sections.remove(index + 1);
    sections.set(index, first.withPixels(first.pixels() + second.pixels()));
    return Pieces.replace(plan, string.withSections(sections));
  }

  @Override
  public String label(Plan plan) {
    return "Join sections %d and %d of %s"
        .formatted(index + 1, index + 2, plan.existingPiece(piece).title());
  }
}
