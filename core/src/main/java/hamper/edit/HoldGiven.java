package hamper.edit;

import hamper.display.Display;
import hamper.display.Plan;
import hamper.resolve.Resolver;

/**
 * Holds what was given: every start address of a controller stays where it is now, with its
 * universes and the size of its block. What is hung there later flows round it.
 */
public record HoldGiven(String controller) implements Edit {
  @Override
  public Display change(Plan plan) {
    return HoldStarts.of(
        plan,
        Resolver.resolve(plan),
        controller,
        plan.modelOf(plan.existingController(controller)).dialect().startsPer());
  }

  @Override
  public String label(Plan plan) {
    return "Hold what was given to " + plan.existingController(controller).tag();
  }
}
