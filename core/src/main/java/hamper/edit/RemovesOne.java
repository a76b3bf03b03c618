package hamper.edit;

import hamper.display.Display;
import hamper.display.Plan;
import hamper.value.RecordShape;
import java.util.List;

/** Removes the thing whose id is its only field. */
sealed interface RemovesOne extends Edit
    permits RemoveController,
        RemoveZone,
        RemoveSubnet,
        RemoveSupply,
        RemoveMainsCircuit,
        RemoveEnclosure,
        RemoveLink {
  Kind<?> kind();

  private String id() {
    return (String) RecordShape.of(getClass()).value((Record) this, 0);
  }

  /** The display in which nothing refers to it any more. */
  default Display letGo(Plan plan) {
    return plan.display();
  }

  @Override
  default Display change(Plan plan) {
    return kind().without(plan, List.of(id()), letGo(plan));
  }

  @Override
  default String label(Plan plan) {
    return "Remove " + kind().word() + kind().title(plan, id());
  }
}
