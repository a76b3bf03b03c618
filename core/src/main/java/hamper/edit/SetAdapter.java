package hamper.edit;

import hamper.display.Adapter;
import hamper.display.Controller;
import hamper.display.Display;
import hamper.display.Plan;
import hamper.value.Require;
import java.util.ArrayList;
import java.util.List;

/**
 * Changes an adapter of a host.
 *
 * @param index among its adapters, from 0
 */
public record SetAdapter(String controller, int index, AdapterChange set) implements Edit {
  @Override
  public Display change(Plan plan) {
    Controller before = plan.existingController(controller);
    Require.inRange("index", index, 0, before.adapters().size() - 1);
    List<Adapter> adapters = new ArrayList<>(before.adapters());
    adapters.set(index, set.over(adapters.get(index)));
    return Runs.change(plan.display(), controller, one -> one.withAdapters(adapters));
  }

  @Override
  public String label(Plan plan) {
    return Told.of(
        plan,
        "adapter %d of %s".formatted(index + 1, plan.existingController(controller).tag()),
        set);
  }
}
