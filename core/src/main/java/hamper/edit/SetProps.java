package hamper.edit;

import hamper.display.Display;
import hamper.display.Plan;
import hamper.display.Prop;
import java.util.List;

/** Changes settings of props. */
public record SetProps(List<String> props, PropChange set) implements Edit {
  public SetProps {
    props = Kind.named("props", props);
  }

  /** What makes one prop of another. */
  public static SetProps between(Prop before, Prop after) {
    return new SetProps(List.of(after.id()), Fields.between(PropChange.class, before, after));
  }

  @Override
  public Display change(Plan plan) {
    return Kind.PROPS.changing(plan, props, set);
  }

  @Override
  public String label(Plan plan) {
    return Kind.PROPS.told(plan, props, set);
  }
}
