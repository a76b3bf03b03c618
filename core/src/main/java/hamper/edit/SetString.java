package hamper.edit;

import hamper.display.Display;
import hamper.display.PixelString;
import hamper.display.Plan;

/** Puts a string in the place of the one with its id: name, pixel type, all sections. */
public record SetString(PixelString string) implements Edit {
  @Override
  public Display change(Plan plan) {
    Pieces.string(plan, string.id());
    return Pieces.replace(plan, string);
  }

  @Override
  public String label(Plan plan) {
    return "Change " + plan.existingPiece(string.id()).title();
  }
}
