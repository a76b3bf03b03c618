package hamper.edit;

import hamper.display.Display;
import hamper.display.Plan;
import hamper.display.Prop;
import hamper.value.Require;
import java.util.List;

/** Adds props at the end. */
public record PutProps(List<Prop> props) implements Edit {
  /** Most props in one edit. */
  public static final int MOST = 20_000;

  public PutProps {
    props = List.copyOf(props);
    Require.inRange("props", props.size(), 1, MOST);
  }

  @Override
  public Display change(Plan plan) {
    return Kind.PROPS.adding(plan, props);
  }

  @Override
  public String label(Plan plan) {
    return "Add " + (props.size() == 1 ? props.get(0).name() : props.size() + " props");
  }
}
