package hamper.edit;

import hamper.display.Display;
import hamper.display.Piece;
import hamper.display.Plan;
import hamper.display.Prop;
import hamper.value.Require;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;

/** Removes props; their pieces are unpatched with them. Refused while one of them is mirrored. */
public record RemoveProps(List<String> props) implements Edit {
  public RemoveProps {
    props = List.copyOf(props);
    Require.inRange("props", props.size(), 1, PutProps.MOST);
  }

  @Override
  public Display change(Plan plan) {
    Set<String> gone = new HashSet<>(props);
    Set<String> known = plan.display().props().stream().map(Prop::id).collect(Collectors.toSet());
    props.stream().filter(id -> !known.contains(id)).forEach(id -> existing(plan, id));
    List<Prop> kept =
        plan.display().props().stream().filter(prop -> !gone.contains(prop.id())).toList();
    Set<String> pieces =
        plan.display().props().stream()
            .filter(prop -> gone.contains(prop.id()))
            .flatMap(prop -> prop.pieces().stream())
            .map(Piece::id)
            .collect(Collectors.toSet());
    Display unpatched =
        plan.display().withControllers(Runs.without(plan.display().controllers(), pieces));
    return unpatched.withProps(kept);
  }

  private static Prop existing(Plan plan, String id) {
    return Lists.find(plan.display().props(), id, other -> other.id(), "prop");
  }

  @Override
  public String label(Plan plan) {
    return "Remove "
        + (props.size() == 1 ? existing(plan, props.get(0)).name() : props.size() + " props");
  }
}
