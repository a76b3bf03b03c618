package hamper.edit;

import hamper.display.Display;
import hamper.display.Piece;
import hamper.display.Plan;
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
    Set<String> pieces =
        plan.display().props().stream()
            .filter(prop -> gone.contains(prop.id()))
            .flatMap(prop -> prop.pieces().stream())
            .map(Piece::id)
            .collect(Collectors.toSet());
    return Kind.PROPS.without(plan, props, Runs.without(plan.display(), pieces));
  }

  @Override
  public String label(Plan plan) {
    return "Remove "
        + (props.size() == 1 ? Kind.PROPS.title(plan, props.get(0)) : props.size() + " props");
  }
}
