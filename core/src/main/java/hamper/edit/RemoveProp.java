package hamper.edit;

import hamper.display.Display;
import hamper.display.Piece;
import hamper.display.Plan;
import hamper.display.Prop;
import java.util.Set;
import java.util.stream.Collectors;

/** Removes a prop; its pieces are unpatched with it. Refused while one of them is mirrored. */
public record RemoveProp(String prop) implements Edit {
  @Override
  public Display change(Plan plan) {
    Prop gone = Lists.find(plan.display().props(), prop, other -> other.id(), "prop");
    Set<String> pieces = gone.pieces().stream().map(Piece::id).collect(Collectors.toSet());
    Display unpatched =
        plan.display().withControllers(Runs.without(plan.display().controllers(), pieces));
    return unpatched.withProps(Lists.remove(unpatched.props(), prop, other -> other.id(), "prop"));
  }

  @Override
  public String label(Plan plan) {
    return "Remove " + Lists.find(plan.display().props(), prop, other -> other.id(), "prop").name();
  }
}
