package hamper.edit;

import hamper.display.Display;
import hamper.display.MainsCircuit;
import hamper.display.Plan;
import java.util.List;

/** Changes mains circuits. */
public record SetMainsCircuits(List<String> mains, MainsChange set) implements Edit {
  public SetMainsCircuits {
    mains = Kind.named("mains", mains);
  }

  /** What makes one mains circuit of another. */
  public static SetMainsCircuits between(MainsCircuit before, MainsCircuit after) {
    return new SetMainsCircuits(
        List.of(after.id()), Fields.between(MainsChange.class, before, after));
  }

  @Override
  public Display change(Plan plan) {
    return Kind.MAINS.changing(plan, mains, set);
  }

  @Override
  public String label(Plan plan) {
    return Kind.MAINS.told(plan, mains, set);
  }
}
