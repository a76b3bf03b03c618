package hamper.edit;

import hamper.display.Display;
import hamper.display.MainsCircuit;
import hamper.display.Plan;
import hamper.display.SitePower;
import java.util.List;

/** Changes mains circuits. */
public record SetMainsCircuits(List<String> mains, MainsChange set) implements Edit {
  public SetMainsCircuits {
    mains = Lists.named("mains", mains);
  }

  /** What makes one mains circuit of another. */
  public static SetMainsCircuits between(MainsCircuit before, MainsCircuit after) {
    return new SetMainsCircuits(
        List.of(after.id()), Fields.between(MainsChange.class, before, after));
  }

  @Override
  public Display change(Plan plan) {
    SitePower power = plan.display().power();
    return plan.display()
        .withPower(
            power.withMains(
                Lists.change(power.mains(), mains, one -> one.id(), set::over, "mains circuit")));
  }

  @Override
  public String label(Plan plan) {
    return Told.of(
        plan,
        mains,
        id ->
            Lists.find(plan.display().power().mains(), id, one -> one.id(), "mains circuit").name(),
        "mains circuits",
        set);
  }
}
