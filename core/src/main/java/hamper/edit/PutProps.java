package hamper.edit;

import hamper.display.Display;
import hamper.display.Plan;
import hamper.display.Prop;
import hamper.value.Require;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;

/** Adds props at the end, or puts each in the place of the one with its id. */
public record PutProps(List<Prop> props) implements Edit {
  /** Most props in one edit. */
  public static final int MOST = 20_000;

  public PutProps {
    props = List.copyOf(props);
    Require.inRange("props", props.size(), 1, MOST);
  }

  @Override
  public Display change(Plan plan) {
    List<Prop> changed = new ArrayList<>(plan.display().props());
    Map<String, Integer> places = new HashMap<>();
    for (int i = 0; i < changed.size(); i++) {
      places.put(changed.get(i).id(), i);
    }
    for (Prop prop : props) {
      Integer place = places.putIfAbsent(prop.id(), changed.size());
      if (place == null) {
        changed.add(prop);
      } else {
        changed.set(place, prop);
      }
    }
    return plan.display().withProps(changed);
  }

  @Override
  public String label(Plan plan) {
    Set<String> ids = props.stream().map(Prop::id).collect(Collectors.toSet());
    boolean known = plan.display().props().stream().anyMatch(prop -> ids.contains(prop.id()));
    String what = props.size() == 1 ? props.get(0).name() : props.size() + " props";
    return (known ? "Change " : "Add ") + what;
  }
}
