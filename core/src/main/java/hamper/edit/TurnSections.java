package hamper.edit;

import hamper.display.Display;
import hamper.display.Plan;
import hamper.value.Require;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;

/** Turns sections round: what ran forward runs backward, and the other way round. */
public record TurnSections(List<SetSections.At> sections) implements Edit {
  public TurnSections {
    Require.inRange("sections", sections.size(), 1, SetSections.MOST);
    sections = List.copyOf(new LinkedHashSet<>(sections));
  }

  @Override
  public Display change(Plan plan) {
    return SetSections.change(plan, sections, section -> section.withBackward(!section.backward()));
  }

  @Override
  public boolean relative() {
    return true;
  }

  @Override
  public String label(Plan plan) {
    List<String> pieces =
        new ArrayList<>(new LinkedHashSet<>(sections.stream().map(SetSections.At::piece).toList()));
    String first = plan.existingPiece(pieces.get(0)).title();
    return "Turn " + (pieces.size() == 1 ? first : pieces.size() + " strings");
  }
}
